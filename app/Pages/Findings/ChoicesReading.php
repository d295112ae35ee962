<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\AllowedFor;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\ComparedCar;
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
                array_push($rows, ...$this->rowsOf($factor));
            }
        }
        usort($rows, static fn(ChoiceReading $a, ChoiceReading $b): int => $a->rank() <=> $b->rank());
        [$this->rows, $this->same, $this->unknown] = [$rows, $same, $unknown];
    }

    /** @return list<ChoiceReading> of which the class can say something */
    public function told(): array
    {
        return array_values(array_filter($this->rows, static fn(ChoiceReading $row): bool => $row->verdict !== Answer::CannotTell));
    }

    /** @return list<ChoiceReading> of which it can't tell yet */
    public function open(): array
    {
        return array_values(array_filter($this->rows, static fn(ChoiceReading $row): bool => $row->verdict === Answer::CannotTell));
    }

    /** What is looked at first: what was asked for, else the surest. */
    public function chosen(?CarAttribute $asked): ?Effect
    {
        return ($asked === null ? null : $this->effects($asked)[0] ?? null) ?? ($this->rows[0] ?? null)?->effect;
    }

    /** @return list<ChoiceReading> one for every two kinds of it, or one */
    private function rowsOf(CarAttribute $factor): array
    {
        return array_map(fn(Effect $effect): ChoiceReading => new ChoiceReading(
            $factor,
            $effect,
            $this->found->claims->verdict($effect),
            array_map(static fn(AllowedFor $each): CarAttribute => $each->attribute, $effect->together()),
        ), $this->effects($factor));
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
