<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\PageKey;
use App\Actions\DeleteForGood;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rules\Password;

/** The educator's own account. */
final class AccountController
{
    public function edit(): View
    {
        return view('account.edit');
    }

    public function updatePassword(Request $request): RedirectResponse
    {
        $request->validate([
            'current_password' => ['required', 'string', 'current_password'],
            'password' => ['required', 'string', Password::defaults(), 'confirmed'],
        ], [
            'current_password.required' => 'Type your present password.',
            'current_password.current_password' => 'This is not your present password.',
            'password.required' => 'Choose a new password.',
            'password.min' => 'Choose a password of at least 10 characters.',
            'password.confirmed' => 'The two new passwords differ. Type the same one twice.',
        ]);
        /** @var User $user */
        $user = $request->user();
        DB::transaction(static fn(): bool => $user->update(['password' => $request->string('password')->toString()]));
        PageKey::revokeAll($user);
        // Whoever else was signed in with the old password no longer is.
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('account.edit')->with('status', 'Your password is changed. Other devices must sign in again.');
    }

    /** The account, with every challenge of its educator, for good. */
    public function destroy(Request $request, DeleteForGood $delete): RedirectResponse
    {
        $request->validateWithBag('deleting', ['password_to_delete' => ['required', 'string', 'current_password']], [
            'password_to_delete.required' => 'Type your password: this cannot be undone.',
            'password_to_delete.current_password' => 'This is not your password. Nothing was deleted.',
        ]);
        /** @var User $user */
        $user = $request->user();
        Auth::guard('web')->logout();
        $delete->account($user);
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in')->with('status', 'Your account is deleted, with everything in it.');
    }
}
