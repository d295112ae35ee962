<?php

declare(strict_types=1);

namespace App\Pages\Race;

use App\Forms\InUnitsOfTheClass;
use App\Forms\JudgesQuantities;
use App\Forms\MadeByADevice;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Race;
use App\Record\ExpectedRun;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Race\EventKind;
use Skivo\Core\Race\RaceEvent as CoreEvent;

/**
 * One tap at a race, with what was measured in the heat. What was tapped is said in one field: "won:1-2:12:14:0" (in heat 1-2,
 * not run before, 12 beat 14), "together" and "neither" likewise, "broke" for the one that broke and so lost; "repair:12" and
 * "ready", "out", "back" likewise; "undone:" and the id of what did not happen.
 */
final class RaceEventRequest extends FormRequest
{
    use InUnitsOfTheClass;
    use JudgesQuantities;
    use MadeByADevice;

    private const OF_A_HEAT = 'won|broke|together|neither';
    private const OF_A_CAR = 'repair|ready|out|back';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [
            'do' => [
                'required', 'string',
                'regex:/^(('
                    . self::OF_A_HEAT
                    . '):\d{1,3}-\d{1,3}:\d{1,18}:\d{1,18}:\d{1,4}|('
                    . self::OF_A_CAR
                    . '):\d{1,18}|undone:[0-9a-f-]{36})$/',
            ],
        ] + self::ruleOfIdAndMoment();
        foreach ($this->fields() as [$distance, $time]) {
            $rules[$distance] = ['nullable', 'string', new ReadsAs($this->bareUnit(), Limits::distanceComplaint(...), $this->units())];
            $rules[$time] = ['nullable', 'string', new ReadsAs(Unit::Second, Limits::timeComplaint(...), $this->units())];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'do.*' => Text::of('race.form.this_page_is_old'), 'id.*' => Text::of('race.form.this_page_is_old'),
            'made_at.*' => Text::of('race.form.this_page_is_old'),
        ];
    }

    public function event(): CoreEvent
    {
        $said = $this->said();

        return match (true) {
            in_array($said[0], explode('|', self::OF_A_CAR), true) => new CoreEvent(
                $this->id(),
                EventKind::from($said[0]),
                entrant: $said[1],
            ),
            $said[0] === 'undone' => new CoreEvent($this->id(), EventKind::Undone, undoes: $said[1]),
            $said[0] === 'won' => new CoreEvent($this->id(), EventKind::Won, $said[1], $said[2], $said[3]),
            // Who breaks loses its heat.
            $said[0] === 'broke' => new CoreEvent($this->id(), EventKind::Won, $said[1], $said[3], $said[2]),
            default => new CoreEvent($this->id(), EventKind::Again, $said[1], $said[2], $said[3]),
        };
    }

    /** Why a heat was won or is run again, where it is not simply who was first. */
    public function why(): ?string
    {
        return in_array($this->said()[0], ['together', 'neither', 'broke'], true) ? $this->said()[0] : null;
    }

    /** How often the heat had been run when it was looked at. */
    public function seen(): int
    {
        return (int) ($this->said()[4] ?? 0);
    }

    /**
     * @return array<int, RunRecord> what was measured, by the id of the group
     *
     * @throws ValidationException where it says another winner than the tap
     */
    public function runs(): array
    {
        $race = $this->race();
        $measured = [];
        foreach ($this->fields() as $id => [$distanceField, $timeField]) {
            $distance = ReadsAs::read($this->input($distanceField), $this->bareUnit());
            $time = $race->takesTimes() ? ReadsAs::read($this->input($timeField), Unit::Second) : null;
            if ($distance !== null || $time !== null) {
                // Who was timed across the length went at least so far.
                $measured[$id] = new RunRecord($distance ?? $race->length, $time, kind: RunKind::Heat, pastEnd: $distance === null);
            }
        }
        $this->agree($measured);

        return $measured;
    }

    /**
     * What looks like a slip and has not been confirmed yet.
     *
     * @return array<string, string> by field
     */
    public function questions(): array
    {
        $race = $this->race();
        $questions = [];
        foreach ($this->fields() as $id => [$distance]) {
            $group = $this->filled($distance) ? Group::query()->where('challenge_id', $race->challenge_id)->find($id) : null;
            if ($group !== null) {
                $questions[$distance] = $this->slipIn(
                    $distance,
                    ExpectedRun::of($race->challenge, $group),
                    $this->bareUnit(),
                    Scale::Distance,
                );
            }
        }

        return array_diff_key(
            array_filter($questions, static fn(?string $asked): bool => $asked !== null),
            array_flip(explode(',', (string) $this->input('confirmed'))),
        );
    }

    /** @param array<int, RunRecord> $measured */
    private function agree(array $measured): void
    {
        $said = $this->said();
        if ($said[0] !== 'won' || count($measured) !== 2) {
            return;
        }
        [$winner, $loser] = [$measured[(int) $said[2]], $measured[(int) $said[3]]];
        $isAcross = $this->race()->length !== null;
        $isOther = $isAcross
            ? $winner->time !== null && $loser->time !== null && $winner->time->quantity->si() > $loser->time->quantity->si()
            : ($winner->distance?->quantity->si() ?? 0.0) < ($loser->distance?->quantity->si() ?? 0.0);
        if ($isOther) {
            throw ValidationException::withMessages(['do' => Text::of(
                $isAcross ? 'race.form.the_other_was_faster' : 'race.form.the_other_went_farther',
                ['winner' => $this->name((int) $said[2]), 'other' => $this->name((int) $said[3])],
            )]);
        }
    }

    private function name(int $group): string
    {
        return (string) Group::query()->withTrashed()->whereKey($group)->value('name');
    }

    /** @return array<int, array{string, string}> the fields of distance and time, by the id of the group */
    private function fields(): array
    {
        $said = $this->said();

        return count($said) === 5 ? [
            (int) $said[2] => ["distance_{$said[1]}_{$said[2]}", "time_{$said[1]}_{$said[2]}"],
            (int) $said[3] => ["distance_{$said[1]}_{$said[3]}", "time_{$said[1]}_{$said[3]}"],
        ] : [];
    }

    /** @return list<string> */
    private function said(): array
    {
        return explode(':', $this->string('do')->toString());
    }

    private function bareUnit(): Unit
    {
        return $this->units()->unit(Scale::Distance) ?? Unit::Centimetre;
    }

    private function race(): Race
    {
        [$race, $challenge] = [$this->route('race'), $this->route('challenge')];
        assert($race instanceof Race && $challenge instanceof Challenge);

        return $race->setRelation('challenge', $challenge);
    }
}
