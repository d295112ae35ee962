<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\ChangeChallenge;
use App\Actions\CopyChallenge;
use App\Actions\DeleteForGood;
use App\Actions\PrepareSession;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\User;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use App\Record\LaneForecast;
use App\Record\PlannedAnswer;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Challenge\Age;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Measurement\UnitSystem;

/** An educator's challenges, and the plan of each. */
final class ChallengeController
{
    public function index(Request $request): View
    {
        /** @var User $user */
        $user = $request->user();

        return view('plan.challenges', ['list' => ChallengeList::of($user)]);
    }

    public function create(Request $request): View
    {
        /** @var User $user */
        $user = $request->user();
        $last = $user->challenges()->latest('id')->first();
        $challenge = new Challenge([
            'goal' => Goal::Farthest,
            'scoring' => Scoring::Mean,
            'tries' => 3,
            'units' => $last->units ?? UnitSystem::Metric,
            'age' => $last->age ?? Age::TenToFourteen,
        ]);
        $plan = ClassPlan::of($challenge);

        return view('plan.create', [
            'challenge' => $challenge, 'cautions' => $plan->safety()->cautions(), 'groups' => $request->query('then') === 'sheet'
                ? null
                : $plan->plan->groups, 'minutes' => $plan->plan->session_min,
        ]);
    }

    public function store(ChallengeRequest $request, ChangeChallenge $change): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $groups = array_map(
            static fn(int $number): string => Text::of('challenge.done.group', ['number' => $number]),
            range(1, $request->groups() ?? 1),
        );
        $challenge = $change->set(
            $user,
            $request->plan(),
            $request->groups() === null || $request->input('then') === 'sheet' ? [] : $groups,
            $request->day(),
        );
        if ($request->boolean('safety')) {
            $change->acknowledgeSafety($challenge, ClassPlan::of($challenge)->safety()->cautions());
        }

        if ($request->input('then') === 'sheet') {
            return redirect()->to(route('sheet.show', $challenge) . '#bring')->with(
                'status',
                Text::of('challenge.done.is_set_next_bring_the_class', ['challenge' => $challenge->name]),
            );
        }

        return $request->groups() !== null && $challenge->safety_read_at !== null
            ? redirect()->route('groups.index', $challenge)->with(
                'status',
                Text::of('challenge.done.is_set_with_its_groups', ['challenge' => $challenge->name]),
            )
            : redirect()->route('materials.show', $challenge)->with(
                'status',
                Text::of('challenge.done.is_set_next_what_it_takes', ['challenge' => $challenge->name]),
            );
    }

    public function edit(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        $canBe = PlannedAnswer::canBe($challenge);
        $plan = ClassPlan::of($challenge);
        $planned = $canBe ? PlannedAnswer::known($plan) : null;

        $timetable = $plan->timetable($record->groups->count());

        return view('plan.edit', [
            'challenge' => $challenge, 'record' => $record, 'lane' => LaneForecast::of($record, $plan), 'plan' => $plan,
            'timetable' => $timetable, 'canBeAnswered' => $canBe,
            'fit' => (new PlanWords($plan, $timetable, $plan->runOrder($record->groups->count())))->fit()[0],
            'chance' => $planned === null ? null : new PlannedAnswerWords($planned, $challenge->units),
        ]);
    }

    public function update(ChallengeRequest $request, Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $change->rules($challenge, $request->plan(), $request->design()->day());

        return redirect()->route('challenges.edit', $challenge)->with('status', Text::of('challenge.done.the_rules_are_saved'));
    }

    /** For the next class, or the next year. */
    public function copy(Request $request, Challenge $challenge, CopyChallenge $copy): RedirectResponse
    {
        $name = mb_strimwidth(Text::of('challenge.done.name_of_a_copy', ['challenge' => $challenge->name]), 0, 120, '…');
        /** @var User $user */
        $user = $request->user();
        $new = $copy($challenge, $name, $request->boolean('with_groups'), $user);

        return redirect()->route('challenges.edit', $new)->with('status', Text::of('challenge.done.is_set_like', [
            'challenge' => $new->name, 'like' => $challenge->name,
        ]));
    }

    public function destroy(Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $change->remove($challenge);

        return redirect()->route('challenges.index')
            ->with('status', Text::of('challenge.done.is_removed', ['challenge' => $challenge->name]))
            ->with('putBack', route('challenges.restore', $challenge));
    }

    public function restore(Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $change->restore($challenge);

        return redirect()->route('runs.show', $challenge)->with(
            'status',
            Text::of('challenge.done.is_back_with_everything_in_it', ['challenge' => $challenge->name]),
        );
    }

    /** Only what was removed first: two steps, since nothing brings it back. */
    public function deleteForGood(Challenge $challenge, DeleteForGood $delete): RedirectResponse
    {
        abort_unless($challenge->trashed(), 404);
        $delete->challenge($challenge);

        return redirect()->route('challenges.index')->with(
            'status',
            Text::of('challenge.done.is_deleted_for_good', ['challenge' => $challenge->name]),
        );
    }

    /** What the educator notes for the next time this plan is held. */
    public function note(Request $request, Challenge $challenge, PrepareSession $prepare): RedirectResponse
    {
        $request->validate(
            ['note_for_next_time' => ['nullable', 'string', 'max:2000']],
            ['note_for_next_time.*' => Text::of('challenge.form.note_is_too_long')],
        );
        $prepare->plan($challenge, ['note_for_next_time' => $request->string('note_for_next_time')->trim()->toString() ?: null]);

        return redirect()->route('challenges.edit', $challenge)->with('status', Text::of('challenge.done.noted'));
    }
}
