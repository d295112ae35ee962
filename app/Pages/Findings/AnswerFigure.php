<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\Text;
use App\Record\ClassFindings;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Car\Part\PartName;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\FittedCar;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** One effect on one graph: what was chosen along the bottom, what came of it upwards, in shown units. */
final readonly class AnswerFigure
{
    private const POINTS = 16;

    private UnitSystem $units;

    public function __construct(
        private ClassRecord $record,
        private ClassFindings $findings,
        public Effect $effect,
    ) {
        $this->units = $record->challenge->units;
    }

    /**
     * @param string $factor what the attribute is called
     *
     * @return array<string, mixed>
     */
    public function figure(string $factor): array
    {
        $byId = $this->record->carsById();
        $compared = [];
        foreach ($this->effect->fitted as $fitted) {
            $compared[$fitted->car->id] = $fitted->x;
        }
        $points = $places = [];
        foreach ($this->findings->found->cars as $car) {
            $sample = $car->of($this->effect->outcome);
            $ofPart = $this->effect->from === null ? $compared[$car->id] ?? null : null;
            $x = $car->choices->explanation($this->effect->factor) ?? $ofPart ?? $this->ofKit($car);
            [$group, $version] = $byId[(int) $car->id] ?? [null, null];
            if ($sample === null || $x === null || $group === null || $version === null) {
                continue;
            }
            $interval = $this->record->interval($this->effect->outcome->goal(), $sample);
            $places[$car->id] = count($points);
            $points[] = [
                'mark' => $group->mark,
                'name' => $group->name . (
                    $group->cars->count() > 1 ? ' ' . Text::of('frame.relation_reading.version', ['version' => $version->version]) : ''
                ),
                'factor' => is_float($x) ? $this->units->show($x, $this->scale()) : $x,
                'x' => is_float($x) ? $this->factorIn($x) : $this->kindOf($x),
                'y' => $this->outcomeIn($sample->mean()),
                'low' => $interval === null ? null : $this->outcomeIn($interval->low),
                'high' => $interval === null ? null : $this->outcomeIn($interval->high),
                'shown' => $this->units->show($sample->mean(), $this->effect->outcome->scale()),
                'tries' => array_map($this->outcomeIn(...), $sample->values),
                'older' => $group->currentCar()?->id !== $version->id,
                'open' => !isset($compared[$car->id]) || $car->choices->explanation($this->effect->factor) === null,
            ];
        }
        $symbol = $this->units->symbol($this->scale());

        return [
            'points' => $points,
            'rebuilt' => array_values(array_filter(array_map(
                static fn(array $pair): array => [$places[$pair[0]->car->id] ?? null, $places[$pair[1]->car->id] ?? null],
                $this->effect->rebuilt(),
            ), static fn(array $pair): bool => !in_array(null, $pair, true))),
            'kinds' => $this->kinds(),
            'curve' => $this->line(),
            'numeric' => $this->effect->from === null,
            'factorLabel' => $factor . ($symbol === '' ? '' : ", {$symbol}"),
            'tape' => $this->effect->outcome->scale() === Scale::Distance ? $this->units->value : null,
        ];
    }

    /** Whether some compared car has the size of its part, since nobody measured it. */
    public function takesSizesOfParts(): bool
    {
        return array_filter(
            $this->effect->fitted,
            fn(FittedCar $each): bool => $each->car->choices->explanation($this->effect->factor) === null,
        ) !== [];
    }

    /** What a car has of it that nobody recorded: pale, and not compared. */
    private function ofKit(ComparedCar $car): float|string|null
    {
        $plan = once(fn(): ClassPlan => ClassPlan::of($this->record->challenge));
        // A rebuilt car has what its group's newest sheet says; of the first one the plan says what it was to be.
        $group = $car->version > 1 ? null : $this->record->groups->firstWhere('id', (int) $car->group);

        $kit = $plan->forGroup($group)->kitCar();
        $named = Contrast::partOf($this->effect->factor)?->named();
        // A car of another part than the kit's does not have the size of the kit's.
        $has = $named?->isKind() === true ? $car->choices->kind($named) : null;

        return $has === null || PartName::key($has) === PartName::key((string) $kit->kind($named ?? $this->effect->factor))
            ? $kit->explanation($this->effect->factor)
            : null;
    }

    /** As the effect has it, however it was written. */
    private function kindOf(string $kind): string
    {
        foreach ([$this->effect->from, $this->effect->to] as $known) {
            if ($known !== null && mb_strtolower(trim($kind)) === mb_strtolower($known)) {
                return $known;
            }
        }

        return mb_strtolower(trim($kind));
    }

    /** @return list<array{kind: string, mean: float}> every kind that cars have, in the order of their sizes */
    private function kinds(): array
    {
        $means = $sizes = [];
        foreach ($this->effect->from === null ? [] : $this->findings->found->cars as $car) {
            $kind = $car->choices->explanation($this->effect->factor) ?? $this->ofKit($car);
            $mean = $car->of($this->effect->outcome)?->mean();
            if (is_string($kind) && $mean !== null) {
                $means[$this->kindOf($kind)][] = $mean;
                $sizes[$this->kindOf($kind)] = $car->choices->number(CarAttribute::WheelDiameter) ?? 0.0;
            }
        }
        if ($this->effect->factor === CarAttribute::WheelKind) {
            asort($sizes);
        } else {
            ksort($sizes);
        }

        return array_map(fn(string|int $kind): array => [
            'kind' => (string) $kind, 'mean' => $this->outcomeIn(array_sum($means[$kind]) / count($means[$kind])),
        ], array_keys($sizes));
    }

    /**
     * The effect's line, for a car that is in the middle of the class in all else: with its band where it is claimed, thin where it only
     * looks like it, none where nothing does.
     *
     * @return list<array{x: float, y: float, low: float|null, high: float|null}>
     */
    private function line(): array
    {
        $verdict = $this->findings->found->claims->verdict($this->effect);
        if ($this->effect->from !== null || !$this->effect->isPooled() || $verdict === Answer::CannotTell) {
            return [];
        }
        $line = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $x = $this->effect->least + ($this->effect->most - $this->effect->least) * $i / self::POINTS;
            $band = $verdict->isTold() ? $this->effect->bandAt($x) : null;
            $line[] = [
                'x' => $this->factorIn($x),
                'y' => $this->outcomeIn($this->effect->at($x)),
                'low' => $band === null ? null : $this->outcomeIn($band->low),
                'high' => $band === null ? null : $this->outcomeIn($band->high),
            ];
        }

        return $line;
    }

    private function scale(): Scale
    {
        return $this->effect->factor->scale() ?? Scale::Count;
    }

    private function factorIn(float $si): float
    {
        return round($this->units->fromSi($si, $this->scale()), 5);
    }

    private function outcomeIn(float $si): float
    {
        return round($this->units->fromSi($si, $this->effect->outcome->scale()), 4);
    }
}
