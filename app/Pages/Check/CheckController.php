<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Actions\CarHasChangedException;
use App\Actions\ChangeChallenge;
use App\Actions\RecordCheckCard;
use App\Language\Phrase;
use App\Language\Text;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\User;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The check cards of a class: how far everyone is, and each car's card. */
final class CheckController
{
    public function index(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('check.index', [
            'challenge' => $challenge, 'record' => $record, 'progress' => ClassProgress::of($record, new ClassForces($record)),
            'words' => new BenchWords($challenge->units),
        ]);
    }

    public function edit(Challenge $challenge, Group $group): View
    {
        $group->load(['cars.runs', 'cars.checkReadings']);

        return view('check.card', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'group' => $group,
            'car' => $group->currentCar(),
            'card' => $group->currentCar()?->checkCard($challenge->checkTolerances()),
        ]);
    }

    public function update(CheckRequest $request, Challenge $challenge, Group $group, RecordCheckCard $record): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $seen = $request->input('edition');
        try {
            $record($group, $request->readings(), $user, is_string($seen) ? $seen : null);
        } catch (CarHasChangedException) {
            return redirect()->route('checks.edit', [$challenge, $group])->withInput($request->except('edition'))->with('conflict', true);
        }

        return redirect()->route('checks.edit', [$challenge, $group])->with(
            'status',
            Text::of('check.done.card_is_saved', ['group' => Phrase::possessive($group->name)]),
        );
    }

    public function tolerances(Challenge $challenge): View
    {
        return view('check.tolerances', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge)]);
    }

    public function updateTolerances(TolerancesRequest $request, Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $change->tolerances($challenge, $request->tolerances());

        return redirect()->route('checks.index', $challenge)->with('status', Text::of('check.done.cards_are_judged_by_these_limits'));
    }
}
