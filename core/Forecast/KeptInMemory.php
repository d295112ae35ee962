<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

/** For as long as the program runs. */
final class KeptInMemory implements Kept
{
    /** @var array<string, list<float>> */
    private array $held = [];

    public function get(string $key, \Closure $work): array
    {
        return $this->held[$key] ??= $work();
    }
}
