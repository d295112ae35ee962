<x-layout title="Account" :line="auth()->user()->name . ', ' . auth()->user()->email">
    <div class="py-6">
        <h2 class="mb-4">Change your password</h2>
        <form method="post" action="{{ route('account.password') }}" class="narrow-form">
            @csrf @method('put')
            <input type="text" name="username" value="{{ auth()->user()->email }}" autocomplete="username" class="hidden" readonly tabindex="-1" aria-label="Account">
            <x-field name="current_password" label="Present password" type="password" autocomplete="current-password" />
            <x-field name="password" label="New password" type="password" autocomplete="new-password" hint="At least 10 characters." />
            <x-field name="password_confirmation" label="New password again" type="password" autocomplete="new-password" />
            <p class="actions"><button class="button do">Change it</button></p>
        </form>
        <h2 class="mb-2 mt-10">Delete your account</h2>
        <p class="prose mb-4">With every challenge of yours: groups, cars, runs, all of it, at once and for good. Nothing brings it back but a backup of the whole machine.</p>
        <form method="post" action="{{ route('account.destroy') }}" class="narrow-form">
            @csrf @method('delete')
            <div class="field">
                <label for="f-password_to_delete">Your password</label>
                <input id="f-password_to_delete" name="password_to_delete" type="password" class="input" autocomplete="current-password" @error('password_to_delete', 'deleting') aria-invalid="true" aria-describedby="f-password_to_delete-about" @enderror>
                @error('password_to_delete', 'deleting')<p id="f-password_to_delete-about" class="error">{{ $message }}</p>@enderror
            </div>
            <p class="actions"><button class="button">Delete my account for good</button></p>
        </form>
    </div>
</x-layout>
