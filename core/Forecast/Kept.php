<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

/** Keeps what took many simulated runs to work out, so that it is worked out once. */
interface Kept
{
    /**
     * @param string $key of all that it depends on
     * @param \Closure(): list<float> $work
     *
     * @return list<float>
     */
    public function get(string $key, \Closure $work): array;
}
