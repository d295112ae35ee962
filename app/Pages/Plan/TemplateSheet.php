<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** Templates at full size, a sheet of paper each. In mm; sizes of the car come in m. */
final readonly class TemplateSheet
{
    /** What a sheet holds, of A4 as of letter, with a margin that any printer leaves free. */
    public const WIDTH = 256;
    public const HEIGHT = 184;

    /** The bar by which it is seen whether a sheet came out at full size. */
    public const BAR = 200;
    private const BAR_INCHES = 8;

    /** A strip of the lane's tape. */
    private const STRIP_HEIGHT = 26;
    private const STRIP_GAP = 3;
    private const STRIPS_ON_A_SHEET = 6;

    /** Diameters of the rings by which a cap's middle is found. */
    private const RINGS = [20, 90];
    private const HUB_MM = 16;

    /**
     * @param string $key of its title in lang/
     * @param list<Shape> $shapes
     */
    private function __construct(
        public string $key,
        public array $shapes,
    ) {}

    /** @return list<self> for a car, and the tape of a lane so long (m) */
    public static function all(Layout $layout, UnitSystem $units, ?float $laneM): array
    {
        return [
            ...($layout->body->form->carriesAxles() ? [] : [self::chassis($layout, $units)]),
            self::discs($layout, $units),
            self::centreFinder($units),
            ...($layout->body->form->isPierced() ? [self::holes($layout, $units)] : []),
            ...($laneM === null ? [] : self::tape($laneM, $units)),
        ];
    }

    /**
     * For a class that compares two: beside the sheets of the one, those of the other that differ.
     *
     * @return list<self>
     */
    public static function ofBoth(Layout $one, ?Layout $other, UnitSystem $units, ?float $laneM): array
    {
        $sheets = self::all($one, $units, null);
        foreach ($other === null ? [] : self::all($other, $units, null) as $sheet) {
            if (!in_array($sheet, $sheets, false)) {
                $sheets[] = $sheet;
            }
        }

        return [...$sheets, ...($laneM === null ? [] : self::tape($laneM, $units))];
    }

    /** Whether the chassis is too long or too wide for one sheet. */
    public static function isChassisTooLarge(Layout $layout): bool
    {
        return 1000 * $layout->body->length > self::WIDTH || 1000 * $layout->body->width > self::HEIGHT - 30;
    }

    private static function chassis(Layout $layout, UnitSystem $units): self
    {
        $mm = static fn(float $m): float => 1000 * $m;
        [$length, $width] = [$mm($layout->body->length), $mm($layout->body->width)];
        [$left, $middle] = [max(0.0, (self::WIDTH - $length) / 2), 16 + min(self::HEIGHT - 30, $width) / 2];
        $last = max(1, count($layout->body->widths) - 1);
        $edge = static fn(int $sign): array => array_map(
            static fn(int $i): string => round($left + $length * $i / $last, 3) . ' ' . round(
                $middle + $sign * $width / 2 * $layout->body->widths[$i],
                3,
            ),
            range(0, $last),
        );
        $shapes = [
            Shape::path('cut-line', 'M' . implode('L', [...$edge(-1), ...array_reverse($edge(1))]) . 'Z'),
            Shape::line('centre', $left - 4, $middle, $left + $length + 4, $middle),
        ];
        foreach ([1 / 3, 2 / 3] as $third) {
            $half = $mm($layout->widthAt($third * $layout->body->length)) / 2;
            $shapes[] = Shape::line('third', $left + $third * $length, $middle - $half, $left + $third * $length, $middle + $half);
        }
        foreach (['rear' => $layout->axles->rear, 'front' => $layout->frontAxle()] as $at) {
            $half = $mm($layout->widthAt($at)) / 2 + 3;
            $shapes[] = Shape::line('axle', $left + $mm($at), $middle - $half, $left + $mm($at), $middle + $half);
            $shapes[] = Shape::text($units->show($at, Scale::Body), $left + $mm($at), $middle - $half - 2);
        }

        return new self('chassis', [...$shapes, ...self::bar($units)]);
    }

    private static function discs(Layout $layout, UnitSystem $units): self
    {
        $diameter = 1000 * $layout->wheels->diameter;
        $pitch = max($diameter, self::HUB_MM) + 6;
        $across = max(1, (int) floor(self::WIDTH / $pitch));
        $down = max(1, (int) floor((self::HEIGHT - 26) / $pitch));
        $shapes = [];
        for ($i = 0; $i < min(8, $across * $down); $i++) {
            $x = $pitch / 2 + ($i % $across) * $pitch;
            $y = $pitch / 2 + intdiv($i, $across) * $pitch;
            array_push($shapes, Shape::circle('cut-line', $x, $y, $diameter / 2), ...self::cross($x, $y, $diameter / 2 + 2));
            if ($diameter > 1.6 * self::HUB_MM) {
                $shapes[] = Shape::circle('third', $x, $y, self::HUB_MM / 2);
            }
        }

        return new self('discs', [...$shapes, ...self::bar($units)]);
    }

    private static function centreFinder(UnitSystem $units): self
    {
        [$x, $y] = [self::WIDTH / 2, 82.0];
        [$from, $to] = self::RINGS;
        $shapes = self::cross($x, $y, $to / 2 + 6);
        for ($diameter = $from; $diameter <= $to; $diameter += 2) {
            $shapes[] = Shape::circle($diameter % 10 === 0 ? 'cut-line' : 'thin', $x, $y, $diameter / 2);
            if ($diameter % 10 === 0) {
                // A line from its figure ends on the ring: there, at four fifths of its height.
                [$across, $up] = [0.6 * $diameter / 2, 0.8 * $diameter / 2];
                $shapes[] = Shape::line('thin', $x + $across, $y - $up, $x + $to / 2 + 8, $y - $up);
                $shapes[] = Shape::text($units->show($diameter / 1000, Scale::Body), $x + $to / 2 + 10, $y - $up + 1.2, 'start');
            }
        }
        $shapes[] = Shape::circle('dot', $x, $y, 0.8);

        return new self('centre_finder', [...$shapes, ...self::bar($units)]);
    }

    /** A strip for each side of a bottle or a cup: laid along it, its marks show where to pierce. */
    private static function holes(Layout $layout, UnitSystem $units): self
    {
        $length = min((float) self::WIDTH, 1000 * $layout->body->length);
        $shapes = [];
        foreach ([20.0, 70.0] as $y) {
            array_push($shapes, Shape::rect('cut-line', 0, $y, $length, 24), Shape::line('centre', 0, $y + 12, $length, $y + 12));
            foreach ([$layout->axles->rear, $layout->frontAxle()] as $at) {
                array_push(
                    $shapes,
                    Shape::circle('cut-line', 1000 * $at, $y + 12, max(1.5, 500 * $layout->axles->bearingBore)),
                    ...self::cross(1000 * $at, $y + 12, 8),
                );
                $shapes[] = Shape::text($units->show($at, Scale::Body), 1000 * $at, $y - 3);
            }
        }

        return new self($layout->body->form === ChassisForm::Cup ? 'cup_holes' : 'bottle_holes', [...$shapes, ...self::bar($units)]);
    }

    /** @return list<self> */
    private static function tape(float $laneM, UnitSystem $units): array
    {
        $isMetric = $units === UnitSystem::Metric;
        $unitMm = 1000 * ($isMetric ? Unit::Centimetre : Unit::Inch)->inSiRoughly();
        $inStrip = $isMetric ? 25 : 10;
        $count = (int) ceil(1000 * $laneM / ($inStrip * $unitMm) - 1e-9);
        $sheets = [];
        for ($first = 0; $first < $count; $first += self::STRIPS_ON_A_SHEET) {
            $shapes = [];
            for ($strip = $first; $strip < min($count, $first + self::STRIPS_ON_A_SHEET); $strip++) {
                array_push(
                    $shapes,
                    ...self::strip($strip, ($strip - $first) * (self::STRIP_HEIGHT + self::STRIP_GAP), $inStrip, $unitMm, $isMetric),
                );
            }
            $sheets[] = new self('tape', $shapes);
        }

        return $sheets;
    }

    /** @return list<Shape> */
    private static function strip(int $number, float $y, int $units, float $unitMm, bool $isMetric): array
    {
        $length = $units * $unitMm;
        $shapes = [Shape::rect('strip', 0, $y, $length, self::STRIP_HEIGHT)];
        $parts = $isMetric ? 2 : 4;
        for ($tick = 0; $tick <= $units * $parts; $tick++) {
            $at = $number * $units * $parts + $tick;
            $x = $tick * $unitMm / $parts;
            $isWhole = $at % $parts === 0;
            $whole = intdiv($at, $parts);
            // Numbered every 5 cm, or every inch; metres and feet stand out.
            $isNumbered = $isWhole && ($isMetric ? $whole % 5 === 0 : true);
            $isLarge = $isWhole && $whole % ($isMetric ? 100 : 12) === 0;
            $shapes[] = Shape::line(
                $isLarge ? 'tick large' : 'tick',
                $x,
                $y,
                $x,
                $y + ($isLarge ? 18 : ($isNumbered ? 11 : ($isWhole ? 7 : 4))),
            );
            // The number at a joint stands on the strip that begins there.
            if ($isNumbered && $tick < $units * $parts) {
                $shapes[] = Shape::text((string) $whole, $x + 1.2, $y + ($isLarge ? 23 : 18), 'start');
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private static function cross(float $x, float $y, float $reach): array
    {
        return [Shape::line('centre', $x - $reach, $y, $x + $reach, $y), Shape::line('centre', $x, $y - $reach, $x, $y + $reach)];
    }

    /** @return list<Shape> the bar that says "measure me" */
    private static function bar(UnitSystem $units): array
    {
        $isMetric = $units === UnitSystem::Metric;
        $length = $isMetric ? (float) self::BAR : self::BAR_INCHES * 25.4;
        $y = self::HEIGHT - 14.0;

        return [Shape::rect('scale-bar', 0, $y, $length, 2.0)];
    }

    /** As in "20 cm": what the bar must measure. */
    public static function barShown(UnitSystem $units): string
    {
        return $units->show($units === UnitSystem::Metric ? self::BAR / 1000 : self::BAR_INCHES * 0.0254, Scale::Body);
    }
}
