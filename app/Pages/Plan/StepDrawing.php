<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/**
 * One step of the build, at the car's own sizes: what is done is drawn strong, what is there already pale. Forward is to the
 * right, as on the lane. In px; places and sizes come in m.
 */
final readonly class StepDrawing
{
    public const WIDTH = 360;
    public const HEIGHT = 190;
    private const MIDDLE = self::HEIGHT / 2;
    private const LETTERING = 16;

    /** Steps that are shown from above. */
    private const FROM_ABOVE = [
        BuildStep::BuildFrame, BuildStep::CutChassis, BuildStep::FoldChassis, BuildStep::MarkAxles, BuildStep::BearingsOn,
        BuildStep::BearingsThrough,
        BuildStep::BearingsSet, BuildStep::AxlesThrough, BuildStep::SecondWheels, BuildStep::FirstWheels,
    ];

    private float $scale;
    private float $left;
    private float $floor;

    public function __construct(private Layout $layout, private BuildTask $task, private UnitSystem $units)
    {
        $l = $layout;
        if (in_array($task->step, self::FROM_ABOVE, true)) {
            $this->scale = min(
                (self::WIDTH - 150) / max(1e-3, $l->body->length),
                (self::HEIGHT - 46) / max($l->axles->frontLength, $l->axles->rearLength, $l->body->width, 1e-3),
            );
            $this->left = (self::WIDTH - $l->body->length * $this->scale) / 2;
            $this->floor = 0.0;
        } else {
            $withBalloon = $this->hasBalloon();
            [$balloonX, $balloonY] = $l->balloonCentre();
            $from = min(-$l->nozzle->overhang, $l->axles->rear - $l->wheelRadius(), 0.0);
            $to = max($l->body->length, $l->frontAxle() + $l->wheelRadius(), $withBalloon ? $balloonX + $l->balloonDiameter / 2 : 0.0);
            $top = max($l->chassisTop(), $l->wheels->diameter, $withBalloon ? $balloonY + $l->balloonDiameter / 2 : 0.0);
            $this->scale = min((self::WIDTH - 60) / ($to - $from), (self::HEIGHT - 50) / $top);
            $this->left = (self::WIDTH - ($to - $from) * $this->scale) / 2 - $from * $this->scale;
            $this->floor = self::HEIGHT - 22.0;
        }
    }

    /** @return list<Shape> */
    public function shapes(): array
    {
        return match ($this->task->step) {
            BuildStep::BuildFrame, BuildStep::CutChassis, BuildStep::FoldChassis => $this->chassisCut(),
            BuildStep::MarkAxles => [...$this->board('card pale'), ...$this->axleLines()],
            BuildStep::PierceChassis => [...$this->side('card'), ...$this->holes()],
            BuildStep::CutBearings => $this->pieces('straw', 'bearing', $this->layout->axles->bearingBore),
            BuildStep::CutAxles => $this->pieces('rod', 'axle', $this->layout->axles->diameter),
            BuildStep::PointsOff => $this->points(),
            BuildStep::PierceWheels => $this->pierced(),
            BuildStep::BearingsOn => [...$this->board('card pale'), ...$this->bearings('straw'), ...$this->tape()],
            BuildStep::BearingsThrough => [...$this->bearings('straw'), ...$this->board('card see-through')],
            BuildStep::BearingsSet => [...$this->board('card pale'), ...$this->bearings('straw pale'), ...$this->clock()],
            BuildStep::FirstWheels => $this->axlesWith(1, false),
            BuildStep::AxlesThrough => [...$this->board('card pale'), ...$this->bearings('straw pale'), ...$this->axlesWith(1, true)],
            BuildStep::SecondWheels => [...$this->board('card pale'), ...$this->bearings('straw pale'), ...$this->axlesWith(2, true)],
            BuildStep::Roll => [...$this->ground(), ...$this->side('card'), ...$this->wheels('wheel'), ...$this->push()],
            BuildStep::Decorate => [...$this->ground(), ...$this->side('card'), ...$this->pattern(), ...$this->wheels('wheel pale')],
            BuildStep::PaintDries => [
                ...$this->ground(), ...$this->side('card'), ...$this->pattern(), ...$this->wheels('wheel pale'), ...$this->clock(),
            ],
            BuildStep::CutNozzle => $this->pieces('tube', 'nozzle', $this->layout->nozzle->bores[0] ?? 0.006, 1),
            BuildStep::StretchBalloon => $this->limpBalloon(),
            BuildStep::JoinBalloon => $this->joint(),
            BuildStep::JointSets => [...$this->joint(), ...$this->clock()],
            BuildStep::Airtight => $this->closed(),
            BuildStep::PowerOn => [
                ...$this->ground(), ...$this->balloon('skin pale'), ...$this->side('card pale'), ...$this->wheels('wheel pale'),
                ...$this->nozzle(), ...$this->lift(),
            ],
            BuildStep::RubberOnRims => [...$this->ground(), ...$this->side('card pale'), ...$this->wheels('wheel'), ...$this->rubber()],
            BuildStep::FitHook => [...$this->ground(), ...$this->side('card'), ...$this->wheels('wheel pale'), ...$this->hook()],
            BuildStep::KnotChain => $this->chain(),
            BuildStep::HookChain => [...$this->ground(), ...$this->side('card pale'), ...$this->wheels('wheel pale'), ...$this->band()],
            BuildStep::WindOnce => [
                ...$this->ground(), ...$this->side('card pale'), ...$this->wheels('wheel'), ...$this->band(), ...$this->winding(),
            ],
            BuildStep::Clearance => [
                ...$this->ground(), ...$this->balloon('skin'), ...$this->nozzle(), ...$this->side('card pale'),
                ...$this->wheels('wheel pale'), ...$this->gap(),
            ],
        };
    }

    /** @return list<Shape> */
    private function band(): array
    {
        return [Shape::path('elastic', (new BandShape($this->layout, $this->x(...), $this->y(...)))->fromSide())];
    }

    /** @return list<Shape> */
    private function hook(): array
    {
        $x = $this->x($this->layout->hook());
        $top = $this->y($this->layout->chassisTop());

        return [
            Shape::path('rod', 'M' . round($x - 1.5, 2) . ' ' . round($top + 8, 2) . 'v-16h12v3h-9v13z'),
            Shape::path('arrow', 'M' . round($x, 2) . ' ' . round($top - 44, 2) . 'v28m0 0l-6 -8m6 8l6 -8'),
        ];
    }

    /** @return list<Shape> rubber round the driven wheel */
    private function rubber(): array
    {
        $l = $this->layout;

        return [Shape::circle('elastic', $this->x($l->drivenAxle()), $this->y($l->wheelRadius()), $l->wheelRadius() * $this->scale + 2.5)];
    }

    /** @return list<Shape> bands looped through each other, with the length that they are to have */
    private function chain(): array
    {
        $length = $this->task->lengthsM['chain'] ?? 0.0;
        $links = 4;
        [$from, $to] = [60.0, self::WIDTH - 60.0];
        $link = ($to - $from) / $links;
        $shapes = [];
        for ($i = 0; $i < $links; $i++) {
            [$quarter, $most, $all] = array_map(static fn(float $of): float => round($of, 2), [$link / 4, 3 * $link / 4, $link]);
            $shapes[] = Shape::path(
                'elastic',
                'M' . round($from + $i * $link, 2) . ' ' . self::MIDDLE
                . "c{$quarter} -16 {$most} -16 {$all} 0c-{$quarter} 16 -{$most} 16 -{$all} 0z",
            );
        }

        return [
            ...$shapes,
            ...$this->measureAcross($from, $to, self::MIDDLE + 44, $this->shown($length)),
        ];
    }

    /** @return list<Shape> the way in which the driven wheel is turned: backwards */
    private function winding(): array
    {
        $l = $this->layout;
        [$x, $y, $r] = [$this->x($l->drivenAxle()), $this->y($l->wheelRadius()), $l->wheelRadius() * $this->scale + 9];

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

    private function hasBalloon(): bool
    {
        return $this->task->step === BuildStep::PowerOn || $this->task->step === BuildStep::Clearance;
    }

    private function x(float $m): float
    {
        return $this->left + $m * $this->scale;
    }

    private function y(float $m): float
    {
        return $this->floor - $m * $this->scale;
    }

    private function z(float $m): float
    {
        return self::MIDDLE + $m * $this->scale;
    }

    private function shown(float $m): string
    {
        return $this->units->show($m, Scale::Body);
    }

    /** @return list<Shape> the chassis from above */
    private function board(string $class): array
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
    private function chassisCut(): array
    {
        $l = $this->layout;
        $shapes = $this->board('card strong');
        if ($this->task->step === BuildStep::FoldChassis) {
            foreach ([-1, 1] as $sign) {
                $shapes[] = Shape::line(
                    'dashed',
                    $this->x(0.1 * $l->body->length),
                    $this->z($sign * 0.32 * $l->body->width),
                    $this->x(0.9 * $l->body->length),
                    $this->z($sign * 0.32 * $l->body->width),
                );
            }
        }
        [$bottom, $right] = [$this->z($l->body->width / 2), $this->x($l->body->length)];

        return [
            ...$shapes,
            ...$this->measureAcross($this->x(0.0), $right, min(self::HEIGHT - 22, $bottom + 10), $this->shown($l->body->length)),
            Shape::line('measure', $right + 9, $this->z(-$l->body->width / 2), $right + 9, $bottom),
            Shape::text($this->shown($l->body->width), $right + 15, self::MIDDLE + 5, 'start'),
        ];
    }

    /** @return list<Shape> where the axles go, and the middle line */
    private function axleLines(): array
    {
        $l = $this->layout;
        $shapes = [Shape::line('dashed', $this->x(0.0), self::MIDDLE, $this->x($l->body->length), self::MIDDLE)];
        foreach ([$l->axles->rear, $l->frontAxle()] as $row => $at) {
            $half = $l->widthAt($at) / 2;
            $shapes[] = Shape::line('mark-line', $this->x($at), $this->z(-$half), $this->x($at), $this->z($half));
            $y = $row === 0 ? $this->z(-$l->body->width / 2) - 8 : $this->z($l->body->width / 2) + 8;
            array_push(
                $shapes,
                Shape::line('measure', $this->x(0.0), $y, $this->x($at), $y),
                Shape::text($this->shown($at), ($this->x(0.0) + $this->x($at)) / 2, $row === 0 ? $y - 5 : $y + self::LETTERING),
            );
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function bearings(string $class): array
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
    private function axlesWith(int $wheels, bool $inPlace): array
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
                $shapes[] = Shape::path(
                    'arrow',
                    $this->arrow($x + $l->wheelRadius() * $this->scale + 9, $this->z(-0.1 * $length), 0.0, 22.0),
                );
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function pieces(string $class, string $what, float $thicknessM, int $count = 2): array
    {
        $lengths = array_values(
            array_filter(
                [$this->task->lengthsM[$what] ?? null, $this->task->lengthsM["rear_{$what}"] ?? null],
                static fn(?float $length): bool => $length !== null,
            ),
        );
        $lengths = count($lengths) === 1 ? array_fill(0, $count, $lengths[0]) : $lengths;
        $scale = (self::WIDTH - 60) / max(1e-3, ...$lengths);
        $thick = min(18.0, max(5.0, $thicknessM * $scale));
        $shapes = [];
        foreach ($lengths as $row => $length) {
            $y = self::MIDDLE + 10 + ($row - (count($lengths) - 1) / 2) * 58;
            $shapes[] = Shape::rect("{$class} strong", 30, $y, $length * $scale, $thick);
            if ($class !== 'rod') {
                $shapes[] = Shape::circle('hole', 30 + $length * $scale, $y + $thick / 2, $thick / 2 - 1);
            }
            array_push($shapes, ...$this->measureAcross(30, 30 + $length * $scale, $y - 10, $this->shown($length), true));
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function points(): array
    {
        $y = self::MIDDLE;

        return [
            Shape::rect('rod', 30, $y - 4, 226, 8),
            Shape::path('rod pale', 'M268 ' . ($y - 4) . 'h22l34 4l-34 4h-22z'),
            Shape::line('cut', 262, $y - 34, 262, $y + 34),
            Shape::path('arrow', $this->arrow(262, $y - 60, 0.0, 20.0)),
        ];
    }

    /** @return list<Shape> */
    private function pierced(): array
    {
        $x = self::WIDTH / 2;
        $radius = 52.0;

        return [
            Shape::rect('putty', $x - 40, self::MIDDLE + 52, 80, 18, 8),
            Shape::circle('wheel strong', $x, self::MIDDLE, $radius),
            Shape::line('dashed', $x - $radius - 8, self::MIDDLE, $x + $radius + 8, self::MIDDLE),
            Shape::line('dashed', $x, self::MIDDLE - $radius - 8, $x, self::MIDDLE + $radius + 8),
            Shape::circle('rod', $x, self::MIDDLE, 4),
            ...$this->measureAcross($x - $radius, $x + $radius, self::HEIGHT - 20, $this->shown($this->layout->wheels->diameter)),
        ];
    }

    /** @return list<Shape> the chassis from the side */
    private function side(string $class): array
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
    private function holes(): array
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
    private function wheels(string $class): array
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
    private function nozzle(): array
    {
        $l = $this->layout;
        $shapes = [];
        foreach (array_reverse($l->tubes()) as $tube) {
            $thick = max(4.0, $tube['bore'] * $this->scale);
            $shapes[] = Shape::rect(
                'tube strong',
                $this->x($tube['x']),
                $this->y($l->nozzleAxis()) - $thick / 2,
                $tube['length'] * $this->scale,
                $thick,
            );
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function balloon(string $class): array
    {
        [$x, $y] = $this->layout->balloonCentre();
        $radius = $this->layout->balloonDiameter / 2 * $this->scale;

        return [Shape::circle($class, $this->x($x), $this->y($y), $radius)];
    }

    /** @return list<Shape> */
    private function gap(): array
    {
        [$x] = $this->layout->balloonCentre();
        $under = $this->y(max(0.0, $this->layout->balloonClearance()));

        return [
            Shape::line('measure', $this->x($x) + 26, $under, $this->x($x) + 26, $this->floor),
            Shape::path('arrow', $this->arrow($this->x($x) + 26, $this->floor + 20, 0.0, -14.0)),
        ];
    }

    /** @return list<Shape> */
    private function ground(): array
    {
        return [Shape::line('ground', 8, $this->floor + 1, self::WIDTH - 8, $this->floor + 1)];
    }

    /** @return list<Shape> */
    private function push(): array
    {
        return [
            Shape::path(
                'arrow',
                $this->arrow($this->x($this->layout->body->length) + 14, $this->y($this->layout->chassisTop()) - 26, -60.0, 0.0, true),
            ),
        ];
    }

    /** @return list<Shape> the car is lifted from below, never pressed down */
    private function lift(): array
    {
        $l = $this->layout;

        return [Shape::path('arrow', $this->arrow($this->x($l->body->length / 2), $this->floor + 18, 0.0, -16.0))];
    }

    /** @return list<Shape> */
    private function pattern(): array
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

    /** @return list<Shape> */
    private function clock(): array
    {
        [$x, $y] = [self::WIDTH - 44, 40];

        return [
            Shape::circle('dial', $x, $y, 22),
            Shape::path('hands', "M{$x} {$y}V" . ($y - 15) . "M{$x} {$y}h11"),
            Shape::text((string) (int) round($this->task->minutes), $x, $y + 40),
        ];
    }

    /** @return list<Shape> */
    private function limpBalloon(): array
    {
        $y = self::MIDDLE;

        return [
            Shape::path('skin', "M40 {$y}c0 -22 26 -30 52 -30s40 14 56 22h22v16h-22c-16 8 -30 22 -56 22s-52 -8 -52 -30z"),
            Shape::path('arrow', $this->arrow(196, $y, 26.0, 0.0)),
            Shape::circle('skin strong', 290, $y, 56),
        ];
    }

    /** @return list<Shape> */
    private function joint(): array
    {
        $neck = $this->task->lengthsM['neck'] ?? $this->layout->nozzle->neckDepth ?? 0.025;
        $scale = 96 / 0.03;
        [$y, $edge] = [self::MIDDLE, 188.0];
        $end = min(self::WIDTH - 60, $edge + $neck * $scale);

        return [
            Shape::path(
                'skin',
                "M{$edge} " . ($y - 15) . 'H' . ($edge + 70) . 'c40 0 40 -62 110 -62v154c-70 0 -70 -62 -110 -62H' . $edge . 'z',
            ),
            Shape::rect('tube strong', 20, $y - 9, $end - 20, 18),
            Shape::rect('band', $edge + 20, $y - 18, 9, 36, 3),
            Shape::rect('band', $edge + 31, $y - 18, 9, 36, 3),
            ...$this->measureAcross($edge, $end, $y + 40, $this->shown($neck)),
        ];
    }

    /** @return list<Shape> the balloon full, a fingertip on the end of its tube */
    private function closed(): array
    {
        $y = self::MIDDLE;

        return [
            Shape::circle('skin strong', 248, $y, 76),
            Shape::rect('tube', 70, $y - 6, 116, 12),
            Shape::path('finger', 'M20 ' . ($y + 34) . 'c20 0 36 -12 46 -26c6 -9 8 -14 4 -17c-4 -3 -9 0 -14 8'),
        ];
    }

    /** @return list<Shape> */
    private function measureAcross(float $from, float $to, float $y, string $shown, bool $above = false): array
    {
        return [Shape::line('measure', $from, $y, $to, $y), Shape::text($shown, ($from + $to) / 2, $above ? $y - 6 : $y + self::LETTERING)];
    }

    /** An arrow that ends where it points to. */
    private function arrow(float $x, float $y, float $along, float $down, bool $startsHere = false): string
    {
        [$toX, $toY] = [$x + $along, $y + $down];
        if ($startsHere) {
            [$x, $y, $toX, $toY] = [$toX, $toY, $x, $y];
            [$along, $down] = [-$along, -$down];
        }
        $length = max(1.0, hypot($along, $down));
        [$ax, $ay] = [$along / $length * 8, $down / $length * 8];
        $point = static fn(float ...$at): string => implode(
            ' ',
            array_map(static fn(float $each): string => (string) round($each, 2), $at),
        );

        return "M{$point($x, $y)}L{$point($toX, $toY)}M{$point($toX - $ax - $ay * 0.7, $toY - $ay + $ax * 0.7)}L{$point($toX, $toY)}L{$point($toX - $ax + $ay * 0.7, $toY - $ay - $ax * 0.7)}";
    }
}
