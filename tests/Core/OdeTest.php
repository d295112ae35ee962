<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Ode\Ode;
use Skivo\Core\Ode\OdeSolution;
use Skivo\Core\Ode\OdeStep;

/** The integrator on problems whose solutions are known in closed form. It knows no car. */
final class OdeTest extends TestCase
{
    private int $evaluations = 0;

    /** A stone thrown up at 3 m/s, with the path integrated beside it: v' = −g, x' = v, ∫x dt. */
    public function testAStoneThrownUp(): void
    {
        $solution = $this->solve(static fn(array $y): array => [-9.81, $y[0], $y[1]], 2, [3.0, 0.0, 0.0], [1 => -2.0], 1, 0.05);

        // x = 3t − g·t²/2 = −2.
        $time = (3.0 + sqrt(9.0 + 2 * 9.81 * 2.0)) / 9.81;
        self::assertSame(1, $solution->component);
        self::assertEqualsWithDelta($time, $solution->end, 1e-9);
        self::assertEqualsWithDelta(9.0 / (2 * 9.81), $solution->greatest, 1e-7, 'the top, between two steps');
        self::assertEqualsWithDelta(1.5 * $time ** 2 - 9.81 * $time ** 3 / 6, $solution->state[2], 1e-9);
        self::assertSame(-2.0, $solution->state[1]);
    }

    /** y' = −y falls to a value at t = ln(y₀/y). */
    #[DataProvider('tolerances')]
    public function testADecayIsAsExactAsAsked(float $tolerance, int $mostEvaluations): void
    {
        $solution = $this->solve(static fn(array $y): array => [-$y[0]], 1, [1.0], [0 => 0.01], 0, 1e-3, $tolerance);

        self::assertEqualsWithDelta(log(100.0), $solution->end, 20 * $tolerance);
        self::assertLessThanOrEqual($mostEvaluations, $this->evaluations, 'a step is chosen by its error');
    }

    /** @return iterable<string, array{float, int}> tolerance, slopes evaluated */
    public static function tolerances(): iterable
    {
        yield 'roughly' => [1e-4, 93];
        yield 'as a run' => [1e-6, 160];
        yield 'closely' => [1e-9, 505];
    }

    /** Within a step too, the solution of y'' = −y is cos t, to the order of the interpolant. */
    public function testTheInterpolantFollowsTheSolutionWithinEachStep(): void
    {
        $solution = $this->solve(static fn(array $y): array => [-$y[1], $y[0]], 2, [0.0, 1.0], [1 => -0.9], 1, 0.01, 1e-7, keep: true);

        self::assertGreaterThan(3, count($solution->steps));
        foreach ($solution->steps as $step) {
            foreach ([0.0, 0.1, 0.3, 0.5, 0.7, 0.9, 1.0] as $share) {
                $at = $step->from + $share * $step->length;
                self::assertEqualsWithDelta(cos($at), $step->component(1, $share), 2e-6, "{$share} of a step of {$step->length}");
                self::assertEqualsWithDelta([-sin($at), cos($at)], $step->state(2, $share), 2e-6);
            }
        }
        // From rest at the top: the greatest value is the first.
        self::assertSame(1.0, $solution->greatest);
        self::assertEqualsWithDelta(acos(-0.9), $solution->end, 1e-6);
    }

    /**
     * y' = −y beside ∫y dt: their sum never changes, so it shows how far the last step ends from the value.
     */
    #[DataProvider('tolerances')]
    public function testTheLastStepEndsOnTheValueItself(float $tolerance): void
    {
        $solution = $this->solve(static fn(array $y): array => [-$y[0], $y[0]], 1, [1.0, 0.0], [0 => 0.013], 0, 1e-3, $tolerance);

        self::assertEqualsWithDelta(1.0, 0.013 + $solution->state[1], 1e-12);
    }

    /** The crossing is where the interpolant itself has the value. */
    public function testACrossingWithinAStep(): void
    {
        $step = $this->solve(static fn(array $y): array => [-$y[0] ** 3], 1, [4.0], [0 => 0.1], 0, 0.02, 0.5, keep: true)->steps[0];
        self::assertEqualsWithDelta(0.02, $step->length, 1e-12);
        foreach ([3.9, 3.5, 3.2, 3.15] as $value) {
            $share = $step->crossing(0, $value);
            self::assertGreaterThan(0.0, $share);
            self::assertLessThan(1.0, $share);
            self::assertEqualsWithDelta($value, $step->component(0, $share), 1e-12);
        }
        self::assertSame(1.0, $step->crossing(0, 1.0), 'not within this step');
        self::assertSame(0.0, $step->crossing(0, 4.0), 'below it from its first moment');
        self::assertSame(0.0, $step->crossing(0, 4.5), 'below it all along');
    }

