<x-layout :title="Text::of('account.edit.account')" :line="auth()->user()->name . ', ' . auth()->user()->email">
    <div class="py-6">
        <h2 class="mb-4">{{ Text::of('account.edit.change_your_password') }}</h2>
        <form method="post" action="{{ route('account.password') }}" class="narrow-form">
            @csrf @method('put')
            <input
                type="text" name="username" value="{{ auth()->user()->email }}" autocomplete="username" class="hidden" readonly
                tabindex="-1" aria-label="{{ Text::of('account.edit.account') }}">
            <x-field name="current_password" :label="Text::of('account.edit.present_password')" type="password" autocomplete="current-password" />
            <x-field
                name="password" :label="Text::of('account.edit.new_password')" type="password" autocomplete="new-password"
                :hint="Text::of('account.edit.at_least_10_characters')" />
            <x-field name="password_confirmation" :label="Text::of('account.edit.new_password_again')" type="password" autocomplete="new-password" />
            <p class="actions"><button class="button do">{{ Text::of('account.edit.change_it') }}</button></p>
        </form>
        <h2 class="mb-2 mt-10">{{ Text::of('account.edit.where_you_are_signed_in') }}</h2>
        <ul class="people">
            @foreach ($signIns as $signIn)
                <li>{{ $signIn->browser }} <span class="small">{{ $signIn->id === $here ? Text::of('account.edit.here')
                    : Text::of('account.edit.seen', ['when' => $signIn->seen_at->isoFormat('D MMMM, H:mm')]) }}</span>
                    @if ($signIn->id !== $here)<form method="post" action="{{ route('account.sign-ins', $signIn) }}">@csrf @method('delete')
                        <button class="button plain">{{ Text::of('account.edit.end_it') }}</button></form>@endif</li>
            @endforeach
        </ul>
        @if ($signIns->count() > 1)<form method="post" action="{{ route('account.sign-ins') }}" class="mt-3">@csrf @method('delete')
            <button class="button">{{ Text::of('account.edit.end_all_others') }}</button></form>@endif
        <p class="mt-10"><a class="button" download href="{{ route('archive.everything') }}">{{ Text::of('archive.all') }}</a></p>
        <h2 class="mb-2 mt-10">{{ Text::of('account.edit.delete_your_account') }}</h2>
        <p class="prose mb-4">{{ Text::of('account.edit.with_every_challenge_of_yours_groups') }}</p>
        <form method="post" action="{{ route('account.destroy') }}" class="narrow-form">
            @csrf @method('delete')
            <div class="field">
                <label for="f-password_to_delete">{{ Text::of('account.edit.your_password') }}</label>
                <input
                    id="f-password_to_delete" name="password_to_delete" type="password" class="input"
                    autocomplete="current-password" @error('password_to_delete', 'deleting') aria-invalid="true"
                    aria-describedby="f-password_to_delete-about" @enderror>
                @error('password_to_delete', 'deleting')<p id="f-password_to_delete-about" class="error">{{ $message }}</p>@enderror
            </div>
            <p class="actions"><button class="button">{{ Text::of('account.edit.delete_my_account_for_good') }}</button></p>
        </form>
    </div>
</x-layout>
