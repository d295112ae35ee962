<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/** How far a result may be off when what it is computed from may be (GUM 5.1.2, with 5.1.3 note 2). */
final readonly class Propagation
{
    /**
     * u² = Σ (f(x + u_i) − f(x − u_i))²/4: the law of propagation for independent inputs, its derivatives taken over
     * the uncertainties themselves.
     *
     * @template K of array-key
     *
     * @param callable(array<K, float>): float $result
     * @param array<K, float> $inputs
     * @param array<K, float> $uncertainties standard, of those inputs that are not exact
     */
    public static function through(callable $result, array $inputs, array $uncertainties): float
    {
        $square = 0.0;
        foreach ($uncertainties as $key => $u) {
            $square += (($result([$key => $inputs[$key] + $u] + $inputs) - $result([$key => $inputs[$key] - $u] + $inputs)) / 2) ** 2;
        }

        return sqrt($square);
    }
}
