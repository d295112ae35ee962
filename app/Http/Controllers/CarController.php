<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordCar;
use App\Http\Requests\CarRequest;
use App\Models\Challenge;
use App\Models\Group;
use App\Reading\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** A group's build sheet. */
final class CarController
{
    public function edit(Challenge $challenge, Group $group): View
    {
        $group->load('cars.runs');

        return view('build.car', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'group' => $group,
            'car' => $group->currentCar(),
        ]);
    }

    public function update(CarRequest $request, Challenge $challenge, Group $group, RecordCar $recordCar): RedirectResponse
    {
        $reason = $request->input('reason');
        $car = $recordCar(
            $group,
            $request->choices(),
            $request->input('save_as') === 'version',
            is_string($reason) ? $reason : null,
        );
        $next = $request->boolean('then_next') ? $this->nextUnrecorded($challenge, $group) : null;
        $version = $car->version > 1 ? ", version {$car->version}," : '';

        return redirect()
            ->to($next === null ? route('groups.index', $challenge) : route('cars.edit', [$challenge, $next]))
            ->with('status', "{$group->name}’s car{$version} is recorded.");
    }

    private function nextUnrecorded(Challenge $challenge, Group $after): ?Group
    {
        $waiting = $challenge->groups()->with('cars')->get()->filter(
            static fn(Group $group): bool => $group->id !== $after->id && $group->currentCar()?->choices->isEmpty() !== false,
        );

        return $waiting->firstWhere('position', '>', $after->position) ?? $waiting->first();
    }
}
