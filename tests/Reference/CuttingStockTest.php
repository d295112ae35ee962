<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Session\CuttingStock;

final class CuttingStockTest extends TestCase
{
    /** SciPy's integer programming (HiGHS) over every way of cutting one length. */
    public function testNoFewerLengthsDoThanSciPyNeeds(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(4));
        $cases = $found = [];
        for ($case = 0; $case < 60; $case++) {
            $kinds = 1 + $case % 3;
            $stock = $chance->getInt(180, 300);
            $kerf = $chance->getInt(0, 3);
            $lengths = array_map(static fn(): int => $chance->getInt(30, 180), range(1, $kinds));
            $wanted = array_map(static fn(): int => $chance->getInt(1, $kinds === 3 ? 12 : 60), range(1, $kinds));
            $cases[] = [$stock, $kerf, $lengths, $wanted];
            $plan = CuttingStock::plan($stock / 1000, $kerf / 1000, array_combine(
                array_map(static fn(int $kind): string => "piece {$kind}", array_keys($lengths)),
                array_map(static fn(int $length, int $number): array => [$length / 1000, $number], $lengths, $wanted),
            ));
            self::assertTrue($plan->isLeast);
            $found[] = $plan->count();
        }
        $expected = SciPy::ask(
            <<<'PY'
            import itertools
            from scipy.optimize import milp, LinearConstraint, Bounds
            out = []
            for stock, kerf, lengths, wanted in data:
                ways = [way for way in itertools.product(*[range(stock // length + 2) for length in lengths])
                        if sum(way) > 0 and sum(n * (length + kerf) for n, length in zip(way, lengths)) <= stock + kerf]
                result = milp(np.ones(len(ways)), integrality=np.ones(len(ways)), bounds=Bounds(0, np.inf),
                              constraints=LinearConstraint(np.array(ways).T, wanted, np.inf))
                out.append(int(round(result.fun)))
            PY,
            $cases,
        );

        self::assertSame($expected, $found);
    }
}
