<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Actions\CarHasChangedException;
use App\Actions\ChangedOrCorrectedException;
use App\Actions\RecordCars;
use App\Forms\TypedCar;
use App\Language\CarWords;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\User;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\UnitSystem;

/** The cars of all groups at once. */
final class CarsController
{
    public function edit(Request $request, Challenge $challenge): View
    {
        $old = $request->old('columns');
        $sent = is_string($old) ? explode(',', $old) : [];
        $more = array_values(array_filter(
            CarAttribute::recorded(),
            static fn(CarAttribute $each): bool => $request->boolean("more_{$each->value}") || in_array($each->value, $sent, true),
        ));

        return view('build.cars', ['challenge' => $challenge, 'all' => new AllCars($challenge, ClassRecord::of($challenge), $more)]);
    }

    public function update(CarsRequest $request, Challenge $challenge, RecordCars $record): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        try {
            $count = $record($challenge, $request->cars(), $request->names(), $request->editions(), $request->asNewVersions(), $user);
        } catch (ChangedOrCorrectedException $unsaid) {
            return redirect()->to($this->table($request, $challenge))->withInput()
                ->withErrors(['save_as' => Text::of('build.cars.changed_or_corrected')])
                ->with('changed', array_map(
                    static fn(array $each): string => Text::of('build.cars.would_read', [
                        'group' => $each[0]->group->name,
                        'changes' => CarWords::change($each[0]->choices, $each[1], $challenge->units),
                    ]),
                    $unsaid->cars,
                ));
        } catch (CarHasChangedException $changed) {
            $id = $changed->car->group_id;

            // What was typed stays; sent again it is a choice, not a chance.
            return redirect()->to($this->table($request, $challenge))->withInput($request->except("edition_{$id}"))->withErrors([
                "name_{$id}" => Text::of('build.cars.somebody_changed_this_car', ['group' => $changed->car->group->name]),
            ]);
        }

        return redirect()->to($this->table($request, $challenge))->with('status', Text::plural('build.cars.cars_are_recorded', $count));
    }

    /** How a car looks while its row is filled in, small, with what will not work. */
    public function draw(Request $request, Challenge $challenge, Group $group): View
    {
        $typed = TypedCar::read($request->query(), $request->enum('typed_in', UnitSystem::class) ?? $challenge->units, true);
        $held = $group->newestCar()?->choices;
        $all = new AllCars($challenge, ClassRecord::of($challenge));

        return view('build.row-drawing', [
            'challenge' => $challenge, 'reading' => $all->reading($group, $held === null ? $typed : $typed->completedBy($held)),
        ]);
    }

    /** With the columns that it had. */
    private function table(CarsRequest $request, Challenge $challenge): string
    {
        $usual = $challenge->rules()->recorded($challenge->asks);
        $more = array_filter($request->columns(), static fn(CarAttribute $each): bool => !in_array($each, $usual, true));

        return route(
            'cars.all',
            [$challenge] + array_fill_keys(array_map(static fn(CarAttribute $each): string => "more_{$each->value}", $more), '1'),
        );
    }
}
