<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CarHasChanged;
use App\Actions\RecordCheckCard;
use App\Http\Requests\CheckRequest;
use App\Http\Requests\TolerancesRequest;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\User;
use App\Reading\ClassProgress;
use App\Reading\ClassRecord;
use App\Wording\Phrase;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** The check cards of a class: how far everyone is, and each car's card. */
final class CheckController
{
    public function index(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('check.index', ['challenge' => $challenge, 'record' => $record, 'progress' => ClassProgress::of($record)]);
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
        } catch (CarHasChanged) {
            return redirect()->route('checks.edit', [$challenge, $group])->withInput($request->except('edition'))->with('conflict', true);
        }

        return redirect()->route('checks.edit', [$challenge, $group])->with('status', Phrase::possessive($group->name) . ' card is saved.');
    }

    public function tolerances(Challenge $challenge): View
    {
        return view('check.tolerances', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge)]);
    }

    public function updateTolerances(TolerancesRequest $request, Challenge $challenge): RedirectResponse
    {
        DB::transaction(static fn() => $challenge->update(['tolerances' => $request->tolerances()]));

        return redirect()->route('checks.index', $challenge)->with('status', 'Cards are judged by these limits now.');
    }
}
