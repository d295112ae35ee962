<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Actor;
use App\Actions\RecordReadings;
use App\Http\Requests\FilmRequest;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Run;
use App\Models\User;
use App\Presenters\FilmWords;
use App\Presenters\Text;
use App\Presenters\Words;
use App\ViewModels\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Challenge\DeviceRole;
use Skivo\Core\Film\FilmedCar;
use Skivo\Core\Film\FilmedRun;
use Skivo\Core\Film\LaneScale;
use Skivo\Core\Film\UnreadableFilmException;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;

/** A run on film. The film stays in the browser: what comes here is where the car was in each picture, and one picture in the end. */
final class FilmController
{
    public function show(Challenge $challenge, Run $run): View
    {
        Gate::authorize('logRuns', $run->load('car.group')->car->group);

        return view('film.show', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge), 'run' => $run, 'back' => $this->home($challenge, $run)]);
    }

    /** Where whoever reads the film came from: a group's tablet knows its own page, a helper's the lane. */
    private function home(Challenge $challenge, Run $run): string
    {
        $actor = request()->user();

        return match (true) {
            $actor instanceof Device && $actor->role === DeviceRole::Group => route('groups.own', [$challenge, $run->car->group]),
            default => route('runs.index', $challenge) . "#run-{$run->id}",
        };
    }

    /** What the pictures say, kept nowhere. */
    public function read(FilmRequest $request, Challenge $challenge, Run $run): JsonResponse
    {
        try {
            [$film, $scale] = $this->film($request, $challenge, $run);
        } catch (UnreadableFilmException $unreadable) {
            return new JsonResponse(['fault' => (new Words($challenge->units))->say($unreadable->remark())]);
        }
        $words = new FilmWords($film, $scale, $challenge->units, $challenge->timed_length?->quantity->si());
        $limp = $film->limpAfter === null ? null : $film->release->value + $film->limpAfter->value;

        return new JsonResponse([
            'figures' => $words->figures(),
            'notes' => $words->notes($run->time),
            'release' => $film->release->value,
            'limp' => $limp,
            'tape' => $this->tape($challenge, $scale),
        ]);
    }

    public function keep(FilmRequest $request, Challenge $challenge, Run $run, RecordReadings $record): JsonResponse
    {
        try {
            [$film, $scale] = $this->film($request, $challenge, $run);
        } catch (UnreadableFilmException $unreadable) {
            return new JsonResponse(['fault' => (new Words($challenge->units))->say($unreadable->remark())]);
        }
        $words = new FilmWords($film, $scale, $challenge->units, $challenge->timed_length?->quantity->si());
        $record->film($challenge, $run, Actor::of($request), $film->trace, [
            'said' => $words->figures(),
            'fit' => $film->fitted(),
            'limp_m' => $film->limpAt === null ? null : $film->startsAtM + $film->limpAt->value,
            'picture' => $request->picture(),
        ] + $request->asSent(), $words->record());
        session()->flash('status', Text::of('film.done.kept'));

        return new JsonResponse(['go' => $request->user() instanceof User ? route('trace.show', [$challenge, $run]) : $this->home($challenge, $run)]);
    }

    /**
     * @return array{FilmedRun, LaneScale}
     *
     * @throws UnreadableFilmException
     */
    private function film(FilmRequest $request, Challenge $challenge, Run $run): array
    {
        $scale = LaneScale::of($request->line(), $request->marks());
        $model = CarModel::of($run->car->choices, $challenge->catalogue(), $challenge->surface, $challenge->air_temperature_c);
        $isWeighed = ($model->origins[CarAttribute::Mass->value] ?? null) === Origin::Measured;
        try {
            $car = FilmedCar::of($model->settings, $isWeighed);
        } catch (OutOfRangeException) {
            $car = FilmedCar::usual();
        }

        return [FilmedRun::of($request->points(), $scale, $car, $request->sight()), $scale];
    }

    /** @return list<array{float, string}> where on the line each round length is seen, and how it is written */
    private function tape(Challenge $challenge, LaneScale $scale): array
    {
        $units = $challenge->units;
        $last = $units->fromSi($scale->placeM($scale->line->lengthPx), Scale::Lane);
        $ticks = [];
        for ($each = 0; $each <= min(60.0, $last); $each++) {
            $ticks[] = [$scale->alongPx($each / $units->fromSi(1.0, Scale::Lane)), $each === 0 ? '0' : "{$each}\u{00A0}{$units->symbol(Scale::Lane)}"];
        }

        return $ticks;
    }
}
