<?php

declare(strict_types=1);

namespace App\Pages\Sharing;

use App\Actions\CopyChallenge;
use App\Actions\ShareChallenge;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Invitation;
use App\Models\School;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A school: its educators, and the plans that they share. */
final class SchoolController
{
    public function index(Request $request): View
    {
        return view('sharing.schools', ['schools' => $this->user($request)->schools()->withCount(['members', 'plans'])->get()]);
    }

    public function store(Request $request, ShareChallenge $share): RedirectResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:120']], ['name.*' => Text::of('sharing.form.name_the_school')]);
        $school = $share->found($this->user($request), $request->string('name')->toString());

        return redirect()->route('schools.show', $school)->with(
            'status',
            Text::of('sharing.done.school_is_there', ['school' => $school->name]),
        );
    }

    public function show(Request $request, School $school): View
    {
        $school->load(['members.user', 'plans.user']);

        return view('sharing.school', [
            'school' => $school,
            'isHead' => $school->memberFor($this->user($request))?->is_head === true,
            'me' => $this->user($request),
            'invitations' => $school->invitations()->get(),
        ]);
    }

    public function invite(Request $request, School $school, ShareChallenge $share): RedirectResponse
    {
        return redirect()->route('schools.show', $school)->with('link', route('invited', $share->invite($school, $this->user($request))));
    }

    public function revoke(School $school, Invitation $invitation, ShareChallenge $share): RedirectResponse
    {
        $share->revoke($invitation);

        return redirect()->route('schools.show', $school)->with('status', Text::of('sharing.done.the_link_opens_nothing_any_more'));
    }

    public function leave(Request $request, School $school, ShareChallenge $share): RedirectResponse
    {
        $share->leave($school, $this->user($request));

        return redirect()->route('schools.index')->with('status', Text::of('sharing.done.you_left', ['challenge' => $school->name]));
    }

    public function dismiss(School $school, User $member, ShareChallenge $share): RedirectResponse
    {
        $share->leave($school, $member);

        return redirect()->route('schools.show', $school)->with('status', Text::of('sharing.done.is_out', ['name' => $member->name]));
    }

    /** A challenge of one's own, set like one that a colleague shared. */
    public function copy(Request $request, School $school, int $plan, CopyChallenge $copy): RedirectResponse
    {
        /** @var Challenge $from */
        $from = $school->plans()->findOrFail($plan);
        $new = $copy($from, $from->name, false, $this->user($request));

        return redirect()->route('challenges.edit', $new)->with(
            'status',
            Text::of('challenge.done.is_set_like', ['challenge' => $new->name, 'like' => $from->name]),
        );
    }

    private function user(Request $request): User
    {
        /** @var User $user */
        $user = $request->user();

        return $user;
    }
}
