<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Simulation\Settings;

/** What one version of a car did, beside what goes into the model for it. */
final readonly class Observation
{
    /**
     * @param string $id names the car to whoever asks
     * @param float $distanceM mean of its counted tries, above zero
     * @param float|null $limpM mean of where its balloon went limp, where that was marked
     * @param float|null $timeS mean time over the timed length, where it was taken
     * @param float|null $timedLengthM what was timed, from the start line
     * @param bool $frictionIsMeasured on the bench, so that no factor may touch it
     * @param bool $pressureIsMeasured likewise
     */
    public function __construct(
        public string $id,
        public Settings $settings,
        public float $distanceM,
        public ?float $limpM = null,
        public ?float $timeS = null,
        public ?float $timedLengthM = null,
        public bool $frictionIsMeasured = false,
        public bool $pressureIsMeasured = false,
    ) {}
}
