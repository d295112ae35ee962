<?php

declare(strict_types=1);

namespace Skivo\Core\Ode;

/** An integration up to the first of its events. */
final readonly class OdeSolution
{
    /**
     * @param float $end where the event is
     * @param array<int, float> $state there
     * @param int $component that reached its value
     * @param float $greatest value that the watched component had anywhere
     * @param list<OdeStep> $steps where they were asked for
     */
    public function __construct(
        public float $end,
        public array $state,
        public int $component,
        public float $greatest,
        public array $steps,
    ) {}
}
