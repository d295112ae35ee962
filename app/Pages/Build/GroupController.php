<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Actions\AddGroups;
use App\Actions\ChangeGroup;
use App\Actions\DivideClass;
use App\Actions\NoMarkIsLeftException;
use App\Forms\GroupRequest;
use App\Language\DesignWords;
use App\Language\Text;
use App\Models\Allowance;
use App\Models\Challenge;
use App\Models\Group;
use App\Record\CarReading;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
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
            'builds' => new DesignWords($plan = ClassPlan::of($challenge)),
            'isDivided' => $plan->design->contrast() !== null && $record->groups->isNotEmpty(),
        ]);
    }

    /** Who builds which of the two that are compared: as said, or drawn again. */
    public function divide(Request $request, Challenge $challenge, DivideClass $divide): RedirectResponse
    {
        if ($request->boolean('again')) {
            $divide->again($challenge);
        } else {
            $told = $challenge->teams()->pluck('id')->filter(static fn(int $id): bool => $request->has("builds_{$id}"));
            $divide->as($challenge, $told->mapWithKeys(
                static fn(int $id): array => [$id => $request->boolean("builds_{$id}")],
            )->all());
        }

        return redirect()->to(route('groups.index', $challenge) . '#who')
            ->with('status', Text::of($request->boolean('again') ? 'design.who.drawn_again' : 'design.who.saved'));
    }

    public function store(GroupsRequest $request, Challenge $challenge, AddGroups $addGroups): RedirectResponse
    {
        try {
            $groups = $addGroups($challenge, $request->names());
        } catch (UniqueConstraintViolationException|NoMarkIsLeftException $fault) {
            // Someone else was a moment quicker.
            return redirect()->route('groups.index', $challenge)->withInput()->withErrors([
                'names' => Text::of(
                    $fault instanceof NoMarkIsLeftException ? 'build.form.every_mark_is_in_use' : 'build.done.one_of_these_names_was_added',
                ),
            ]);
        }
        $said = count($groups) === 1
            ? Text::of('build.done.is_in', ['groups' => $groups[0]->name])
            : Text::of('build.done.groups_are_in', ['count' => count($groups)]);

        return redirect()->route('groups.index', $challenge)->with(
            'status',
            Text::of('build.done.record_their_cars_next', ['said' => $said]),
        );
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

    public function update(GroupRequest $request, Challenge $challenge, Group $group, ChangeGroup $change): RedirectResponse
    {
        $change->rename($group, $request->string('name')->toString(), $request->string('mark')->toString());

        return redirect()->route('groups.index', $challenge)->with('status', Text::of('build.done.is_saved', ['group' => $group->name]));
    }

    public function destroy(Challenge $challenge, Group $group, ChangeGroup $change): RedirectResponse
    {
        $change->remove($group);

        return redirect()->route('groups.index', $challenge)
            ->with('status', Text::of('build.done.is_removed_with_its_car_and', ['group' => $group->name]))
            ->with('putBack', route('groups.restore', [$challenge, $group]));
    }

    public function restore(Challenge $challenge, Group $group, ChangeGroup $change): RedirectResponse
    {
        try {
            $change->restore($challenge, $group);
        } catch (UniqueConstraintViolationException) {
            return redirect()->route('groups.index', $challenge)
                ->withErrors(['names' => Text::of('build.done.there_is_another_group_by_now', ['group' => $group->name])]);
        }

        return redirect()->route('groups.index', $challenge)->with(
            'status',
            Text::of('build.done.is_back_with_its_car_and', ['group' => $group->name]),
        );
    }

    /** @return array<int, CarReading> what each group's car says, by the id of the group */
    private function readings(Challenge $challenge, ClassRecord $record): array
    {
        $plan = ClassPlan::of($challenge);
        $allowances = Allowance::query()->whereIn(
            'car_id',
            $record->groups->map(static fn(Group $group): ?int => $group->currentCar()?->id)->filter(),
        )->get()->groupBy('car_id');
        $readings = [];
        foreach ($record->groups as $group) {
            $car = $group->currentCar();
            if ($car !== null) {
                $readings[$group->id] = new CarReading(
                    $car->choices,
                    $plan,
                    $plan->forGroup($group)->kitCar(),
                    $allowances->get($car->id) ?? [],
                );
            }
        }

        return $readings;
    }
}