    /** Up from the line and back to it: y = t − t² is there at once, and again after 1. */
    public function testACrossingOnTheWayBack(): void
    {
        $step = $this->parabola(1.0, 1.6);
        self::assertEqualsWithDelta(1.0 / 1.6, $step->crossing(0, 0.0), 1e-9);
    }

    /** The top of a parabola, wherever it lies in the step. */
    public function testTheGreatestValueWithinAStep(): void
    {
        foreach ([1.02, 1.5, 2.0, 4.0] as $length) {
            self::assertEqualsWithDelta(
                0.25,
                $this->parabola(1.0, $length)->greatest(0, [0 => $length - $length ** 2]),
                2e-7 * $length ** 2,
            );
        }
        foreach ([0.1, 0.5] as $slope) {
            self::assertEqualsWithDelta(
                $slope ** 2 / 4,
                $this->parabola($slope, 2 * $slope)->greatest(0, [0 => -2 * $slope ** 2]),
                1e-7 * $slope ** 2,
            );
        }
        self::assertSame(0.24, $this->parabola(1.0, 0.4)->greatest(0, [0 => 0.24]), 'still rising at its end');
        self::assertSame(0.0, $this->parabola(-0.5, 1.0)->greatest(0, [0 => -1.5]), 'falling all along');
    }

    /** Of two components that get there in one step, the earlier one ends it; at once, the one named first. */
    public function testTheFirstToGetThereEndsIt(): void
    {
        $fall = static fn(array $y): array => [-1.0, -2.0];
        self::assertSame(1, $this->solve($fall, 2, [1.0, 1.0], [0 => 0.0, 1 => 0.0], 0, 5.0)->component);
        self::assertSame(0, $this->solve($fall, 2, [1.0, 2.5], [0 => 0.0, 1 => 0.0], 0, 5.0)->component);
        self::assertSame(1, $this->solve($fall, 2, [1.0, 2.0], [1 => 0.0, 0 => 0.0], 0, 5.0)->component);
        self::assertSame(0, $this->solve($fall, 2, [1.0, 2.0], [0 => 0.0, 1 => 0.0], 0, 5.0)->component);
    }

    /** What starts on the line is not there yet: it counts when it comes back. */
    public function testWhatStartsFromRestEndsWhenItIsAtRestAgain(): void
    {
        $solution = $this->solve(static fn(array $y): array => [1.0 - $y[1], $y[0]], 2, [0.0, 0.0], [0 => 0.0], 0, 0.01, 1e-9);

        // v = sin t.
        self::assertEqualsWithDelta(M_PI, $solution->end, 1e-6);
        self::assertEqualsWithDelta(1.0, $solution->greatest, 1e-6);
        self::assertEqualsWithDelta(2.0, $solution->state[1], 1e-6);
    }

    /** With a problem whose time scale falls suddenly, steps are taken back. */
    public function testAStepThatIsTooLongIsTakenBack(): void
    {
        $solution = $this->solve(
            static fn(array $y): array => [-1.0, -200.0 * ($y[1] - cos(10 * $y[0]))],
            2,
            [3.0, 1.0],
            [0 => 0.0],
            0,
            1.0,
            1e-6,
        );

        self::assertEqualsWithDelta(3.0, $solution->end, 1e-9);
        // The quasi-steady solution, to the second order of 10/200.
        self::assertEqualsWithDelta(cos(0.0), $solution->state[1], 0.01);
        self::assertLessThan(4700, $this->evaluations);
    }

    /** A step of this length along y = slope × t − t², from 0. */
    private function parabola(float $slope, float $length): OdeStep
    {
        $nodes = [0.0, 0.2, 0.3, 0.8, 8 / 9, 1.0, 1.0];

        return new OdeStep(0.0, $length, [0.0], array_map(static fn(float $node): array => [$slope - 2 * $node * $length], $nodes));
    }

    /**
     * @param \Closure(array<int, float>): array<int, float> $slopes
     * @param array<int, float> $state
     * @param array<int, float> $until
     */
    private function solve(
        \Closure $slopes,
        int $controlled,
        array $state,
        array $until,
        int $watched,
        float $first,
        float $tolerance = 1e-9,
        bool $keep = false,
    ): OdeSolution {
        $this->evaluations = 0;
        $counted = function (array $y) use ($slopes): array {
            $this->evaluations++;

            return $slopes($y);
        };

        return (new Ode($counted, $controlled, count($state), $tolerance))->integrate(0.0, $state, $until, $watched, $first, $keep);
    }
}
