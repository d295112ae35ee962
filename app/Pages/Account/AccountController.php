<?php

declare(strict_types=1);

namespace App\Pages\Account;

use App\Actions\ChangeAccount;
use App\Actions\DeleteForGood;
use App\Language\Text;
use App\Models\Scope;
use App\Models\SignIn;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rules\Password;

/** The educator's own account. */
final class AccountController
{
    public function edit(Request $request): View
    {
        /** @var User $user */
        $user = $request->user();

        return view(
            'account.edit',
            ['signIns' => $user->signIns()->get(), 'here' => SignedIn::here($request), 'tokens' => $user->apiTokens()->get()],
        );
    }

    /** A token for a program. */
    public function makeToken(Request $request, ChangeAccount $account): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $scopes = array_values(array_filter(
            array_map(static fn(Scope $scope): string => $scope->value, Scope::cases()),
            static fn(string $scope): bool => $request->boolean("scope_{$scope}"),
        ));
        $request->merge(['scopes' => $scopes === [] ? null : 'yes']);
        $request->validateWithBag('tokens', ['token_name' => ['required', 'string', 'max:80'], 'scopes' => ['required']], [
            'token_name.*' => Text::of('api.form.name_it'), 'scopes.*' => Text::of('api.form.choose_scopes'),
        ]);

        return redirect()->to(route('account.edit') . '#tokens')
            ->with('token', $account->makeToken($user, $request->string('token_name')->toString(), $scopes));
    }

    public function revokeToken(Request $request, int $token, ChangeAccount $account): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $account->revokeToken($user->apiTokens()->findOrFail($token));

        return redirect()->to(route('account.edit') . '#tokens')->with('status', Text::of('api.done.revoked'));
    }

    /** Ends the sign-in of one other browser, or of all others. */
    public function endSignIns(Request $request, ChangeAccount $account, ?SignIn $signIn = null): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        abort_if($signIn !== null && $signIn->user_id !== $user->id, 404);
        $count = $account->endSignIns($user, $signIn?->id, SignedIn::here($request));

        return redirect()->route('account.edit')->with('status', Text::plural('account.done.sign_ins_ended', $count));
    }

    public function updatePassword(Request $request, ChangeAccount $account): RedirectResponse
    {
        $request->validate(
            [
                'current_password' => ['required', 'string', 'current_password'],
                'password' => ['required', 'string', Password::defaults(), 'confirmed'],
            ],
            [
                'current_password.required' => Text::of('account.done.type_your_present_password'),
                'current_password.current_password' => Text::of('account.done.this_is_not_your_present_password'),
                'password.required' => Text::of('account.done.choose_a_new_password'),
                'password.min' => Text::of('account.done.choose_a_password_of_at_least'),
                'password.confirmed' => Text::of('account.done.the_two_new_passwords_differ_type'),
            ],
        );
        /** @var User $user */
        $user = $request->user();
        $account->password($user, $request->string('password')->toString(), SignedIn::here($request), $request->boolean('end_tokens'));
        // Whoever else was signed in with the old password no longer is.
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('account.edit')->with('status', Text::of('account.done.your_password_is_changed_other_devices'));
    }

    /** The account, with every challenge of its educator, for good. */
    public function destroy(Request $request, DeleteForGood $delete): RedirectResponse
    {
        $request->validateWithBag('deleting', ['password_to_delete' => ['required', 'string', 'current_password']], [
            'password_to_delete.required' => Text::of('account.done.type_your_password_this_cannot_be'),
            'password_to_delete.current_password' => Text::of('account.done.this_is_not_your_password_nothing'),
        ]);
        /** @var User $user */
        $user = $request->user();
        Auth::guard('web')->logout();
        $delete->account($user);
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in')->with('status', Text::of('account.done.your_account_is_deleted_with_everything'));
    }
}
