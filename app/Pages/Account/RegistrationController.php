<?php

declare(strict_types=1);

namespace App\Pages\Account;

use App\Actions\ChangeAccount;
use App\Language\Text;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;

/** Creating an educator's own account. */
final class RegistrationController
{
    public function create(): View
    {
        return view('account.register');
    }

    public function store(Request $request, ChangeAccount $account): RedirectResponse
    {
        $request->merge(['email' => Str::lower($request->string('email')->toString())]);
        $request->validate(
            [
                'name' => ['required', 'string', 'max:100'],
                'email' => ['required', 'string', 'email:rfc', 'max:254', Rule::unique('users')],
                'password' => ['required', 'string', Password::defaults(), 'confirmed'],
            ],
            [
                'name.required' => Text::of('account.done.type_the_name_that_you_want'),
                'email.required' => Text::of('account.done.type_your_email_address_you_sign'),
                'email.email' => Text::of('account.done.this_is_not_an_email_address'),
                'email.unique' => Text::of('account.done.there_is_an_account_with_this'),
                'password.required' => Text::of('account.done.choose_a_password'),
                'password.min' => Text::of('account.done.choose_a_password_of_at_least'),
                'password.confirmed' => Text::of('account.done.the_two_passwords_differ_type_the'),
            ],
        );
        $user = $account->create(
            $request->string('name')->toString(),
            $request->string('email')->toString(),
            $request->string('password')->toString(),
        );
        Auth::login($user);
        $request->session()->regenerate();
        SignedIn::note($request, $user);

        return redirect()->route('challenges.index')->with(
            'status',
            Text::of('account.done.welcome_set_your_first_challenge', ['user' => $user->name]),
        );
    }
}
