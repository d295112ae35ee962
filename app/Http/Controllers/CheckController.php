<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CarHasChanged;
use App\Actions\Lock;
use App\Http\Requests\CheckRequest;
use App\Http\Requests\TolerancesRequest;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\CheckReading;
use App\Models\Group;
use App\Models\User;
use App\Reading\ClassProgress;
use App\Reading\ClassRecord;
use App\Wording\Phrase;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\CheckItem;

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

    public function update(CheckRequest $request, Challenge $challenge, Group $group): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $seen = $request->input('edition');
        try {
            DB::transaction(static function () use ($request, $group, $user, $seen): void {
                Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
                $car = $group->carToRun();
                if (is_string($seen) && $seen !== self::edition($car)) {
                    throw new CarHasChanged($car);
                }
                $car->update(['card_edition' => $car->card_edition + 1]);
                $held = $car->checkReadings()->get()->keyBy(static fn(CheckReading $reading): string => $reading->item->value);
                foreach ($request->readings() as $item => $reading) {
                    $row = $held->get($item);
                    if ($reading === null) {
                        $row?->delete();
                        continue;
                    }
                    $row ??= $car->checkReadings()->make(['item' => CheckItem::from($item)]);
                    $row->put($reading);
                    if ($row->isDirty()) {
                        $row->user_id = $user->id;
                        $row->save();
                    }
                }
            });
        } catch (CarHasChanged) {
            return redirect()->route('checks.edit', [$challenge, $group])->withInput($request->except('edition'))->with('conflict', true);
        }

        return redirect()->route('checks.edit', [$challenge, $group])->with('status', Phrase::possessive($group->name) . ' card is saved.');
    }

    /** What the card carries so that two who fill it in notice each other. */
    public static function edition(?Car $car): string
    {
        return $car === null ? '1.1' : "{$car->version}.{$car->card_edition}";
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
