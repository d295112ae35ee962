<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Forecast\CheckedCars;
use Skivo\Core\Forecast\CheckShifts;
use Skivo\Core\Forecast\DistanceTable;
use Skivo\Core\Forecast\Evidence;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Forecast\Workmanship;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Statistics\Estimate;

/** By how much failed checks shift what is expected of a car: beside NumPy, and over simulated classes whose truth is known. */
final class CheckShiftsTest extends TestCase
{
    use DrawsNormals;

    private const BETWEEN_CARS = 0.4;
    private const OF_A_READING = 0.15;

    protected function setUp(): void
    {
        $this->seed(20261128);
    }

    public function testTheFitAgainstNumPy(): void
    {
        $classes = array_map(fn(): array => $this->classOf([0.5, 0.0, 0.3, 0.0]), range(1, 5));
        $shifts = CheckShifts::over(array_map(CheckedCars::of(...), $classes));
        $plain = array_map(static fn(array $class): array => array_map(static fn(array $car): array => [
            array_map(static fn(CheckItem $item): int => (int) in_array($item, $car[0], true), CheckShifts::LOOKED_AT), $car[1]->value,
            $car[1]->standardUncertainty,
        ], $class), $classes);
        // A column for each class takes its middle out; the prior is one over its variance on the diagonal.
        $expected = SciPy::ask(
            <<<'PY'
            X, y, w = [], [], []
            for c, cars in enumerate(data):
                for failed, read, u in cars:
                    X.append(list(failed) + [1.0 if c == k else 0.0 for k in range(len(data))]); y.append(read); w.append(1 / (0.4 ** 2 + u ** 2))
            X, y, W = np.array(X, float), np.array(y), np.diag(w)
            b, *_ = np.linalg.lstsq(np.sqrt(W) @ X, np.sqrt(W) @ y, rcond=None)
            s2 = max(1.0, float(np.sum((np.sqrt(W) @ (y - X @ b)) ** 2)) / (len(y) - len(data) - 4))
            A = X.T @ W @ X / s2 + np.diag([4.0] * 4 + [0.0] * len(data))
            out = [[float(b), float(s)] for b, s in zip(np.linalg.solve(A, X.T @ W @ y / s2)[:4], np.sqrt(np.diag(np.linalg.inv(A)))[:4])]
            PY,
            $plain,
        );
        self::assertSame(5 * 8, $shifts->cars);
        foreach (CheckShifts::LOOKED_AT as $index => $item) {
            self::assertEqualsWithDelta($expected[$index][0], $shifts->shifts[$item->value]->value, 1e-9);
            self::assertEqualsWithDelta($expected[$index][1], $shifts->shifts[$item->value]->standardUncertainty, 1e-9);
        }
    }

    /** What failed checks do is drawn as the prior has it; then the intervals hold it as often as they say. */
    public function testIntervalsCoverWhatFailedChecksDo(): void
    {
        $covered = $asked = 0;
        $most = self::many(300);
        for ($i = 0; $i < $most; $i++) {
            $truth = array_map(fn(): float => 0.5 * $this->normal(), CheckShifts::LOOKED_AT);
            $shifts = CheckShifts::over(array_map(fn(): CheckedCars => CheckedCars::of($this->classOf($truth)), range(1, 4)));
            foreach (CheckShifts::LOOKED_AT as $index => $item) {
                $covered += (int) ($shifts->shifts[$item->value] ?? null)?->interval()->contains($truth[$index]);
                $asked++;
            }
        }
        $error = 2 * sqrt(0.05 * 0.95 / $asked);
        self::assertEqualsWithDelta(0.95, $covered / $asked, 0.015 + $error);
    }

