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
    </div>
</x-layout>
