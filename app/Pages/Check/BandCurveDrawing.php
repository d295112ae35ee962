<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Language\Figure;
use App\Language\Text;
use Skivo\Core\Bench\BandCurve;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Constants;

/** Pull over length wound, there and back. In px. */
final readonly class BandCurveDrawing
{
    private const LEFT = 60.0;
    private const WIDTH = 330.0;
    private const FLOOR = 165.0;
    private const HEIGHT = 145.0;

    /** Labels along the axis keep this far apart. */
    private const APART = 64.0;

    /** What is stored and comes back, what is lost (%), and by how many turns, as it is said. */
    public string $stored;
    public string $returned;
    public string $lost;
    public string $turns;

    public string $winding;
    public string $letBack;
    public string $returnedArea;
    public string $lostArea;

    /** @var list<array{float, float, string}> */
    public array $dots;

    /** @var list<array{float, string}> */
    public array $along;

    /** @var list<array{float, string}> */
    public array $up;

    /** @var array{float, float} */
    public array $nameAt;

    /** @var array{float, float} */
    public array $backNameAt;

    public function __construct(BandCurve $curve, UnitSystem $units)
    {
        $longest = max(1e-6, ...array_column($curve->points, 1));
        $hardest = max(1e-6, ...array_column($curve->points, 2)) * 1.08;
        $x = static fn(float $wound): float => round(self::LEFT + self::WIDTH * $wound / $longest, 1);
        $y = static fn(float $pull): float => round(self::FLOOR - self::HEIGHT * $pull / $hardest, 1);
        [$begin, $up, $back] = $curve->from;
        $winding = ["{$x($begin)},{$y($up)}"];
        $letBack = ["{$x($begin)},{$y($back)}"];
        $dots = $along = [];
        $last = -INF;
        foreach ($curve->points as [$turns, $wound, $up, $back]) {
            $winding[] = "{$x($wound)},{$y($up)}";
            $letBack[] = "{$x($wound)},{$y($back)}";
            array_push($dots, [$x($wound), $y($up), 'winding-dot'], [$x($wound), $y($back), 'back-dot']);
            if ($x($wound) - $last >= self::APART) {
                $along[] = [$x($wound), $units->figure($turns, Scale::Turns) . ' · ' . $units->show($wound, Scale::Body)];
                $last = $x($wound);
            }
        }
        $this->winding = implode(' ', $winding);
        $this->letBack = implode(' ', $letBack);
        [$from, $to] = [$x($begin), $x($longest)];
        $this->returnedArea = "M{$from} " . self::FLOOR . 'L' . implode('L', $letBack) . "L{$to} " . self::FLOOR . 'Z';
        $this->lostArea = 'M' . implode('L', $winding) . 'L' . implode('L', array_reverse($letBack)) . 'Z';
        $this->dots = $dots;
        $this->along = $along;
        $top = $hardest / 1.08;
        $this->up = [[self::FLOOR, '0'], [$y($top) + 4.0, $units->show($top / Constants::GRAVITY_M_S2, Scale::Weight)]];
        $end = $curve->points[count($curve->points) - 1];
        $joules = static fn(float $joules): string => Text::of('bench.bench_words.mj', ['value' => Figure::threeDigits(1000 * $joules)]);
        [$this->stored, $this->returned] = [$joules($curve->storedJ ?? 0.0), $joules($curve->returnedJ ?? 0.0)];
        $this->lost = (string) round(100 * (1.0 - ($curve->returnedFraction ?? 1.0)));
        $this->turns = $units->show($end[0], Scale::Turns);
        $middle = $curve->points[intdiv(count($curve->points) - 1, 2)];
        $this->nameAt = [$x($end[1]) - 12.0, $y($end[2]) - 6.0];
        $this->backNameAt = [$x(($middle[1] + $end[1]) / 2) + 6.0, $y(($middle[3] + $end[3]) / 2) + 22.0];
    }
}
