<x-layout title="Sign in" line="Balloon-powered car challenges: the choices, the runs, and what made the difference.">
    <div class="py-8 grid gap-10 desk:grid-cols-[26rem_1fr] items-center">
        <form method="post" action="{{ route('sign-in') }}" class="narrow-form">
            @csrf
            @if ($next !== null)<input type="hidden" name="next" value="{{ $next }}">@endif
            <x-field name="email" label="Email address" type="email" autocomplete="username" autofocus />
            <x-field name="password" label="Password" type="password" autocomplete="current-password" />
            <label class="flex gap-2 items-center min-h-11"><input type="checkbox" name="remember" value="1" class="w-5 h-5"> Stay signed in on this device</label>
            <p class="actions"><button class="button do">Sign in</button><a class="button plain" href="{{ route('register') }}">Create an account</a></p>
        </form>
        <x-welcome-floor />
    </div>
</x-layout>
