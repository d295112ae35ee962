<?php

declare(strict_types=1);

namespace App\Pages\Race;

use App\Access\Actor;
use App\Actions\HeatHasMovedOnException;
use App\Actions\IdIsTakenException;
use App\Actions\RaceHasBegunException;
use App\Actions\RecordRaceEvent;
use App\Actions\SetRace;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Race;
use App\Models\User;
use App\Pages\Run\FloorState;
use App\Record\ClassRecord;
use App\Record\RaceReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Race\RacePlan;

/** Races of a class: set by its educator, kept by whoever keeps the floor. */
final class RaceController
{
    public function index(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $races = $challenge->races()
            ->with('events')
            ->get()
            ->map(static fn(Race $race): RaceReading => new RaceReading($race->setRelation('challenge', $challenge)));

        return view('race.index', [
            'challenge' => $challenge, 'record' => $record, 'races' => $races,
            'offer' => self::offer($request, $challenge, $record),
            'lengthM' => RaceOffer::lengthM($record),
            'mayPlan' => $request->user() instanceof User,
        ]);
    }

    /** What the race that is being planned would take, as its form is filled in. */
    public function fits(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        $typed = $request->string('wins')->toString() === 'farther'
            ? null
            : ReadsAs::read($request->input('length'), $challenge->units->unit(Scale::Lane) ?? Unit::Metre);

        return view(
            'race.fits',
            [
                'challenge' => $challenge, 'record' => $record, 'offer' => self::offer($request, $challenge, $record),
                'lengthM' => $typed?->quantity->si(),
            ],
        );
    }

    public function store(RaceRequest $request, Challenge $challenge, SetRace $set): RedirectResponse
    {
        $race = $set($challenge, $request->plan(), $request->length());

        return redirect()->route('races.show', [$challenge, $race])->with('status', Text::of('race.done.set'));
    }

    public function show(Challenge $challenge, Race $race): View
    {
        return view('race.show', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'reading' => self::reading($challenge, $race),
        ]);
    }

    /** The race as it is now, in pieces, for a page that is open already. */
    public function state(Challenge $challenge, Race $race): JsonResponse
    {
        return response()->json(FloorState::ofRace($challenge, $race) + ['token' => csrf_token()]);
    }

    public function record(
        RaceEventRequest $request,
        Challenge $challenge,
        Race $race,
        RecordRaceEvent $record,
    ): JsonResponse|RedirectResponse {
        $event = $request->event();
        $questions = $request->questions();
        if ($questions !== []) {
            return $request->expectsJson()
                ? response()->json(['questions' => $questions], 409)
                : redirect()->route('races.show', [$challenge, $race])->withInput()->with('asked', implode(',', array_keys($questions)))
                    ->withErrors(['do' => implode(' ', $questions)]);
        }
        try {
            $recorded = $record(
                $race->setRelation('challenge', $challenge),
                $event,
                $request->why(),
                $request->seen(),
                $request->madeAt(),
                Actor::of($request),
                $request->runs(),
            );
        } catch (IdIsTakenException) {
            throw ValidationException::withMessages(['do' => Text::of('race.form.this_page_is_old')]);
        } catch (HeatHasMovedOnException $moved) {
            $said = RaceWords::movedOn(self::reading($challenge, $race->refresh()), $moved->heat);

            return $request->expectsJson()
                ? response()->json(['errors' => ['do' => [$said]]], 422)
                : redirect()->route('races.show', [$challenge, $race])->withErrors(['do' => $said]);
        }
        $said = RaceWords::said(self::reading($challenge, $race->refresh()), $recorded);

        return $request->expectsJson()
            ? response()->json(['id' => $event->id, 'said' => $said], $recorded->wasRecentlyCreated ? 201 : 200)
            : redirect()->route('races.show', [$challenge, $race])->with('status', $said);
    }

    /** Draws its order anew, removes it before it has begun, ends it, or opens it again. */
    public function update(Request $request, Challenge $challenge, Race $race, SetRace $set): RedirectResponse
    {
        $do = $request->string('do')->toString();
        try {
            match ($do) {
                'draw' => $set->drawAnew($race),
                'remove' => $set->remove($race),
                'end' => $set->end($race, true),
                'open' => $set->end($race, false),
                default => abort(404),
            };
        } catch (RaceHasBegunException) {
            return redirect()->route('races.show', [$challenge, $race])->withErrors(['do' => Text::of('race.form.it_has_begun')]);
        }

        return ($do === 'remove' ? redirect()->route('races.index', $challenge) : redirect()->route('races.show', [$challenge, $race]))
            ->with('status', Text::of("race.done.{$do}", ['lot' => $race->lot]));
    }

    private static function reading(Challenge $challenge, Race $race): RaceReading
    {
        return new RaceReading($race->load(['events.user', 'events.device'])->setRelation('challenge', $challenge));
    }

    private static function offer(Request $request, Challenge $challenge, ClassRecord $record): RaceOffer
    {
        $number = static fn(string $field, float $usual, float $least, float $most): float => min(
            $most,
            max($least, is_numeric($given = str_replace(',', '.', $request->string($field)->toString())) ? (float) $given : $usual),
        );
        $cars = $request->has('kind')
            ? count(RaceRequest::ticked($request, $record->groups->pluck('id')->all()))
            : $record->groups->reject(static fn(Group $group): bool => $group->is_withdrawn)->count();

        return new RaceOffer(
            min(RacePlan::MOST, $cars),
            (int) $number('lanes', max(2, $challenge->lanes), 1, Limits::MOST_LANES),
            $number('heat_min', $challenge->sessionPlan()->heat_min, 0.5, 60),
            $number('repair_min', 3, 0, 60),
            $number('minutes', 30, 1, 1440),
        );
    }
}
