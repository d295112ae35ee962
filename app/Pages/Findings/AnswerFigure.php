<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\Text;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Findings\Alike;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Effect;
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
        $compared = array_flip($this->effect->cars());
        foreach ($this->effect->rebuilt() as $pair) {
            $compared += [$pair[0]->car->id => true, $pair[1]->car->id => true];
        }
        $points = $places = [];
        foreach ($this->cars() as $car) {
            $sample = $car->of($this->effect->outcome);
            $x = $car->choices->explanation($this->effect->factor);
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
                'open' => !isset($compared[$car->id]),
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

    /** @return list<ComparedCar> those that can be set on the graph */
    private function cars(): array
    {
        return array_values(array_filter(
            $this->findings->found->cars,
            fn(ComparedCar $car): bool => $this->effect->from === null
                || in_array(
                    $this->kindOf((string) $car->choices->explanation($this->effect->factor)),
                    [$this->effect->from, $this->effect->to],
                    true,
                ),
        ));
    }

    /** As the effect has it, however it was written. */
    private function kindOf(string $kind): string
    {
        foreach ([$this->effect->from, $this->effect->to] as $known) {
            if ($known !== null && mb_strtolower(trim($kind)) === mb_strtolower($known)) {
                return $known;
            }
        }

        return $kind;
    }

    /** @return list<array{kind: string, mean: float, low: null, high: null}> */
    private function kinds(): array
    {
        $kinds = [];
        foreach ($this->effect->from === null ? [] : [$this->effect->from, (string) $this->effect->to] as $place => $kind) {
            $ys = array_map(
                static fn(Alike $each): float => $each->y,
                array_filter($this->alike(), static fn(Alike $each): bool => $each->x === (float) $place),
            );
            $kinds[] = [
                'kind' => $kind, 'mean' => $ys === [] ? 0.0 : $this->outcomeIn(array_sum($ys) / count($ys)), 'low' => null, 'high' => null,
            ];
        }

        return $kinds;
    }

    /**
     * The effect's line through the middle of the compared cars, with where it may lie: its slope is off by what the interval
     * has, its height by as much as such a slope leaves a mean of so many cars.
     *
     * @return list<array{x: float, y: float, low: float|null, high: float|null}>
     */
    private function line(): array
    {
        $alike = $this->alike();
        if ($this->effect->from !== null || $alike === []) {
            return [];
        }
        $count = count($alike);
        $middle = array_sum(array_map(static fn(Alike $each): float => $each->x, $alike)) / $count;
        $height = array_sum(array_map(static fn(Alike $each): float => $each->y, $alike)) / $count;
        $spread = array_sum(array_map(static fn(Alike $each): float => ($each->x - $middle) ** 2, $alike));
        $interval = $this->effect->perUnitInterval();
        $half = $interval === null ? null : ($interval->high - $interval->low) / 2;
        $line = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $x = $this->effect->least + ($this->effect->most - $this->effect->least) * $i / self::POINTS;
            $y = $height + $this->effect->perUnit() * ($x - $middle);
            $off = $half === null ? null : $half * sqrt(($x - $middle) ** 2 + $spread / $count);
            $line[] = [
                'x' => $this->factorIn($x),
                'y' => $this->outcomeIn($y),
                'low' => $off === null ? null : $this->outcomeIn($y - $off),
                'high' => $off === null ? null : $this->outcomeIn($y + $off),
            ];
        }

        return $line;
    }

    /** @return list<Alike> every compared car, once */
    private function alike(): array
    {
        $alike = [];
        foreach ($this->effect->sets as $set) {
            foreach ($set->cars as $each) {
                $alike[$each->car->id] = $each;
            }
        }

        return array_values($alike);
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
