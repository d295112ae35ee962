<?php

declare(strict_types=1);

namespace App\Pages\Sharing;

use App\Actions\ShareChallenge;
use App\Language\Text;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A link by which an educator comes into a colleague's challenge, or into a school. */
final class InvitationController
{
    public function show(string $token): View
    {
        return view('sharing.invited', ['invitation' => Invitation::withToken($token), 'token' => $token]);
    }

    public function accept(Request $request, string $token, ShareChallenge $share): RedirectResponse
    {
        $invitation = Invitation::withToken($token);
        if ($invitation === null) {
            return redirect()->route('invited', $token);
        }
        /** @var User $user */
        $user = $request->user();
        $share->accept($invitation, $user);

        return $invitation->challenge === null
            ? redirect()->route('schools.show', $invitation->school)->with(
                'status',
                Text::of('sharing.done.you_are_in', ['name' => $invitation->school?->name]),
            )
            : redirect()->route('runs.show', $invitation->challenge)->with(
                'status',
                Text::of('sharing.done.you_are_in', ['name' => $invitation->challenge->name]),
            );
    }
}
