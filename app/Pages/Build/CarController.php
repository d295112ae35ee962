<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Actions\AllowBreach;
use App\Actions\CarHasChangedException;
use App\Actions\ChangedOrCorrectedException;
use App\Actions\RecordCar;
use App\Forms\TypedCar;
use App\Language\CarWords;
use App\Language\Phrase;
use App\Language\Text;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\User;
use App\Pages\Group\GroupsOwnPath;
use App\Pages\Group\GuessTape;
use App\Record\CarReading;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use App\Record\DesignForecast;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Car\Car as Choices;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Notebook\Station;

/** A group's build sheet, its drawing, and what became of it from version to version. */
final class CarController
{
    public function edit(Request $request, Challenge $challenge, Group $group): View
    {
        $group->load(['cars.runs', 'cars.allowances.user']);
        $plan = ClassPlan::of($challenge)->forGroup($group);
        $record = ClassRecord::of($challenge);
        $car = $group->currentCar();
        $kit = $plan->kitCar();
        $fromKit = $request->boolean('kit');
        $held = $car->choices ?? new Choices();
        // What a photograph measured stands in the fields, and is on record once the sheet is saved.
        $measured = $request->boolean('photo') ? TypedCar::read($request->query(), $challenge->units, true) : new Choices();
        $shown = self::shown($request, $challenge, $measured->isEmpty() ? $held : $measured->over($held), $fromKit ? $kit : null);

        return view('build.car', [
            'challenge' => $challenge,
            'record' => $record,
            'group' => $group,
            'car' => $car,
            'kit' => $kit,
            'plan' => $plan,
            'fromKit' => $fromKit,
            'fromPhoto' => !$measured->isEmpty(),
            'scale' => $challenge->readings()->where('kind', 'mass')->whereNull('run_id')->where(
                'measured_at',
                '>',
                now()->subMinutes(10),
            )->reorder('measured_at', 'desc')->first(),
            'reading' => new CarReading($shown, $plan, $kit, $car->allowances ?? []),
            'price' => PriceWords::of($record, $shown, $car),
            'own' => $request->user() instanceof Device
                ? new GroupsOwnPath($record, $record->groups->firstWhere('id', $group->id) ?? $group, $plan)
                : null,
            'tape' => self::tape($record, $shown),
        ]);
    }

    public function update(CarRequest $request, Challenge $challenge, Group $group, RecordCar $recordCar): RedirectResponse
    {
        $reason = $request->input('reason');
        $before = $group->newestCar();
        /** @var User|Device $user */
        $user = $request->user();
        if ($request->choices()->isEmpty() && $request->choices()->note === null) {
            $said = $before === null || $before->choices->isEmpty()
                ? Text::of('build.done.nothing_is_filled_in_so_nothing')
                : Text::of('build.done.nothing_is_filled_in_so_the');

            return redirect()->to(self::sheet($challenge, $group))->with('status', $said);
        }
        $asVersion = $request->asNewVersion();
        $edition = $request->input('edition');
        try {
            $car = $recordCar(
                $group,
                $request->choices(),
                $asVersion,
                is_string($reason) ? $reason : null,
                $user,
                is_string($edition) ? $edition : null,
            );
        } catch (ChangedOrCorrectedException) {
            return redirect()->to(self::sheet($challenge, $group))
                ->withInput()
                ->withErrors(['save_as' => Text::of('build.car.changed_or_corrected')]);
        } catch (CarHasChangedException $changed) {
            return self::conflict($request, $challenge, $group, $changed->car);
        }
        $next = $request->boolean('then_next') ? $this->nextUnrecorded($challenge, $group) : null;

        return redirect()->to(match (true) {
            $user instanceof Device => route('path.show', [$challenge, $group, Station::Build]),
            $next !== null => route('cars.edit', [$challenge, $next]),
            $request->boolean('then_stay') => route('cars.edit', [$challenge, $group]),
            default => route('groups.index', $challenge),
        })->with('status', self::recorded($challenge, $group, $before, $car));
    }

    /** What was typed stays in the form; saving it again is then a choice, not a chance. */
    private static function conflict(CarRequest $request, Challenge $challenge, Group $group, Car $there): RedirectResponse
    {
        $last = $there->changes()->with(['user', 'device'])->reorder('id', 'desc')->first();

        return redirect()->to(self::sheet($challenge, $group))->withInput($request->except('edition'))->with('conflict', [
            'by' => $last?->by() ?? Text::of('build.done.somebody_else'),
            'now' => CarWords::differences($request->choices(), $there->choices, $challenge->units),
        ]);
    }

