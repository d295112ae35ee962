<x-layout title="Create an account" line="For educators. Children need none: groups have names, children do not.">
    <div class="py-8 grid gap-10 desk:grid-cols-[26rem_1fr] items-center">
        <form method="post" action="{{ route('register') }}" class="narrow-form">
            @csrf
            <x-field name="name" label="Name" autocomplete="name" autofocus />
            <x-field name="email" label="Email address" type="email" autocomplete="username" />
            <x-field name="password" label="Password" type="password" autocomplete="new-password" hint="At least 10 characters." />
            <x-field name="password_confirmation" label="The same password again" type="password" autocomplete="new-password" />
            <p class="actions"><button class="button do">Create the account</button><a class="button plain" href="{{ route('sign-in') }}">I have one: sign in</a></p>
        </form>
        <x-welcome-floor />
    </div>
</x-layout>
