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
            @if (auth()->user()->apiTokens()->whereNull('revoked_at')->exists())<label class="tick"><input type="hidden" name="end_tokens" value="0"><input
                type="checkbox" name="end_tokens" value="1" checked>{{ Text::of('account.edit.end_tokens') }}</label>@endif
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
        <h2 class="mb-2 mt-10" id="tokens">{{ Text::of('api.tokens') }}</h2>
        <p class="prose small mb-3">{!! Text::html('api.what', ['docs' => route('api.describe')]) !!}</p>
        @if (session('token'))<p class="flash" role="status"><span>{{ Text::of('api.new') }} <code>{{ session('token') }}</code></span></p>@endif
        <ul class="people">
            @foreach ($tokens as $token)
                <li><bdi>{{ $token->name }}</bdi> <span class="small">{{ implode(', ', array_map(fn ($scope) => Text::of("api.scope.{$scope}"),
                    $token->scopes)) }}; {{ $token->used_at === null ? Text::of('api.unused')
                    : Text::of('api.used', ['when' => $token->used_at->isoFormat('D MMMM, H:mm')]) }}</span>
                    <form method="post" action="{{ route('account.tokens.revoke', $token->id) }}">@csrf @method('delete')
                        <button class="button plain">{{ Text::of('api.revoke') }}</button></form></li>
            @endforeach
        </ul>
        <form method="post" action="{{ route('account.tokens') }}" class="narrow-form mt-3">@csrf
            <div class="field"><label for="f-token_name">{{ Text::of('api.name') }}</label>
                <input id="f-token_name" name="token_name" class="input" maxlength="80" value="{{ old('token_name') }}" autocomplete="off"
                    @error('token_name', 'tokens') aria-invalid="true" @enderror>
                @foreach ($errors->getBag('tokens')->all() as $message)<p class="error">{{ $message }}</p>@endforeach</div>
            @foreach (\App\Models\Scope::cases() as $scope)<label class="tick-line"><input type="checkbox" name="scope_{{ $scope->value }}" value="1"
                @checked(old("scope_{$scope->value}", $scope === \App\Models\Scope::Records))> {{ Text::of("api.scope.{$scope->value}") }}</label>@endforeach
            <p class="actions"><button class="button">{{ Text::of('api.make') }}</button></p></form>
        <p class="mt-10"><a class="button" download href="{{ route('archive.everything') }}">{{ Text::of('archive.all') }}</a></p>
        @can('administer', \App\Models\User::class)<p class="mt-3"><a class="button" download href="{{ route('backup') }}">{{ Text::of('archive.backup') }}</a>
            <span class="small ml-2">{{ Text::of('archive.backup_why') }}</span></p>@endcan
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