    /** Hands that differ from car to car more than usual (sd of ln w up to 0.9) make no check look as if it mattered. */
    public function testChecksThatDoNothingAreSeldomSeenToDoSomething(): void
    {
        foreach ([0.4, 0.7, 0.9] as $hands) {
            $wrong = $asked = 0;
            $most = self::many(360);
            for ($i = 0; $i < $most; $i++) {
                $classes = array_map(fn(): CheckedCars => CheckedCars::of($this->classOf([0.0, 0.0, 0.0, 0.0], $hands)), range(1, 4));
                foreach (CheckShifts::over($classes)->shifts as $shift) {
                    $wrong += (int) !$shift->interval()->contains(0.0);
                    $asked++;
                }
            }
            self::assertLessThan(0.06 + 2 * sqrt(0.06 * 0.94 / $asked), $wrong / $asked, "hands that differ by {$hands}");
        }
        // Whatever chance has it, a failed check makes nothing better.
        $better = new CheckShifts(['spin' => new Estimate(-1.1, 0.2), 'wobble' => new Estimate(0.4, 0.2)], 8);
        self::assertSame([0.0, 0.4], [$better->of([CheckItem::Spin]), $better->of([CheckItem::Spin, CheckItem::Wobble])]);
        self::assertSame(['wobble'], array_keys($better->applied()), 'nor is it told');
    }

    public function testItStartsFromNone(): void
    {
        self::assertSame([], CheckShifts::over([])->shifts);
        self::assertSame(0.0, CheckShifts::over([])->of(CheckShifts::LOOKED_AT));
        // One car of a class has nothing beside it; a class whose cars all passed says nothing of failing.
        $read = new Estimate(-3.5, 0.1);
        self::assertSame(0, CheckShifts::over([CheckedCars::of([[[CheckItem::Wobble], $read]])])->cars);
        self::assertSame([], CheckShifts::over([CheckedCars::of([[[], $read], [[], new Estimate(-3.0, 0.1)]])])->shifts);
        // However strong the other classes, no car is shifted out of sight.
        self::assertSame(
            1.5,
            (
                new CheckShifts(['spin' => new Estimate(1.0, 0.1), 'wobble' => new Estimate(1.0, 0.1)], 9)
            )->of([CheckItem::Spin, CheckItem::Wobble]),
        );
    }

    public function testAFailedCheckShiftsWhatIsNotMeasuredYet(): void
    {
        $table = DistanceTable::of(Settings::of([]), new KeptInMemory());
        $shift = log(1.6);
        $of = static fn(Evidence $car, Evidence ...$others): float => (
            new Workmanship([$car, ...$others])
        )->forecast($car)->friction - $table->partsFriction;
        $usual = $of(new Evidence('a', $table));
        self::assertEqualsWithDelta(1.6 * $usual, $of(new Evidence('a', $table, shift: $shift)), 0.01 * $usual);
        // A measured car is where it was measured, whatever it failed; and says so of itself.
        $measured = new Estimate(0.08, 0.003, 8.0);
        self::assertEqualsWithDelta(
            $of(new Evidence('a', $table, $measured)),
            $of(new Evidence('a', $table, $measured, shift: $shift)),
            0.002,
        );
        $failed = new Evidence('a', $table, $measured, shift: $shift);
        $reading = (new Workmanship([$failed]))->reading($failed);
        self::assertEqualsWithDelta(log(0.08 - $table->partsFriction), $reading->value ?? 0.0, 0.03);
        // Classmates take the class to be better than the failed car is.
        $mate = new Evidence('b', $table);
        self::assertLessThan($of($mate, new Evidence('a', $table, $measured)), $of($mate, $failed));
        // A bound is no reading, nor is nothing.
        $bound = new Evidence('c', $table, new Estimate($table->partsFriction, 0.003, 8.0));
        self::assertNull((new Workmanship([$bound]))->reading($bound));
        self::assertNull((new Workmanship([$mate]))->reading($mate));
    }

    /**
     * @param list<float> $truth what failing each check adds to ln w
     *
     * @return list<array{list<CheckItem>, Estimate}>
     */
    private function classOf(array $truth, float $hands = self::BETWEEN_CARS): array
    {
        $middle = -3.5 + 0.8 * $this->normal();
        $cars = [];
        for ($car = 0; $car < 8; $car++) {
            $failed = array_values(array_filter(CheckShifts::LOOKED_AT, fn(): bool => $this->chance->getInt(0, 3) === 0));
            $log = $middle + $hands * $this->normal() + self::OF_A_READING * $this->normal();
            foreach ($failed as $item) {
                $log += $truth[(int) array_search($item, CheckShifts::LOOKED_AT, true)];
            }
            $cars[] = [$failed, new Estimate($log, self::OF_A_READING)];
        }

        return $cars;
    }
}
