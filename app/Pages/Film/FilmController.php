<?php

declare(strict_types=1);

namespace App\Pages\Film;

use App\Access\Actor;
use App\Actions\RecordReadings;
use App\Language\Text;
use App\Language\Words;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Run;
use App\Models\User;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Motion\Film\UnreadableFilmException;
use Skivo\Core\People\DeviceRole;

/** A run on film. The film stays in the browser: what comes here is where the car was in each picture, and one picture in the end. */
final class FilmController
{
    /** So many runs are offered as what a film may be of. */
    private const OFFERED = 40;

    /** A film of a run that is on record. */
    public function show(Challenge $challenge, Run $run): View
    {
        Gate::authorize('logRuns', $run->load('car.group')->car->group);

        return $this->page($challenge, $run, $this->home($challenge, $run));
    }

    /** A film of a run that nobody logged yet, or of several. */
    public function open(Challenge $challenge): View
    {
        return $this->page($challenge, null, route('runs.show', $challenge));
    }

    /** What the pictures say, kept nowhere. */
    public function read(FilmRequest $request, Challenge $challenge, ?Run $run = null): JsonResponse
    {
        try {
            $film = FilmReading::of($challenge, $run?->car, $request->seen());
        } catch (UnreadableFilmException $unreadable) {
            return $this->fault($challenge, $unreadable);
        }
        $words = FilmWords::of($film, $challenge);
        $limp = $film->run->limpAfter === null ? null : $film->run->release->value + $film->run->limpAfter->value;

        return new JsonResponse([
            'figures' => $run === null ? $words->ofAnyCar() : $words->figures(),
            'notes' => $words->notes($run?->time),
            'release' => $film->run->release->value,
            'limp' => $limp,
            'tape' => $this->tape($challenge, $film),
        ]);
    }

    public function keep(FilmRequest $request, Challenge $challenge, Run $run, RecordReadings $record): JsonResponse
    {
        try {
            $film = FilmReading::of($challenge, $run->car, $request->seen());
        } catch (UnreadableFilmException $unreadable) {
            return $this->fault($challenge, $unreadable);
        }
        $question = FilmWords::of($film, $challenge)->isOfAnother($run->distance);
        if ($question !== null && !$request->boolean('confirmed')) {
            return new JsonResponse(['question' => $question], 409);
        }
        $kept = ['seen' => $request->seen()->toArray(), 'picture' => $request->picture()];
        $record->film($challenge, $run, Actor::of($request), $film->run->trace, $kept, FilmWords::of($film, $challenge)->record());
        session()->flash('status', Text::of('film.done.kept'));

        return new JsonResponse(
            ['go' => $request->user() instanceof User ? route('trace.show', [$challenge, $run]) : $this->home($challenge, $run)],
        );
    }

    /** Before its run is logged: it waits at its lane, and fills the run that is logged there next. */
    public function wait(FilmRequest $request, Challenge $challenge, RecordReadings $record): JsonResponse
    {
        try {
            $film = FilmReading::of($challenge, null, $request->seen());
        } catch (UnreadableFilmException $unreadable) {
            return $this->fault($challenge, $unreadable);
        }
        $record->waitingFilm($challenge, $request->lane(), $film->run->trace, [
            'seen' => $request->seen()->toArray(),
            'picture' => $request->picture(),
            'fills' => FilmWords::of($film, $challenge)->fills(),
        ]);
        session()->flash('status', Text::of('film.done.waits'));

        return new JsonResponse(['go' => route('runs.show', $challenge)]);
    }

    private function page(Challenge $challenge, ?Run $run, string $back): View
    {
        return view('film.show', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'run' => $run,
            'back' => $back,
            'runs' => $this->runs($challenge, $run),
            'waits' => Gate::allows('keepOrder', $challenge),
        ]);
    }

    /**
     * What a film may be of: the newest runs that none was kept with, those of its own group for a group's tablet.
     *
     * @return Collection<int, Run>
     */
    private function runs(Challenge $challenge, ?Run $run): Collection
    {
        $actor = request()->user();
        $own = $actor instanceof Device && $actor->role === DeviceRole::Group ? $actor->group_id : null;
        $runs = $challenge->runs()->with('car.group')
            ->whereDoesntHave('readings', static fn($readings) => $readings->whereNotNull('data->film'))
            ->when($own !== null, static fn($runs) => $runs->whereHas('car', static fn($car) => $car->where('group_id', $own)))
            ->when($run, static fn($runs, Run $besides) => $runs->whereKeyNot($besides->id))
            ->orderByDesc('logged_at')->orderByDesc('id')->limit(self::OFFERED)->get();

        return $run === null ? $runs : $runs->prepend($run);
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

    private function fault(Challenge $challenge, UnreadableFilmException $unreadable): JsonResponse
    {
        return new JsonResponse(['fault' => (new Words($challenge->units))->say($unreadable->remark())]);
    }

    /** @return list<array{float, string}> where on the line each round length is seen, and how it is written */
    private function tape(Challenge $challenge, FilmReading $film): array
    {
        $units = $challenge->units;
        $last = $units->fromSi($film->scale->placeM($film->scale->line->lengthPx), Scale::Lane);
        $ticks = [];
        for ($each = 0; $each <= min(60.0, $last); $each++) {
            $ticks[] = [
                $film->scale->alongPx($each / $units->fromSi(1.0, Scale::Lane)),
                $each === 0 ? '0' : "{$each}\u{00A0}{$units->symbol(Scale::Lane)}",
            ];
        }

        return $ticks;
    }
}