    /** What is said of a car that was recorded. */
    private static function recorded(Challenge $challenge, Group $group, ?Car $before, Car $car): string
    {
        $version = $car->version > 1 ? Text::of('build.done.version', ['version' => $car->version]) : '';
        $said = ['group' => Phrase::possessive($group->name), 'version' => $car->version];

        return match (true) {
            $before !== null && $car->version < $before->version => Text::of('build.done.car_is_as_it_was', $said),
            $before !== null && $car->id !== $before->id => Text::of(
                'build.done.car_is_version_now',
                $said + ['choices' => CarWords::change($before->choices, $car->choices, $challenge->units)],
            ),
            $before !== null && $before->choices->changesTo($car->choices) === [] && $before->runs()->exists() => Text::of(
                'build.done.nothing_was_changed_so_car_stays',
                $said,
            ),
            default => Text::of('build.done.car_is_recorded', ['version' => $version] + $said),
        };
    }

    /** The drawing of a sheet that is still being filled in. */
    public function draw(Request $request, Challenge $challenge, Group $group): View
    {
        $plan = ClassPlan::of($challenge)->forGroup($group);
        $record = ClassRecord::of($challenge);
        $car = TypedCar::read($request->query(), $request->enum('typed_in', UnitSystem::class) ?? $challenge->units, true);

        return view('build.drawing', [
            'challenge' => $challenge,
            'reading' => new CarReading($car, $plan, $plan->kitCar(), $group->newestCar()->allowances ?? []),
            'price' => PriceWords::of($record, $car, $group->newestCar()),
            'tape' => self::tape($record, $car),
        ]);
    }

    public function versions(Challenge $challenge, Group $group): View
    {
        $group->load(['cars.runs', 'cars.changes.user', 'cars.changes.device']);

        return view('build.versions', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'group' => $group]);
    }

    public function allow(Request $request, Challenge $challenge, Group $group, string $rule, AllowBreach $breach): RedirectResponse
    {
        $request->validate(
            ['allow_reason' => ['required', 'string', 'max:' . Limits::NOTE_CHARACTERS]],
            ['allow_reason.*' => Text::of('build.done.say_in_a_few_words_why')],
        );
        $car = $this->newest($group);
        /** @var User $user */
        $user = $request->user();
        abort_if(mb_strlen($rule) > 40, 404);
        $breach->allow($car, $rule, $user, $request->string('allow_reason')->toString());

        return redirect()->to(route('cars.edit', [$challenge, $group]) . '#rules')->with(
            'status',
            Text::of('build.done.allowed_and_noted_with_the_car'),
        );
    }

    public function disallow(Challenge $challenge, Group $group, string $rule, AllowBreach $breach): RedirectResponse
    {
        $breach->withdraw($this->newest($group), $rule);

        return redirect()->to(
            route('cars.edit', [$challenge, $group]) . '#rules',
        )->with('status', Text::of('build.done.no_longer_allowed'));
    }

    /** Where such a car will stop, on the lane's tape; null where too little is known of it. */
    private static function tape(ClassRecord $record, Choices $car): ?GuessTape
    {
        $forecast = DesignForecast::of($record, $car);

        return $forecast === null
            ? null
            : new GuessTape($record->challenge->units, $record->challenge->lane_length->quantity->si(), $forecast);
    }

    private static function sheet(Challenge $challenge, Group $group): string
    {
        return route('cars.edit', [$challenge, $group]);
    }

    private function newest(Group $group): Car
    {
        return $group->newestCar() ?? abort(404);
    }

    /** The sheet as the form shows it: what was typed and refused, or what is on record, with the kit's values where asked for. */
    private static function shown(Request $request, Challenge $challenge, Choices $held, ?Choices $kit): Choices
    {
        $typed = $request->session()->getOldInput();
        if ($typed !== []) {
            return TypedCar::read($typed, UnitSystem::tryFrom((string) ($typed['typed_in'] ?? '')) ?? $challenge->units, true);
        }

        return $kit === null ? $held : $held->completedBy($kit);
    }

    private function nextUnrecorded(Challenge $challenge, Group $after): ?Group
    {
        $waiting = $challenge->groups()->with('cars')->get()->filter(
            static fn(Group $group): bool => $group->id !== $after->id && $group->currentCar()?->choices->isEmpty() !== false,
        );

        return $waiting->firstWhere('position', '>', $after->position) ?? $waiting->first();
    }
}
