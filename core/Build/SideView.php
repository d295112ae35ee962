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
        $tube = max(0.005, $this->settings->get(Setting::TubeLength));
        $tubes = [];
        $end = -self::OVERHANG;
        foreach ([Setting::Bore, Setting::WiderBore, Setting::WidestBore] as $setting) {
            if ($this->settings->get($setting) > 0.0) {
                $tubes[] = ['x' => $end, 'y' => $this->chassisTop, 'length' => $tube, 'bore' => $this->settings->get($setting)];
                // Pushed into each other: a quarter of each is inside the next.
                $end += 0.75 * $tube;
            }
        }
        $neck = $end + 0.25 * $tube;

        return [
            'chassis' => ['x' => 0.0, 'y' => $this->chassisTop - $this->settings->get(Setting::ChassisHeight), 'length' => $length, 'height' => $this->settings->get(Setting::ChassisHeight)],
            'wheels' => [['x' => 0.25 * $length, 'r' => $wheel], ['x' => 0.75 * $length, 'r' => $wheel]],
            'axle' => $this->settings->get(Setting::AxleDiameter) / 2,
            'tubes' => $tubes,
            'balloon' => ['x' => $neck + 0.9 * $balloon, 'y' => $this->chassisTop + $balloon, 'r' => $balloon, 'neck' => $neck],
            'outlets' => (int) $this->settings->get(Setting::Outlets),
            'angle' => $this->settings->get(Setting::Angle),
        ];
    }

    /** Between the floor and the balloon, which rests on the chassis (m). */
    public function floorClearanceM(): float
    {
        return $this->chassisTop;
    }

    /** Between the wheels' tops and the balloon bulging over the sides of the chassis (m); below zero they touch. */
    public function wheelClearanceM(): float
    {
        $radius = $this->settings->get(Setting::BalloonSize) / 2;
        $side = $this->settings->get(Setting::ChassisWidth) / 2;
        $under = $side >= $radius ? $radius : $radius - sqrt($radius ** 2 - $side ** 2);

        return $this->chassisTop + $under - $this->settings->get(Setting::WheelDiameter);
    }
}
