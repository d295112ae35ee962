<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Simulation\CarModel;

/**
 * How far repeats of a bench test differ, pooled for each kind of test over the whole class: two repeats that happen to
 * agree say nothing, and one reading says nothing of itself. It starts from 5 % with four degrees of freedom (common
 * practice, no source), and every repeat of any car adds one.
 */
final readonly class Repeatability
{
    private const RELATIVE = 0.05;
    private const DEGREES = 4.0;

    /** @param array<string, array{float, float}> $pooled sum of relative squares and degrees of freedom, by the value of a BenchTest */
    public function __construct(private array $pooled = []) {}

    /** @param list<array{CarModel, array<string, non-empty-list<list<float>>>}> $cars each with its readings by test (SI) */
    public static function of(array $cars): self
    {
        $pooled = [];
        foreach ($cars as [$model, $readings]) {
            $car = Forces::fromParts($model);
            foreach ($readings as $test => $repeats) {
                $count = count($repeats);
                $values = array_map(static fn(array $reading): float => BenchTest::from($test)->value($reading, $car), $repeats);
                $mean = array_sum($values) / $count;
                if ($count < 2 || $mean <= 0.0) {
                    continue;
                }
                foreach ($values as $value) {
                    $pooled[$test][0] = ($pooled[$test][0] ?? 0.0) + ($value / $mean - 1.0) ** 2;
                }
                $pooled[$test][1] = ($pooled[$test][1] ?? 0.0) + $count - 1;
            }
        }

        return new self($pooled);
    }

    /** Standard deviation of one repeat over what it shows. */
    public function relative(BenchTest $test): float
    {
        [$squares, $degrees] = $this->pooled[$test->value] ?? [0.0, 0.0];

        return sqrt((self::DEGREES * self::RELATIVE ** 2 + $squares) / (self::DEGREES + $degrees));
    }

    public function degreesOfFreedom(BenchTest $test): float
    {
        return self::DEGREES + ($this->pooled[$test->value][1] ?? 0.0);
    }
}
