<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Pages\Plan\BandShape;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\NoseShape;
use Skivo\Core\Car\Geometry\Fault;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Geometry\Spot;

/**
 * A car from the side, and from above and from behind where that is wanted, all to one scale, the balloon at full size.
 * Forward is to the right, as on the lane. In px; places and sizes come in m.
 */
final readonly class CarDrawing
{
    public const WIDTH = 560;
    /** No drawing is taller, and no view from behind wider: where views stand beside each other, all have these. */
    public const MOST_HEIGHT = 618;
    public const MOST_END_WIDTH = 259;
    private const MOST_OUTLETS = 12;
    private const ROOM_BEHIND_M = 0.035;
    private const ROOM_BEFORE_M = 0.01;

    public float $balloonRadiusM;
    public float $balloonXM;
    public float $balloonYM;
    public float $wheelRadiusM;
    public float $nozzleYM;

    /** @var array{x: float, bore: float, length: float} the tube that the air leaves by */
    public array $exit;

    /** y of the floor, seen from the side. */
    public float $ground;
    public float $height;

    private float $rearM;
    private float $indent;
    private float $middle;
    private float $scale;

    /** @param list<Fault> $faults to be marked */
    public function __construct(public Layout $layout, private array $faults = [], bool $isFromAbove = true)
    {
        $l = $layout;
        [$this->balloonXM, $this->balloonYM] = $l->balloonCentre();
        // A car without a balloon needs no room for one.
        $this->balloonRadiusM = $r = $l->source->blows() ? $l->balloonDiameter / 2 : 0.0;
        $this->wheelRadiusM = $wheel = $l->wheelRadius();
        $this->nozzleYM = $l->nozzleAxis();
        $this->exit = $l->tubes()[0];
        $this->rearM = min($l->source->blows() ? $this->exit['x'] : 0.0, $l->axles->rear - $wheel, 0) - self::ROOM_BEHIND_M;
        $length = max(
            $l->source->blows() ? $this->balloonXM + $r : 0.0,
            $l->body->length,
            $l->frontAxle() + $wheel,
        ) + self::ROOM_BEFORE_M - $this->rearM;
        $half = max(
            $r,
            ($l->axles->frontTrack + $l->wheels->thickness) / 2,
            $l->axles->frontLength / 2,
            $l->axles->rearLength / 2,
            $l->body->width / 2,
        );
        $top = max($l->source->blows() ? $this->balloonYM + $r : 0.0, 2 * $wheel, $l->chassisTop());
        $this->scale = min((self::WIDTH - 20) / $length, 215 / ($top + 0.005), $isFromAbove ? 235 / (2 * $half) : INF);
        $this->indent = (self::WIDTH - $length * $this->scale) / 2;
        $this->ground = 30 + $top * $this->scale;
        $this->middle = $this->ground + 104 + $half * $this->scale;
        $this->height = round($isFromAbove ? $this->middle + $half * $this->scale + 34 : $this->ground + 12);
    }

    /** Along the car, from its rear end. */
    public function x(float $m): float
    {
        return round($this->indent + ($m - $this->rearM) * $this->scale, 2);
    }

    /** Above the floor, seen from the side. */
    public function y(float $m): float
    {
        return round($this->ground - $m * $this->scale, 2);
    }

    /** Beside the car's middle, seen from above. */
    public function z(float $m): float
    {
        return round($this->middle + $m * $this->scale, 2);
    }

    /** Beside the car's middle, seen from behind. */
    public function e(float $m): float
    {
        return round(self::MOST_END_WIDTH / 2 + $m * $this->scale, 2);
    }

    /** A size, never so small that it could not be seen. */
    public function size(float $m): float
    {
        return round(max(1.5, $m * $this->scale), 2);
    }

    /** Where something of a size begins whose middle lies at a place. */
    public function before(float $middle, float $m): float
    {
        return round($middle - $this->size($m) / 2, 2);
    }

    /** By how much the tubes are turned (degrees). */
    public function turn(): float
    {
        return round(-rad2deg($this->layout->nozzle->angle), 2);
    }

    /** @return list<array{float, float, float, float}> place, track, length and bearing of the front and the rear axle (m) */
    public function axles(): array
    {
        $l = $this->layout;

        return [
            [$l->frontAxle(), $l->axles->frontTrack, $l->axles->frontLength, $l->axles->frontBearing],
            [$l->axles->rear, $l->axles->rearTrack, $l->axles->rearLength, $l->axles->rearBearing],
        ];
    }

    /** The chassis from the side, as its form and its nose have it. */
    public function chassisFromSide(): string
    {
        $l = $this->layout;
        [$bottom, $top, $middle] = [$l->chassisBottom(), $l->chassisTop(), ($l->chassisBottom() + $l->chassisTop()) / 2];
        $nose = min($l->body->height, $l->body->length / 3);

        return match (true) {
            $l->body->form->isRound() => $this->along(fn(float $x): array => [
                $middle + $l->body->height / 2 * $l->widthAt($x) / $l->body->width,
                $middle - $l->body->height / 2 * $l->widthAt($x) / $l->body->width,
            ], $this->y(...)),
            $l->body->form === ChassisForm::FoldedPlate => "M{$this->x(0)} {$this->y($bottom)}L{$this->x($l->body->length)} {$this->y($bottom)}"
                . "L{$this->x($l->body->length)} {$this->y($middle)}Q{$this->x($l->body->length / 2)} {$this->y($top + ($top - $middle))} {$this->x(0)} {$this->y($middle)}Z",
            default => $this->shape([
                [0.0, $bottom], [0.0, $top],
                ...match ($l->body->nose) {
                    NoseShape::Flat => [[$l->body->length, $top], [$l->body->length, $bottom]],
                    NoseShape::Wedge => [[$l->body->length - $nose, $top], [$l->body->length, $bottom]],
                    NoseShape::Point => [
                        [$l->body->length - $nose, $top], [$l->body->length, $middle], [$l->body->length - $nose, $bottom],
                    ],
                    NoseShape::Round => array_map(static fn(int $step): array => [
                        $l->body->length - $nose / 2 + $nose / 2 * sin(M_PI * $step / 8),
                        $middle + ($top - $middle) * cos(M_PI * $step / 8),
                    ], range(0, 8)),
                },
            ], $this->y(...)),
        };
    }

    /** The chassis from above. */
    public function chassisFromAbove(): string
    {
        return $this->along(fn(float $x): array => [-$this->layout->widthAt($x) / 2, $this->layout->widthAt($x) / 2], $this->z(...));
    }

    /** @return list<float> where the holes of a brick kit's beams are along the car */
    public function studs(): array
    {
        $count = $this->layout->body->form === ChassisForm::BrickFrame ? (int) floor($this->layout->body->length / ChassisForm::STUD_M) : 0;
        $first = ($this->layout->body->length - ($count - 1) * ChassisForm::STUD_M) / 2;

        return array_map(fn(int $i): float => $this->x($first + $i * ChassisForm::STUD_M), $count > 0 ? range(0, $count - 1) : []);
    }

    /**
     * A shape along the chassis, between what lies at either side of it at each place.
     *
     * @param \Closure(float): array{float, float} $sides
     * @param callable(float): float $across
     */
    private function along(\Closure $sides, callable $across): string
    {
        $l = $this->layout;
        $last = max(1, count($l->body->widths) - 1);
        $places = array_map(static fn(int $i): float => $l->body->length * $i / $last, range(0, $last));

        return $this->shape([
            ...array_map(static fn(float $x): array => [$x, $sides($x)[0]], $places),
            ...array_map(static fn(float $x): array => [$x, $sides($x)[1]], array_reverse($places)),
        ], $across);
    }

    /**
     * @param list<array{float, float}> $corners
     * @param callable(float): float $across
     */
    private function shape(array $corners, callable $across): string
    {
        return 'M' . implode('L', array_map(fn(array $corner): string => "{$this->x($corner[0])} {$across($corner[1])}", $corners)) . 'Z';
    }

    /** The balloon with its neck: from the tube to where lines from it touch the round. */
    public function skin(): string
    {
        $l = $this->layout;
        [$toX, $toY, $r] = [$this->balloonXM - $l->neck(), $this->balloonYM - $this->nozzleYM, $this->balloonRadiusM];
        $turn = acos($r / max(hypot($toX, $toY), $r * 1.01));
        $towards = atan2(-$toY, -$toX);
        [$one, $other] = array_map(
            fn(int $side): string => $this->x(
                $this->balloonXM + $r * cos($towards + $side * $turn),
            ) . ' ' . $this->y($this->balloonYM + $r * sin($towards + $side * $turn)),
            [-1, 1],
        );
        $half = $this->exit['bore'] / 2;
        [$neck, $radius] = [$this->x($l->neck()), $this->size($r)];

        return "M{$neck} {$this->y($this->nozzleYM + $half)}L{$one}A{$radius} {$radius} 0 1 1 {$other}L{$neck} {$this->y($this->nozzleYM - $half)}Z";
    }

    public function bandFromSide(): string
    {
        return (new BandShape($this->layout, $this->x(...), $this->y(...)))->fromSide();
    }

    public function bandFromAbove(): string
    {
        return (new BandShape($this->layout, $this->x(...), $this->z(...)))->fromAbove();
    }

    /** @return list<float> where each outlet begins across the car, seen from above */
    public function outlets(): array
    {
        $count = min(self::MOST_OUTLETS, $this->layout->nozzle->outlets);
        $pitch = $this->exit['bore'] * 1.2;

        return array_map(
            fn(int $i): float => $this->before($this->z(($i - ($count - 1) / 2) * $pitch), $this->exit['bore']),
            range(0, $count - 1),
        );
    }

    /** @return list<array{float, float, int, bool}> x, y and number of a mark for each fault, in each view, and whether it stops the car */
    public function faultMarks(): array
    {
        $marks = $used = [];
        foreach ($this->faults as $number => $fault) {
            foreach ($this->spots($fault->spot) as $view => [$x, $y]) {
                $key = "{$fault->spot->value} {$view}";
                $used[$key] = ($used[$key] ?? -1) + 1;
                $marks[] = [$x + 20 * $used[$key], $y, $number + 1, $fault->stops];
            }
        }

        return $marks;
    }

    /** @return list<array{float, float}> from the side, and where it is seen there, from above */
    private function spots(Spot $spot): array
    {
        $l = $this->layout;
        [$front, $rear, $wheel] = [$this->x($l->frontAxle()), $this->x($l->axles->rear), $this->y($this->wheelRadiusM)];

        return match ($spot) {
            Spot::FrontWheels => [[$front, $wheel], [$front, $this->z(-$l->axles->frontTrack / 2)]],
            Spot::RearWheels => [[$rear, $wheel], [$rear, $this->z(-$l->axles->rearTrack / 2)]],
            Spot::FrontAxle => [[$front, $wheel], [$front, $this->z(0.0)]],
            Spot::RearAxle => [[$rear, $wheel], [$rear, $this->z(0.0)]],
            Spot::Chassis => [
                [$this->x($l->body->length), $this->y($l->chassisTop())], [$this->x($l->body->length), $this->z($l->body->width / 2)],
            ],
            Spot::Balloon => [[$this->x($this->balloonXM), $this->y($this->balloonYM - $this->balloonRadiusM)]],
            Spot::Neck => [[$this->x($l->neck()), $this->y($this->nozzleYM)]],
            Spot::Hook => [[$this->x($l->hook()), $this->y($l->hookHeight())], [$this->x($l->hook()), $this->z($l->band->hookOffset)]],
            Spot::Band => [
                [$this->x(($l->hook() + $l->drivenAxle()) / 2), $this->y(($l->hookHeight() + $this->wheelRadiusM) / 2)],
                [$this->x(($l->hook() + $l->drivenAxle()) / 2), $this->z(0.0)],
            ],
            Spot::Nozzle => [[$this->x($this->exit['x']), $this->y($this->nozzleYM)]],
        };
    }
}
