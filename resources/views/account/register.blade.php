<x-layout :title="Text::of('account.register.create_an_account')" :line="Text::of('account.register.for_educators_children_need_none_groups')">
    <div class="py-8 grid gap-10 desk:grid-cols-[26rem_1fr] items-center">
        <form method="post" action="{{ route('register') }}" class="narrow-form">
            @csrf
            <x-field name="name" :label="Text::of('account.register.name')" autocomplete="name" autofocus />
            <x-field name="email" :label="Text::of('account.register.email_address')" type="email" autocomplete="username" />
            <x-field
                name="password" :label="Text::of('account.register.password')" type="password" autocomplete="new-password"
                :hint="Text::of('account.register.at_least_10_characters')" />
            <x-field name="password_confirmation" :label="Text::of('account.register.the_same_password_again')" type="password" autocomplete="new-password" />
            <p class="actions"><button class="button do">{{ Text::of('account.register.create_the_account') }}</button><a
                class="button plain" href="{{ route('sign-in') }}">{{ Text::of('account.register.i_have_one_sign_in') }}</a>
            </p>
        </form>
        <x-welcome-floor />
    </div>
</x-layout>
