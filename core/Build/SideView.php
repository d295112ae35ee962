<?php

declare(strict_types=1);

namespace Skivo\Core\Build;

use Skivo\Core\Run\Setting;
use Skivo\Core\Run\Settings;

/**
 * The car from the side, to scale (m; x forward from the rear end of the chassis, y up from the floor):
 * axles at a quarter and three quarters of the chassis, chassis on the axles, nozzle lying on it and
 * sticking out behind, balloon full and resting on the chassis before it.
 */
final readonly class SideView
{
    /** How far the nozzle sticks out behind the chassis. Common practice, no source. */
    private const OVERHANG = 0.02;

    /** Where the axles are, as shares of the chassis' length. */
    private const AXLES = [0.25, 0.75];

    /** From the exit to the balloon. */
    private const TUBES = [Setting::Bore, Setting::WiderBore, Setting::WidestBore];

    public float $chassisTop;

    public function __construct(private Settings $settings)
    {
        $this->chassisTop = $settings->get(Setting::WheelDiameter) / 2 + $settings->get(Setting::AxleDiameter) / 2 + $settings->get(Setting::ChassisHeight);
    }

    /** @return array<string, mixed> */
    public function shapes(): array
    {
        $length = $this->settings->get(Setting::ChassisLength);
        $wheel = $this->settings->get(Setting::WheelDiameter) / 2;
        $balloon = $this->settings->get(Setting::BalloonSize) / 2;
        $tube = $this->tubeLength();
        $tubes = [];
        $end = -self::OVERHANG;
        foreach (self::TUBES as $setting) {
            if ($this->settings->get($setting) > 0.0) {
                $tubes[] = ['x' => $end, 'y' => $this->chassisTop, 'length' => $tube, 'bore' => $this->settings->get($setting)];
                // Pushed into each other: a quarter of each is inside the next.
                $end += 0.75 * $tube;
            }
        }
        [$x, $y] = $this->balloonCentre();

        return [
            'chassis' => ['x' => 0.0, 'y' => $this->chassisTop - $this->settings->get(Setting::ChassisHeight), 'length' => $length, 'height' => $this->settings->get(Setting::ChassisHeight)],
            'wheels' => array_map(static fn(float $share): array => ['x' => $share * $length, 'r' => $wheel], self::AXLES),
            'axle' => $this->settings->get(Setting::AxleDiameter) / 2,
            'tubes' => $tubes,
            'balloon' => ['x' => $x, 'y' => $y, 'r' => $balloon, 'neck' => $this->neck()],
            'outlets' => (int) $this->settings->get(Setting::Outlets),
            'angle' => $this->settings->get(Setting::Angle),
        ];
    }

    /** Between the floor and the balloon, which rests on the chassis (m). */
    public function floorClearanceM(): float
    {
        return $this->chassisTop;
    }

    /** Between the balloon and the top of the wheel nearest to it, beside the chassis (m); below zero they touch. */
    public function wheelClearanceM(): float
    {
        $radius = $this->settings->get(Setting::BalloonSize) / 2;
        [$x, $y] = $this->balloonCentre();
        $gaps = array_map(fn(float $share): float => hypot(
            hypot($x - $share * $this->settings->get(Setting::ChassisLength), $y - $this->settings->get(Setting::WheelDiameter)),
            $this->settings->get(Setting::ChassisWidth) / 2,
        ) - $radius, self::AXLES);

        return min($gaps);
    }

    /** @return array{float, float} */
    private function balloonCentre(): array
    {
        $radius = $this->settings->get(Setting::BalloonSize) / 2;

        return [$this->neck() + 0.9 * $radius, $this->chassisTop + $radius];
    }

    /** Where the nozzle begins. */
    private function neck(): float
    {
        $tubes = count(array_filter(self::TUBES, fn(Setting $setting): bool => $this->settings->get($setting) > 0.0));

        return -self::OVERHANG + (0.75 * $tubes + 0.25) * $this->tubeLength();
    }

    private function tubeLength(): float
    {
        return max(0.005, $this->settings->get(Setting::TubeLength));
    }
}
