<x-layout :title="Text::of('account.sign_in.sign_in')" :line="Text::of('account.sign_in.balloon_powered_car_challenges_the_choices')">
    <div class="py-8 grid gap-10 desk:grid-cols-[26rem_1fr] items-center">
        <form method="post" action="{{ route('sign-in') }}" class="narrow-form">
            @csrf
            @if ($next !== null)<input type="hidden" name="next" value="{{ $next }}">@endif
            <x-field name="email" :label="Text::of('account.sign_in.email_address')" type="email" autocomplete="username" autofocus />
            <x-field name="password" :label="Text::of('account.sign_in.password')" type="password" autocomplete="current-password" />
            <label class="flex gap-2 items-center min-h-11"><input type="checkbox" name="remember" value="1" class="w-5 h-5">
                {{ Text::of('account.sign_in.stay_signed_in_on_this_device') }}</label>
            <p class="actions"><button class="button do">{{ Text::of('account.sign_in.sign_in') }}</button><a class="button plain"
                href="{{ route('register') }}">{{ Text::of('account.sign_in.create_an_account') }}</a>
                <a class="button plain" href="{{ route('join') }}">{{ Text::of('account.sign_in.join_with_a_code') }}</a>
                <a class="button plain" href="{{ route('privacy') }}">{{ Text::of('privacy.link') }}</a>
            </p>
        </form>
        <x-welcome-floor />
    </div>
</x-layout>
