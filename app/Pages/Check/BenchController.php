<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Actions\RecordBench;
use App\Actions\RecordPump;
use App\Language\Label;
use App\Language\Text;
use App\Models\BenchReading;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\User;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
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

        return view('check.bench', [
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

        return view('check.bench-car', [
            'challenge' => $challenge,
            'record' => $record,
            'group' => $own,
            'car' => $car,
            'class' => $class = new ClassForces($record),
            'forces' => $car === null ? null : $class->of($car),
            'readings' => $car === null
                ? collect()
                : $car->benchReadings()->get()->groupBy(static fn(BenchReading $reading): string => $reading->test->value),
            'weighed' => $challenge->readings()->whereIn('kind', ['mass', 'thrust'])->where(
                'measured_at',
                '>',
                now()->subMinutes(self::SCALE_MINUTES),
            )->reorder('measured_at', 'desc')->limit(4)->get(),
        ]);
    }

    public function update(
        BenchRequest $request,
        Challenge $challenge,
        Group $group,
        BenchTest $test,
        RecordBench $record,
    ): RedirectResponse {
        /** @var User $user */
        $user = $request->user();
        [$version, $replaced] = $record($group, $request->integer('version') ?: null, $test, $request->repeats(), $user);
        $address = ['challenge' => $challenge, 'group' => $group, 'version' => $version];

        return redirect()->to(route('bench.edit', $address) . "#{$test->value}")
            ->with(
                'status',
                $request->repeats() === []
                    ? Text::of('bench.done.cleared', ['test' => Label::of($test)])
                    : Text::of('bench.done.of_is_saved', ['test' => Label::of($test), 'group' => $group->name]),
            )
            ->with($replaced ? ['putBack' => route('bench.restore', [$challenge, $group, $test->value, 'version' => $version])] : []);
    }

    public function restore(Request $request, Challenge $challenge, Group $group, BenchTest $test, RecordBench $record): RedirectResponse
    {
        $car = $this->version($group->load('cars'), $request) ?? abort(404);
        $back = $record->restore($car, $test);

        return redirect()->to(
            route('bench.edit', ['challenge' => $challenge, 'group' => $group, 'version' => $car->version]) . "#{$test->value}",
        )
            ->with(
                'status',
                $back
                    ? Text::of('bench.done.of_is_as_it_was', ['test' => Label::of($test), 'group' => $group->name])
                    : Text::of('bench.done.nothing_stood_there_before', ['test' => Label::of($test)]),
            )
            ->with($back ? ['putBack' => route('bench.restore', [$challenge, $group, $test->value, 'version' => $car->version])] : []);
    }

    public function pump(PumpRequest $request, Challenge $challenge, RecordPump $record): RedirectResponse
    {
        $record($challenge, $request->readings(), $request->measuredAs());

        return redirect()->to(route('bench.index', $challenge) . '#pump')->with(
            'status',
            Text::of('bench.done.the_pump_is_saved_it_serves'),
        );
    }

    /** Every reading of every bench test, a repeat a line, as typed. */
    public function download(Challenge $challenge): Response
    {
        $rows = [['group', 'version', 'test', 'repeat', 'reading', Text::of('bench.done.as_typed'), Text::of('bench.done.in_si')]];
        $groups = $challenge->groups()->with('cars.benchReadings')->get();
        foreach ($groups as $group) {
            foreach ($group->cars as $car) {
                $repeats = [];
                foreach ($car->benchReadings as $reading) {
                    $repeat = $repeats[$reading->test->value] = ($repeats[$reading->test->value] ?? 0) + 1;
                    foreach ($reading->test->fields() as $index => $field) {
                        $rows[] = [
                            Csv::text($group->name),
                            (string) $car->version,
                            Label::of($reading->test),
                            (string) $repeat,
                            Label::of($field),
                            $reading->texts()[$index],
                            isset($reading->values()[$index])
                                ? (string) round($reading->values()[$index], 6)
                                : '',
                        ];
                    }
                }
            }
        }

        return response(Csv::write($rows))->header('Content-Type', 'text/csv; charset=UTF-8')->header(
            'Content-Disposition',
            'attachment; filename="bench.csv"',
        );
    }

    /** The version that is asked for, else the newest. */
    private function version(Group $group, Request $request): ?Car
    {
        return $group->cars->firstWhere('version', $request->integer('version')) ?? $group->currentCar();
    }
}
