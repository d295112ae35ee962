<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
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

    public function store(Request $request): RedirectResponse
    {
        $request->merge(['email' => Str::lower($request->string('email')->toString())]);
        $request->validate([
            'name' => ['required', 'string', 'max:100'],
            'email' => ['required', 'string', 'email:rfc', 'max:254', Rule::unique('users')],
            'password' => ['required', 'string', Password::defaults(), 'confirmed'],
        ], [
            'name.required' => 'Type the name that you want to be shown.',
            'email.required' => 'Type your email address: you sign in with it.',
            'email.email' => 'This is not an email address. Check it.',
            'email.unique' => 'There is an account with this email address already. Sign in instead.',
            'password.required' => 'Choose a password.',
            'password.min' => 'Choose a password of at least 10 characters.',
            'password.confirmed' => 'The two passwords differ. Type the same one twice.',
        ]);
        $user = DB::transaction(static fn(): User => User::query()->create([
            'name' => $request->string('name')->toString(),
            'email' => $request->string('email')->toString(),
            'password' => $request->string('password')->toString(),
        ]));
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('challenges.index')->with('status', "Welcome, {$user->name}. Set your first challenge.");
    }
}
