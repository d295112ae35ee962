<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Confounding;
use Skivo\Core\Findings\Difference;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\Outcome;

/** Every choice of a class beside one outcome. */
final readonly class ChoicesReading
{
    /** @var list<ChoiceReading> in which cars differ, the surest first */
    public array $rows;

    /** @var list<CarAttribute> the same on every car */
    public array $same;

    /** @var list<CarAttribute> on record for no car that ran */
    public array $unknown;

    /** Of the outcome that any car has, above 0. */
    public float $most;

    public function __construct(private Findings $found, public Outcome $outcome)
    {
        $cars = array_values(array_filter($found->cars, static fn(ComparedCar $car): bool => $car->of($outcome) !== null));
        $this->most = max([1e-9, ...array_map(static fn(ComparedCar $car): float => $car->of($outcome)?->mean() ?? 0.0, $cars)]);
        $rows = $same = $unknown = [];
        foreach (Difference::compared() as $factor) {
            $values = array_values(array_filter(
                array_map(static fn(ComparedCar $car): float|string|null => $car->choices->explanation($factor), $cars),
                static fn(float|string|null $value): bool => $value !== null,
            ));
            if ($values === []) {
                $unknown[] = $factor;
            } elseif (
                array_filter($values, static fn(float|string $value): bool => !Difference::isSame($factor, $value, $values[0])) === []
            ) {
                $same[] = $factor;
            } else {
                array_push($rows, ...$this->rowsOf($factor, count($values)));
            }
        }
        usort($rows, static fn(ChoiceReading $a, ChoiceReading $b): int => $a->rank() <=> $b->rank());
        [$this->rows, $this->same, $this->unknown] = [$rows, $same, $unknown];
    }

    /** @return list<ChoiceReading> of which like cars say something */
    public function spokenOf(): array
    {
        return array_values(array_filter($this->rows, static fn(ChoiceReading $row): bool => $row->effect !== null));
    }

    /** @return list<ChoiceReading> for which no cars are alike but for it */
    public function open(): array
    {
        return array_values(array_filter($this->rows, static fn(ChoiceReading $row): bool => $row->effect === null));
    }

    /** @return array{also: list<CarAttribute>, same: list<CarAttribute>} what no like cars speak of by itself, and may be drawn all the same */
    public function others(): array
    {
        return ['also' => $this->rows === [] ? [] : [CarAttribute::OutletArea], 'same' => $this->same];
    }

    /** What like cars say of a choice, the surest where several kinds of it are compared; null where they say nothing. */
    public function effectOf(CarAttribute $factor): ?Effect
    {
        return $this->effects($factor)[0] ?? null;
    }

    /** @return non-empty-list<ChoiceReading> one, or one for every two kinds of it */
    private function rowsOf(CarAttribute $factor, int $cars): array
    {
        $alongWith = array_values(array_filter(array_map(
            static fn(Confounding $pair): ?CarAttribute => $pair->besides($factor),
            $this->found->confounded,
        )));
        $rows = array_map(
            fn(Effect $effect): ChoiceReading => new ChoiceReading(
                $factor,
                $effect,
                $this->found->claims->verdict($effect),
                $alongWith,
                $cars,
            ),
            $this->effects($factor),
        );

        return $rows === [] ? [new ChoiceReading($factor, null, Answer::CannotTell, $alongWith, $cars)] : $rows;
    }

    /** @return list<Effect> */
    private function effects(CarAttribute $factor): array
    {
        return array_values(array_filter(
            $this->found->effects,
            fn(Effect $effect): bool => $effect->factor === $factor && $effect->outcome === $this->outcome,
        ));
    }
}
