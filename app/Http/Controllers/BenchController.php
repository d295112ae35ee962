<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Lock;
use App\Http\Requests\BenchRequest;
use App\Http\Requests\PumpRequest;
use App\Models\BenchReading;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\PumpReading;
use App\Models\User;
use App\Reading\ClassForces;
use App\Reading\ClassRecord;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Exchange\Csv;

/** The bench: what measures a car's forces, and what came out, for the class and for each car. */
final class BenchController
{
    /** A scale's reading that is older belongs to something else. */
    private const SCALE_MINUTES = 10;

    public function index(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('bench.index', [
            'challenge' => $challenge,
            'record' => $record,
            'forces' => new ClassForces($record),
            'pumped' => $challenge->pumpReadings()->get(),
        ]);
    }

    public function edit(Request $request, Challenge $challenge, Group $group): View
    {
        $record = ClassRecord::of($challenge);
        $own = $record->groups->firstWhere('id', $group->id) ?? $group;
        $car = $this->version($own, $request);

        return view('bench.car', [
            'challenge' => $challenge,
            'record' => $record,
            'group' => $own,
            'car' => $car,
            'forces' => $car === null ? null : (new ClassForces($record))->of($car),
            'readings' => $car === null ? collect() : $car->benchReadings()->get()->groupBy(static fn(BenchReading $reading): string => $reading->test->value),
            'weighed' => $challenge->readings()->whereIn('kind', ['mass', 'thrust'])->where('measured_at', '>', now()->subMinutes(self::SCALE_MINUTES))->reorder('measured_at', 'desc')->limit(4)->get(),
        ]);
    }

    public function update(BenchRequest $request, Challenge $challenge, Group $group, BenchTest $test): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        [$version, $replaced] = DB::transaction(function () use ($request, $group, $test, $user): array {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $car = $this->version($group->load('cars'), $request) ?? $group->carToRun();
            $replaced = $car->benchReadings()->where('test', $test->value)->delete();
            foreach ($request->repeats() as $entries) {
                $reading = $car->benchReadings()->make(['user_id' => $user->id, 'test' => $test]);
                $reading->put($entries);
                $reading->save();
            }

            return [$car->version, $replaced];
        });
        $address = ['challenge' => $challenge, 'group' => $group, 'version' => $version];

        return redirect()->to(route('bench.edit', $address) . "#{$test->value}")
            ->with('status', $request->repeats() === [] ? "{$test->label()}: cleared." : "{$test->label()} of {$group->name} is saved.")
            ->with($replaced > 0 ? ['putBack' => route('bench.restore', [$challenge, $group, $test->value, 'version' => $version])] : []);
    }

    /** What was typed over last comes back; what stands there now goes on record in its place. */
    public function restore(Request $request, Challenge $challenge, Group $group, BenchTest $test): RedirectResponse
    {
        $car = $this->version($group->load('cars'), $request) ?? abort(404);
        $back = DB::transaction(static function () use ($car, $group, $test): int {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $readings = $car->benchReadings()->withTrashed()->where('test', $test->value)->get();
            $last = $readings->max(static fn(BenchReading $reading): ?CarbonImmutable => $reading->deleted_at);
            if ($last === null) {
                return 0;
            }
            $before = $readings->filter(static fn(BenchReading $reading): bool => $reading->deleted_at?->equalTo($last) === true);
            BenchReading::query()->whereKey($readings->whereNull('deleted_at')->modelKeys())->delete();

            return BenchReading::query()->onlyTrashed()->whereKey($before->modelKeys())->restore();
        });

        return redirect()->to(route('bench.edit', ['challenge' => $challenge, 'group' => $group, 'version' => $car->version]) . "#{$test->value}")
            ->with('status', $back === 0 ? "{$test->label()}: nothing stood there before." : "{$test->label()} of {$group->name} is as it was.")
            ->with($back === 0 ? [] : ['putBack' => route('bench.restore', [$challenge, $group, $test->value, 'version' => $car->version])]);
    }

    public function pump(PumpRequest $request, Challenge $challenge): RedirectResponse
    {
        DB::transaction(static function () use ($request, $challenge): void {
            $challenge->pumpReadings()->delete();
            foreach ($request->readings() as [$strokes, $size]) {
                $challenge->pumpReadings()->save(new PumpReading(['strokes' => $strokes, 'size' => $size, 'measured_as' => $request->measuredAs()]));
            }
        });

        return redirect()->to(route('bench.index', $challenge) . '#pump')->with('status', 'The pump is saved: it serves every car whose strokes were counted.');
    }

    /** Every reading of every bench test, a repeat a line, as typed. */
    public function download(Challenge $challenge): Response
    {
        $rows = [['group', 'version', 'test', 'repeat', 'reading', 'as typed', 'in SI']];
        $groups = $challenge->groups()->with('cars.benchReadings')->get();
        foreach ($groups as $group) {
            foreach ($group->cars as $car) {
                $repeats = [];
                foreach ($car->benchReadings as $reading) {
                    $repeat = $repeats[$reading->test->value] = ($repeats[$reading->test->value] ?? 0) + 1;
                    foreach ($reading->test->fields() as $index => $field) {
                        $rows[] = [Csv::text($group->name), (string) $car->version, $reading->test->label(), (string) $repeat, $field->label, $reading->texts()[$index], isset($reading->values()[$index]) ? (string) round($reading->values()[$index], 6) : ''];
                    }
                }
            }
        }

        return response(Csv::write($rows))->header('Content-Type', 'text/csv; charset=UTF-8')->header('Content-Disposition', 'attachment; filename="bench.csv"');
    }

    /** The version that is asked for, else the newest. */
    private function version(Group $group, Request $request): ?Car
    {
        return $group->cars->firstWhere('version', $request->integer('version')) ?? $group->currentCar();
    }
}
