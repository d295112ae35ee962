<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddGroups;
use App\Http\Requests\GroupRequest;
use App\Http\Requests\GroupsRequest;
use App\Models\Allowance;
use App\Models\Challenge;
use App\Models\Group;
use App\Reading\CarReading;
use App\Reading\ClassPlan;
use App\Reading\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\Mark;

/** The groups of a challenge. */
final class GroupController
{
    public function index(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('build.index', [
            'challenge' => $challenge,
            'record' => $record,
            'removed' => $challenge->groups()->onlyTrashed()->get(),
            'readings' => $this->readings($challenge, $record),
        ]);
    }

    public function store(GroupsRequest $request, Challenge $challenge, AddGroups $addGroups): RedirectResponse
    {
        try {
            $groups = $addGroups($challenge, $request->names());
        } catch (UniqueConstraintViolationException) {
            // Someone else was a moment quicker.
            return redirect()->route('groups.index', $challenge)->withInput()
                ->withErrors(['names' => 'One of these names was added just now on another device. Look at the list, then add the others.']);
        }
        $said = count($groups) === 1 ? "{$groups[0]->name} is in." : count($groups) . ' groups are in.';

        return redirect()->route('groups.index', $challenge)->with('status', "{$said} Record their cars next.");
    }

    public function edit(Challenge $challenge, Group $group): View
    {
        $taken = $challenge->marksInUse($group);

        return view('build.group', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'group' => $group,
            'marks' => array_values(array_diff(Mark::all(), $taken)),
        ]);
    }

    public function update(GroupRequest $request, Challenge $challenge, Group $group): RedirectResponse
    {
        DB::transaction(static fn() => $group->update([
            'name' => $request->string('name')->toString(),
            'mark' => $request->string('mark')->toString(),
        ]));

        return redirect()->route('groups.index', $challenge)->with('status', "{$group->name} is saved.");
    }

    public function destroy(Challenge $challenge, Group $group): RedirectResponse
    {
        DB::transaction(static fn() => $group->delete());

        return redirect()->route('groups.index', $challenge)
            ->with('status', "{$group->name} is removed, with its car and runs.")
            ->with('putBack', route('groups.restore', [$challenge, $group]));
    }

    public function restore(Challenge $challenge, Group $group): RedirectResponse
    {
        try {
            DB::transaction(function () use ($challenge, $group): void {
                $taken = $challenge->marksInUse($group);
                if (in_array($group->mark, $taken, true)) {
                    $group->mark = Mark::firstFree($taken) ?? $group->mark;
                }
                $group->restore();
            });
        } catch (UniqueConstraintViolationException) {
            return redirect()->route('groups.index', $challenge)
                ->withErrors(['names' => "There is another group “{$group->name}” by now. Rename that one, then put this one back."]);
        }

        return redirect()->route('groups.index', $challenge)->with('status', "{$group->name} is back, with its car and runs.");
    }

    /** @return array<int, CarReading> what each group's car says, by the id of the group */
    private function readings(Challenge $challenge, ClassRecord $record): array
    {
        $plan = ClassPlan::of($challenge);
        $kit = $plan->kitCar();
        $allowances = Allowance::query()->whereIn('car_id', $record->groups->map(static fn(Group $group): ?int => $group->currentCar()?->id)->filter())->get()->groupBy('car_id');
        $readings = [];
        foreach ($record->groups as $group) {
            $car = $group->currentCar();
            if ($car !== null) {
                $readings[$group->id] = new CarReading($car->choices, $plan, $kit, $allowances->get($car->id) ?? []);
            }
        }

        return $readings;
    }
}
