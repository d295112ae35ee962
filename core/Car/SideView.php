<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/** The car from the side, to scale, as the shapes that a page draws. */
final readonly class SideView
{
    public function __construct(private Layout $layout) {}

    /** @return array<string, mixed> lengths in m; x forward from the rear end of the chassis, y up from the floor */
    public function shapes(): array
    {
        $layout = $this->layout;
        $axis = $layout->nozzleAxis();
        [$x, $y] = $layout->balloonCentre();

        return [
            'chassis' => [
                'x' => 0.0, 'y' => $layout->chassisBottom(), 'length' => $layout->chassisLength, 'height' => $layout->chassisHeight,
            ],
            'wheels' => array_map(
                static fn(float $axle): array => ['x' => $axle, 'r' => $layout->wheelRadius()],
                [$layout->rearAxle, $layout->frontAxle()],
            ),
            'axle' => $layout->axleDiameter / 2,
            'tubes' => array_map(static fn(array $tube): array => $tube + ['y' => $axis - $tube['bore'] / 2], $layout->tubes()),
            'balloon' => ['x' => $x, 'y' => $y, 'r' => $layout->balloonDiameter / 2, 'neck' => $layout->neck()],
            'outlets' => $layout->outlets,
            'angle' => rad2deg($layout->angle),
        ];
    }
}
