<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** What is made at the table, before it goes on the car. In px. */
final readonly class TableShapes
{
    public function __construct(private Layout $layout, private BuildTask $task, private UnitSystem $units) {}

    private function shown(float $m): string
    {
        return $this->units->show($m, Scale::Body);
    }

    /** @return list<Shape> */
    public function pieces(string $class, string $what, float $thicknessM, int $count = 2): array
    {
        $lengths = array_values(
            array_filter(
                [$this->task->lengthsM[$what] ?? null, $this->task->lengthsM["rear_{$what}"] ?? null],
                static fn(?float $length): bool => $length !== null,
            ),
        );
        $lengths = count($lengths) === 1 ? array_fill(0, $count, $lengths[0]) : $lengths;
        $scale = (StepDrawing::WIDTH - 60) / max(1e-3, ...$lengths);
        $thick = min(18.0, max(5.0, $thicknessM * $scale));
        $shapes = [];
        foreach ($lengths as $row => $length) {
            $y = StepDrawing::MIDDLE + 10 + ($row - (count($lengths) - 1) / 2) * 58;
            $shapes[] = Shape::rect("{$class} strong", 30, $y, $length * $scale, $thick);
            if ($class !== 'rod') {
                $shapes[] = Shape::circle('hole', 30 + $length * $scale, $y + $thick / 2, $thick / 2 - 1);
            }
            array_push($shapes, ...Shape::measured(30, 30 + $length * $scale, $y - 10, $this->shown($length), true));
        }

        return $shapes;
    }

    /** @return list<Shape> */
    public function points(): array
    {
        $y = StepDrawing::MIDDLE;

        return [
            Shape::rect('rod', 30, $y - 4, 226, 8),
            Shape::path('rod pale', 'M268 ' . ($y - 4) . 'h22l34 4l-34 4h-22z'),
            Shape::line('cut', 262, $y - 34, 262, $y + 34),
            Shape::arrow(262, $y - 60, 0.0, 20.0),
        ];
    }

    /** @return list<Shape> */
    public function pierced(): array
    {
        $x = StepDrawing::WIDTH / 2;
        $radius = 52.0;

        return [
            Shape::rect('putty', $x - 40, StepDrawing::MIDDLE + 52, 80, 18, 8),
            Shape::circle('wheel strong', $x, StepDrawing::MIDDLE, $radius),
            Shape::line('dashed', $x - $radius - 8, StepDrawing::MIDDLE, $x + $radius + 8, StepDrawing::MIDDLE),
            Shape::line('dashed', $x, StepDrawing::MIDDLE - $radius - 8, $x, StepDrawing::MIDDLE + $radius + 8),
            Shape::circle('rod', $x, StepDrawing::MIDDLE, 4),
            ...Shape::measured($x - $radius, $x + $radius, StepDrawing::HEIGHT - 20, $this->shown($this->layout->wheels->diameter)),
        ];
    }

    /** @return list<Shape> */
    public function clock(): array
    {
        [$x, $y] = [StepDrawing::WIDTH - 44, 40];

        return [
            Shape::circle('dial', $x, $y, 22),
            Shape::path('hands', "M{$x} {$y}V" . ($y - 15) . "M{$x} {$y}h11"),
            Shape::text((string) (int) round($this->task->minutes), $x, $y + 40),
        ];
    }

    /** @return list<Shape> */
    public function limpBalloon(): array
    {
        $y = StepDrawing::MIDDLE;

        return [
            Shape::path('skin', "M40 {$y}c0 -22 26 -30 52 -30s40 14 56 22h22v16h-22c-16 8 -30 22 -56 22s-52 -8 -52 -30z"),
            Shape::arrow(196, $y, 26.0, 0.0),
            Shape::circle('skin strong', 290, $y, 56),
        ];
    }

    /** @return list<Shape> */
    public function joint(): array
    {
        $neck = $this->task->lengthsM['neck'] ?? $this->layout->nozzle->neckDepth ?? 0.025;
        $scale = 96 / 0.03;
        [$y, $edge] = [StepDrawing::MIDDLE, 188.0];
        $by = match ($this->task->how) {
            'tape' => 'tape', 'hot' => 'putty', default => 'band',
        };
        $end = min(StepDrawing::WIDTH - 60, $edge + $neck * $scale);

        return [
            Shape::path(
                'skin',
                "M{$edge} " . ($y - 15) . 'H' . ($edge + 70) . 'c40 0 40 -62 110 -62v154c-70 0 -70 -62 -110 -62H' . $edge . 'z',
            ),
            Shape::rect('tube strong', 20, $y - 9, $end - 20, 18),
            Shape::rect($by, $edge + 20, $y - 18, 9, 36, 3),
            Shape::rect($by, $edge + 31, $y - 18, 9, 36, 3),
            ...Shape::measured($edge, $end, $y + 40, $this->shown($neck)),
        ];
    }

    /** @return list<Shape> the balloon full, a fingertip on the end of its tube */
    public function closed(): array
    {
        $y = StepDrawing::MIDDLE;

        return [
            Shape::circle('skin strong', 248, $y, 76),
            Shape::rect('tube', 70, $y - 6, 116, 12),
            Shape::path('finger', 'M20 ' . ($y + 34) . 'c20 0 36 -12 46 -26c6 -9 8 -14 4 -17c-4 -3 -9 0 -14 8'),
        ];
    }

    /** @return list<Shape> bands looped through each other, with the length that they are to have */
    public function chain(): array
    {
        $length = $this->task->lengthsM['chain'] ?? 0.0;
        $links = 4;
        [$from, $to] = [60.0, StepDrawing::WIDTH - 60.0];
        $link = ($to - $from) / $links;
        $shapes = [];
        for ($i = 0; $i < $links; $i++) {
            [$quarter, $most, $all] = array_map(static fn(float $of): float => round($of, 2), [$link / 4, 3 * $link / 4, $link]);
            $shapes[] = Shape::path(
                'elastic',
                'M' . round($from + $i * $link, 2) . ' ' . StepDrawing::MIDDLE
                . "c{$quarter} -16 {$most} -16 {$all} 0c-{$quarter} 16 -{$most} 16 -{$all} 0z",
            );
        }

        return [
            ...$shapes,
            ...Shape::measured($from, $to, StepDrawing::MIDDLE + 44, $this->shown($length)),
        ];
    }

    /** @return list<Shape> a stick, scored where it is snapped */
    public function snapped(): array
    {
        $y = StepDrawing::MIDDLE;

        return [
            Shape::rect('card strong', 30, $y - 9, 220, 18),
            Shape::rect('card pale', 254, $y - 7, 70, 18),
            Shape::line('cut', 252, $y - 34, 252, $y + 34),
            Shape::arrow(300, $y + 16, 0.0, 26.0),
            ...Shape::measured(30, 250, $y - 24, $this->shown($this->task->lengthsM['length'] ?? $this->layout->body->length), true),
        ];
    }

    /** @return list<Shape> a wheel with a wide hole, and the piece of card that covers it */
    public function middlePiece(): array
    {
        [$x, $y] = [StepDrawing::WIDTH / 2, StepDrawing::MIDDLE - 6];

        return [
            Shape::circle('wheel', $x, $y, 62),
            Shape::circle('hole', $x, $y, 12),
            Shape::circle('card strong', $x, $y, 22),
            Shape::line('dashed', $x - 72, $y, $x + 72, $y),
            Shape::line('dashed', $x, $y - 72, $x, $y + 72),
            ...Shape::measured($x - 62, $x + 62, StepDrawing::HEIGHT - 20, $this->shown($this->layout->wheels->diameter)),
        ];
    }

    /** @return list<Shape> a wheel cut through, on its hub of straw */
    public function hub(): array
    {
        [$x, $y] = [StepDrawing::WIDTH / 2, StepDrawing::MIDDLE];

        return [
            ...$this->wheelCutThrough($x, 'wheel strong'),
            Shape::rect('straw strong', $x - 34, $y - 9, 68, 18),
            Shape::rect('rod pale', $x - 120, $y - 4, 240, 8),
            Shape::arrow($x + 66, $y - 24, -26.0, 0.0),
        ];
    }

    /** @return list<Shape> what keeps a wheel on its axle: on its outer side only, on both, or outside a wheel that spins */
    public function held(): array
    {
        [$x, $y] = [StepDrawing::WIDTH / 2, StepDrawing::MIDDLE];
        $isBoth = $this->task->how === 'stops';
        $isFar = str_starts_with($this->task->how, 'spin');

        return [
            Shape::rect('rod', 40, $y - 5, 240, 10),
            ...$this->wheelCutThrough($x, 'wheel'),
            ...($isFar ? [Shape::rect('straw', $x - 22, $y - 9, 44, 18)] : []),
            Shape::rect('band', $x + ($isFar ? 34 : 12), $y - 13, 12, 26, 4),
            ...($isBoth ? [Shape::rect('band', $x - 24, $y - 13, 12, 26, 4)] : []),
            Shape::arrow($x + ($isFar ? 40 : 18), $y - 56, 0.0, 34.0),
        ];
    }

    /** @return list<Shape> an axle upright on a wheel that lies flat, while its glue sets */
    public function upright(): array
    {
        $x = StepDrawing::WIDTH / 2;

        return [
            Shape::line('ground', 60, 160, StepDrawing::WIDTH - 60, 160),
            Shape::rect('wheel strong', $x - 56, 148, 112, 12),
            Shape::rect('rod', $x - 4, 36, 8, 112),
            Shape::rect('band', $x - 10, 140, 20, 9, 4),
        ];
    }

    /** @return list<Shape> straws side by side, taped at both ends, and their open ends */
    public function bundle(): array
    {
        $count = max(2, min(5, $this->layout->nozzle->outlets));
        $thick = 16.0;
        $top = StepDrawing::MIDDLE - $count * $thick / 2;
        $shapes = [];
        for ($i = 0; $i < $count; $i++) {
            $shapes[] = Shape::rect('tube strong', 40, $top + $i * $thick, 220, $thick);
            $shapes[] = Shape::circle('hole strong', 310, $top + ($i + 0.5) * $thick, $thick / 2 - 1);
        }

        return [
            ...$shapes,
            Shape::rect('tape', 52, $top - 6, 24, $count * $thick + 12, 2),
            Shape::rect('tape', 224, $top - 6, 24, $count * $thick + 12, 2),
        ];
    }

    /** @return list<Shape> a tube in a wider one, as wide as they are to each other */
    public function nested(): array
    {
        $bores = $this->layout->nozzle->bores;
        $widest = max(1e-3, ...$bores);
        $each = 260.0 / max(1, count($bores));
        $shapes = [];
        foreach (array_reverse($bores, true) as $i => $bore) {
            $thick = max(10.0, 56.0 * $bore / $widest);
            $shapes[] = Shape::rect('tube strong', 40 + $i * $each, StepDrawing::MIDDLE - $thick / 2, $each * 1.25, $thick);
            if ($i > 0) {
                $shapes[] = Shape::rect('band', 40 + $i * $each - 5, StepDrawing::MIDDLE - $thick / 2 - 4, 12, $thick + 8, 3);
            }
        }

        return $shapes;
    }

    /** @return list<Shape> a balloon whose lip is cut off */
    public function lip(): array
    {
        $y = StepDrawing::MIDDLE;

        return [
            Shape::path('skin strong', 'M110 ' . ($y - 16) . 'h60c50 0 60 -40 110 -40v112c-50 0 -60 -40 -110 -40h-60z'),
            Shape::rect('skin pale', 84, $y - 20, 10, 40, 5),
            Shape::line('cut', 102, $y - 46, 102, $y + 46),
        ];
    }

    /** @return list<Shape> a wheel from the front, cut through its middle */
    private function wheelCutThrough(float $x, string $class): array
    {
        return [Shape::rect($class, $x - 10, StepDrawing::MIDDLE - 66, 20, 132, 3)];
    }
}
