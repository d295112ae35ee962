<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Geometry\Layout;

/** A car that is being built, at its own sizes, from above or from the side. Forward is to the right. In px; places and sizes come in m. */
final readonly class CarShapes
{
    public float $scale;
    public float $floor;
    private float $left;

    /** @param float $aboveM how high something stands on the chassis (m) */
    public function __construct(private Layout $layout, bool $isFromAbove, bool $withBalloon, float $aboveM = 0.0)
    {
        $l = $layout;
        if ($isFromAbove) {
            $from = min(0.0, $l->axles->rear - $l->wheelRadius());
            $to = max($l->body->length, $l->frontAxle() + $l->wheelRadius());
            $this->scale = min(
                (StepDrawing::WIDTH - 150) / max(1e-3, $to - $from),
                (StepDrawing::HEIGHT - 46) / max($l->axles->frontLength, $l->axles->rearLength, $l->body->width, 1e-3),
            );
            $this->left = (StepDrawing::WIDTH - ($to - $from) * $this->scale) / 2 - $from * $this->scale;
            $this->floor = 0.0;
        } else {
            [$balloonX, $balloonY] = $l->balloonCentre();
            $from = min(-$l->nozzle->overhang, $l->axles->rear - $l->wheelRadius(), 0.0);
            $to = max($l->body->length, $l->frontAxle() + $l->wheelRadius(), $withBalloon ? $balloonX + $l->balloonDiameter / 2 : 0.0);
            $top = max($l->chassisTop() + $aboveM, $l->wheels->diameter, $withBalloon ? $balloonY + $l->balloonDiameter / 2 : 0.0);
            $this->scale = min((StepDrawing::WIDTH - 60) / ($to - $from), (StepDrawing::HEIGHT - 50) / $top);
            $this->left = (StepDrawing::WIDTH - ($to - $from) * $this->scale) / 2 - $from * $this->scale;
            $this->floor = StepDrawing::HEIGHT - 22.0;
        }
    }

    public function x(float $m): float
    {
        return $this->left + $m * $this->scale;
    }

    public function y(float $m): float
    {
        return $this->floor - $m * $this->scale;
    }

    public function z(float $m): float
    {
        return StepDrawing::MIDDLE + $m * $this->scale;
    }

    /** @return list<Shape> the chassis from above */
    public function board(string $class): array
    {
        $l = $this->layout;
        $last = max(1, count($l->body->widths) - 1);
        $side = fn(int $sign): array => array_map(function (int $i) use ($l, $last, $sign): string {
            $x = $l->body->length * $i / $last;

            return round($this->x($x), 2) . ' ' . round($this->z($sign * $l->widthAt($x) / 2), 2);
        }, range(0, $last));
        $shapes = [Shape::path($class, 'M' . implode('L', [...$side(-1), ...array_reverse($side(1))]) . 'Z')];
        if ($l->body->form === ChassisForm::BrickFrame) {
            foreach ([-1, 1] as $sign) {
                for ($x = ChassisForm::STUD_M / 2; $x < $l->body->length; $x += ChassisForm::STUD_M) {
                    $shapes[] = Shape::circle(
                        'hole',
                        $this->x($x),
                        $this->z($sign * ($l->body->width / 2 - ChassisForm::STUD_M / 2)),
                        0.0024 * $this->scale,
                    );
                }
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    public function bearings(string $class): array
    {
        $l = $this->layout;

        return array_map(fn(array $axle): Shape => Shape::rect(
            $class,
            $this->x($axle[0]) - max(3.0, $l->axles->bearingBore * $this->scale) / 2,
            $this->z(-$axle[1] / 2),
            max(3.0, $l->axles->bearingBore * $this->scale),
            $axle[1] * $this->scale,
        ), [[$l->axles->rear, $l->axles->rearBearing], [$l->frontAxle(), $l->axles->frontBearing]]);
    }

    /** @return list<Shape> strips over the bearings, clear of their ends */
    private function tape(): array
    {
        $l = $this->layout;
        $shapes = [];
        foreach ([$l->axles->rear, $l->frontAxle()] as $at) {
            foreach ([-0.28, 0.28] as $share) {
                $shapes[] = Shape::rect('tape', $this->x($at) - 13, $this->z($share * $l->widthAt($at)) - 5, 26, 10, 2);
            }
        }

        return $shapes;
    }

    /**
     * @param int $wheels on each axle
     * @param bool $inPlace whether they are in their bearings; otherwise they lie beside each other
     *
     * @return list<Shape>
     */
    public function axlesWith(int $wheels, bool $inPlace): array
    {
        $l = $this->layout;
        $shapes = [];
        foreach (
            [
                [$l->axles->rear, $l->axles->rearTrack, $l->axles->rearLength],
                [$l->frontAxle(), $l->axles->frontTrack, $l->axles->frontLength],
            ] as [$at, $track, $length]
        ) {
            $x = $this->x($at);
            // Half through its bearing, an axle stands out on the side of its one wheel.
            $shift = $inPlace && $wheels === 1 ? 0.12 * $length : 0.0;
            $shapes[] = Shape::rect(
                'rod',
                $x - max(1.5, $l->axles->diameter * $this->scale / 2),
                $this->z(-$length / 2 - $shift),
                max(3.0, $l->axles->diameter * $this->scale),
                $length * $this->scale,
            );
            foreach ($wheels === 2 ? [-1, 1] : [-1] as $side) {
                $strong = $wheels === 1 || $side === 1 ? 'wheel strong' : 'wheel pale';
                $shapes[] = Shape::rect(
                    $strong,
                    $x - $l->wheelRadius() * $this->scale,
                    $this->z($side * $track / 2 - $shift - $l->wheels->thickness / 2),
                    $l->wheels->diameter * $this->scale,
                    $l->wheels->thickness * $this->scale,
                );
            }
            if ($shift > 0.0) {
                $shapes[] = Shape::arrow($x + $l->wheelRadius() * $this->scale + 9, $this->z(-0.1 * $length), 0.0, 22.0);
            }
        }

        return $shapes;
    }

    /** @return list<Shape> the chassis from the side */
    public function side(string $class): array
    {
        $l = $this->layout;
        if ($l->body->form->isRound()) {
            $last = max(1, count($l->body->widths) - 1);
            $middle = ($l->chassisBottom() + $l->chassisTop()) / 2;
            $edge = fn(int $sign): array => array_map(function (int $i) use ($l, $last, $sign, $middle): string {
                $x = $l->body->length * $i / $last;

                return round($this->x($x), 2) . ' ' . round(
                    $this->y($middle + $sign * $l->body->height / 2 * $l->widthAt($x) / $l->body->width),
                    2,
                );
            }, range(0, $last));

            return [Shape::path($class, 'M' . implode('L', [...$edge(1), ...array_reverse($edge(-1))]) . 'Z')];
        }

        return [
            Shape::rect(
                $class,
                $this->x(0.0),
                $this->y($l->chassisTop()),
                $l->body->length * $this->scale,
                $l->body->height * $this->scale,
            ),
        ];
    }

    /** @return list<Shape> */
    public function holes(): array
    {
        $l = $this->layout;

        return array_map(
            fn(float $at): Shape => Shape::circle(
                'hole strong',
                $this->x($at),
                $this->y($l->wheelRadius()),
                max(4.0, $l->axles->bearingBore * $this->scale / 2),
            ),
            [$l->axles->rear, $l->frontAxle()],
        );
    }

    /** @return list<Shape> */
    public function wheels(string $class): array
    {
        $l = $this->layout;
        $shapes = [];
        foreach ([$l->axles->rear, $l->frontAxle()] as $at) {
            array_push(
                $shapes,
                Shape::circle($class, $this->x($at), $this->y($l->wheelRadius()), $l->wheelRadius() * $this->scale),
                Shape::circle('rod', $this->x($at), $this->y($l->wheelRadius()), 2),
            );
        }

        return $shapes;
    }

    /** @return list<Shape> */
    public function ground(): array
    {
        return [Shape::line('ground', 8, $this->floor + 1, StepDrawing::WIDTH - 8, $this->floor + 1)];
    }

    /** @return list<Shape> */
    public function push(): array
    {
        return [
            Shape::arrow($this->x($this->layout->body->length) + 14, $this->y($this->layout->chassisTop()) - 26, -60.0, 0.0, true),
        ];
    }

    /** @return list<Shape> */
    public function pattern(): array
    {
        $l = $this->layout;
        $y = $this->y(($l->chassisBottom() + $l->chassisTop()) / 2);

        return array_map(
            fn(float $share): Shape => Shape::circle(
                'spot',
                $this->x($share * $l->body->length),
                $y,
                max(2.5, $l->body->height * $this->scale / 5),
            ),
            [0.15, 0.4, 0.6, 0.85],
        );
    }

    /** @return list<Shape> what holds straws or axles on: strips of tape, or dots of glue */
    public function held(bool $isTaped): array
    {
        return $isTaped ? $this->tape() : array_map(
            fn(array $at): Shape => Shape::circle('band', $at[0], $at[1], 4),
            [
                ...array_map(fn(float $share): array => [
                    $this->x($this->layout->axles->rear), $this->z($share * $this->layout->body->width),
                ], [-0.28, 0.0, 0.28]),
                ...array_map(fn(float $share): array => [
                    $this->x($this->layout->frontAxle()), $this->z($share * $this->layout->body->width),
                ], [-0.28, 0.0, 0.28]),
            ],
        );
    }

    /** @return list<Shape> axles that lie still, without their wheels */
    public function bareAxles(): array
    {
        $l = $this->layout;

        return array_map(fn(array $axle): Shape => Shape::rect(
            'rod',
            $this->x($axle[0]) - max(1.5, $l->axles->diameter * $this->scale / 2),
            $this->z(-$axle[1] / 2),
            max(3.0, $l->axles->diameter * $this->scale),
            $axle[1] * $this->scale,
        ), [[$l->axles->rear, $l->axles->rearLength], [$l->frontAxle(), $l->axles->frontLength]]);
    }

    /** @return list<Shape> strips across a body, in front and at the rear, that make it stiff */
    public function strips(): array
    {
        $l = $this->layout;

        return array_map(fn(float $share): Shape => Shape::rect(
            'tape',
            $this->x($share * $l->body->length) - 6,
            $this->z(-$l->widthAt($share * $l->body->length) / 2),
            12,
            $l->widthAt($share * $l->body->length) * $this->scale,
            2,
        ), [0.08, 0.92]);
    }

    /** @return list<Shape> the label of a bottle, with a corner that comes off */
    public function label(): array
    {
        $l = $this->layout;
        [$x, $y] = [$this->x(0.3 * $l->body->length), $this->y($l->chassisTop())];

        return [
            Shape::rect('tape', $x, $y, 0.35 * $l->body->length * $this->scale, $l->body->height * $this->scale),
            Shape::arrow($x + 10, $y - 4, -26.0, -24.0),
        ];
    }

    /** @return list<Shape> where a hollow body is opened: on top for the balloon's neck, and a bottle at its rear end for the tube */
    public function openings(): array
    {
        $l = $this->layout;
        $middle = ($l->chassisBottom() + $l->chassisTop()) / 2;
        $bore = max(4.0, ($l->nozzle->bores[0] ?? 0.006) * $this->scale / 2);
        $top = $this->y($l->chassisTop());

        return [
            Shape::line('cut', $this->x(0.4 * $l->body->length), $top, $this->x(0.6 * $l->body->length), $top),
            Shape::arrow($this->x(0.5 * $l->body->length), $top - 34, 0.0, 24.0),
            ...($l->body->form === ChassisForm::Bottle ? [
                Shape::circle('hole strong', $this->x(0.03 * $l->body->length), $this->y($middle), $bore),
                Shape::arrow($this->x(0.0) - 34, $this->y($middle), 24.0, 0.0),
            ] : []),
        ];
    }

}
