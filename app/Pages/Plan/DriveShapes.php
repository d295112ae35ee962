<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Geometry\Layout;

/** What drives a car, on the drawing of that car: nozzle and balloon with what holds them up, or a band with its hook. */
final readonly class DriveShapes
{
    public function __construct(private Layout $layout, private CarShapes $car) {}

    /** @return list<Shape> */
    public function band(): array
    {
        return [Shape::path('elastic', (new BandShape($this->layout, $this->car->x(...), $this->car->y(...)))->fromSide())];
    }

    /** @return list<Shape> */
    public function hook(): array
    {
        $x = $this->car->x($this->layout->hook());
        $top = $this->car->y($this->layout->chassisTop());

        return [
            Shape::path('rod', 'M' . round($x - 1.5, 2) . ' ' . round($top + 8, 2) . 'v-16h12v3h-9v13z'),
            Shape::path('arrow', 'M' . round($x, 2) . ' ' . round($top - 44, 2) . 'v28m0 0l-6 -8m6 8l6 -8'),
        ];
    }

    /** @return list<Shape> rubber round the driven wheel */
    public function rubber(): array
    {
        $radius = $this->layout->wheelRadius();

        return [Shape::circle(
            'elastic',
            $this->car->x($this->layout->drivenAxle()),
            $this->car->y($radius),
            $radius * $this->car->scale + 2.5,
        )];
    }

    /** @return list<Shape> the way in which the driven wheel is turned: backwards */
    public function winding(): array
    {
        $l = $this->layout;
        [$x, $y, $r] = [$this->car->x($l->drivenAxle()), $this->car->y($l->wheelRadius()), $l->wheelRadius() * $this->car->scale + 9];

        return [
            Shape::path(
                'arrow',
                'M'
                    . round($x + $r, 2)
                    . ' '
                    . round($y, 2)
                    . 'A'
                    . round($r, 2)
                    . ' '
                    . round($r, 2)
                    . ' 0 0 0 '
                    . round($x, 2)
                    . ' '
                    . round($y - $r, 2)
                    . 'm0 0l9 -6m-9 6l9 7',
            ),
        ];
    }

    /** @return list<Shape> a slot in the edge that is away from the driven axle */
    public function slot(): array
    {
        $l = $this->layout;
        $isFront = $l->hook() > $l->body->length / 2;
        $x = $this->car->x($isFront ? $l->body->length : 0.0);

        return [
            Shape::rect('hole strong', $isFront ? $x - 16 : $x, StepDrawing::MIDDLE - 3, 16, 6),
            Shape::arrow($isFront ? $x + 36 : $x - 36, StepDrawing::MIDDLE, $isFront ? -26.0 : 26.0, 0.0),
        ];
    }

    /** @return list<Shape> a plate of card on top */
    public function plate(): array
    {
        $l = $this->layout;

        return [Shape::rect(
            'card strong',
            $this->car->x(0.25 * $l->body->length),
            $this->car->y($l->chassisTop()) - 5,
            0.5 * $l->body->length * $this->car->scale,
            5,
        )];
    }

    /** @return list<Shape> a post on which a tube lies, so high (m) */
    public function post(float $heightM): array
    {
        $l = $this->layout;
        $height = $heightM * $this->car->scale;

        return [Shape::rect('card strong', $this->car->x(0.15 * $l->body->length), $this->car->y($l->chassisTop()) - $height, 12, $height)];
    }

    /** @return list<Shape> */
    public function nozzle(): array
    {
        $l = $this->layout;
        $shapes = [];
        foreach (array_reverse($l->tubes()) as $tube) {
            $thick = max(4.0, $tube['bore'] * $this->car->scale);
            $shapes[] = Shape::rect(
                'tube strong',
                $this->car->x($tube['x']),
                $this->car->y($l->nozzleAxis()) - $thick / 2,
                $tube['length'] * $this->car->scale,
                $thick,
            );
        }

        return $shapes;
    }

    /** @return list<Shape> */
    public function balloon(string $class): array
    {
        [$x, $y] = $this->layout->balloonCentre();
        $radius = $this->layout->balloonDiameter / 2 * $this->car->scale;

        return [Shape::circle($class, $this->car->x($x), $this->car->y($y), $radius)];
    }

    /** @return list<Shape> */
    public function gap(): array
    {
        [$x] = $this->layout->balloonCentre();
        $under = $this->car->y(max(0.0, $this->layout->balloonClearance()));

        return [
            Shape::line('measure', $this->car->x($x) + 26, $under, $this->car->x($x) + 26, $this->car->floor),
            Shape::arrow($this->car->x($x) + 26, $this->car->floor + 20, 0.0, -14.0),
        ];
    }

    /** @return list<Shape> the car is lifted from below, never pressed down */
    public function lift(): array
    {
        $l = $this->layout;

        return [Shape::arrow($this->car->x($l->body->length / 2), $this->car->floor + 18, 0.0, -16.0)];
    }
}
