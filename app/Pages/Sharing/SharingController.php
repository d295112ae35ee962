<?php

declare(strict_types=1);

namespace App\Pages\Sharing;

use App\Actions\ShareChallenge;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Invitation;
use App\Models\School;
use App\Models\User;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Skivo\Core\People\MemberRole;

/** Which educators work in a challenge, and with which schools its plan is shared. */
final class SharingController
{
    public function show(Request $request, Challenge $challenge): View
    {
        /** @var User $user */
        $user = $request->user();

        return view('sharing.show', [
            'challenge' => $challenge->load(['members.user', 'user']),
            'record' => ClassRecord::of($challenge),
            'invitations' => $challenge->invitations()->get(),
            'schools' => $user->schools()->get(),
            'sharedWith' => $challenge->schools()->pluck('schools.id')->all(),
        ]);
    }

    public function invite(Request $request, Challenge $challenge, ShareChallenge $share): RedirectResponse
    {
        $request->validate(
            ['role' => ['required', Rule::enum(MemberRole::class)]],
            ['role.*' => Text::of('sharing.form.say_what_they_may_do')],
        );
        /** @var User $user */
        $user = $request->user();
        $token = $share->invite($challenge, $user, MemberRole::from($request->string('role')->toString()));

        return redirect()->route('sharing.show', $challenge)->with('link', route('invited', $token));
    }

    public function revoke(Challenge $challenge, Invitation $invitation, ShareChallenge $share): RedirectResponse
    {
        $share->revoke($invitation);

        return redirect()->route('sharing.show', $challenge)->with('status', Text::of('sharing.done.the_link_opens_nothing_any_more'));
    }

    public function dismiss(Challenge $challenge, User $member, ShareChallenge $share): RedirectResponse
    {
        $share->dismiss($challenge, $member);

        return redirect()->route('sharing.show', $challenge)->with('status', Text::of('sharing.done.is_out', ['name' => $member->name]));
    }

    public function leave(Request $request, Challenge $challenge, ShareChallenge $share): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $share->withdraw($challenge, $user);

        return redirect()->route('challenges.index')->with('status', Text::of('sharing.done.you_left', ['challenge' => $challenge->name]));
    }

    /** Shares the plan with a school of one's own, or shares it no longer. */
    public function plan(Request $request, Challenge $challenge, School $school, ShareChallenge $share): RedirectResponse
    {
        Gate::authorize('view', $school);
        $isShared = $request->boolean('share');
        $share->plan($challenge, $school, $isShared);

        return redirect()->route('sharing.show', $challenge)
            ->with(
                'status',
                Text::of($isShared ? 'sharing.done.plan_is_shared' : 'sharing.done.plan_is_not_shared', ['school' => $school->name]),
            );
    }
}
