<?php

declare(strict_types=1);

namespace Skivo\Core\Notebook;

/**
 * A drawing by finger or pen, as strokes: {"width": 1000, "height": 700, "strokes": [{"pen": "ink", "points": [[x, y], …]}, …]} with whole
 * numbers. It is an open format of its own, and SVG comes out of it.
 */
final readonly class Sketch
{
    public const WIDTH = 1000;
    public const HEIGHT = 700;
    public const MOST_STROKES = 400;
    public const MOST_POINTS = 20_000;
    public const PENS = ['ink', 'red', 'blue', 'yellow'];

    /** How a pen draws: colour and thickness. */
    private const LOOKS = ['ink' => ['#17262d', 6], 'red' => ['#b8300f', 8], 'blue' => ['#0a626c', 8], 'yellow' => ['#f3c534', 16]];

    /** @param list<array{pen: string, points: list<array{int, int}>}> $strokes */
    private function __construct(public array $strokes) {}

    /** Null for anything that is no such drawing, or more of one than a hand makes. */
    public static function read(mixed $strokes): ?self
    {
        if (!is_array($strokes) || !array_is_list($strokes) || $strokes === [] || count($strokes) > self::MOST_STROKES) {
            return null;
        }
        $found = [];
        $all = 0;
        foreach ($strokes as $stroke) {
            $pen = is_array($stroke) ? $stroke['pen'] ?? null : null;
            $points = is_array($stroke) ? $stroke['points'] ?? null : null;
            if (!is_string($pen) || !in_array($pen, self::PENS, true) || !is_array($points) || !array_is_list($points) || $points === []) {
                return null;
            }
            $all += count($points);
            if ($all > self::MOST_POINTS) {
                return null;
            }
            $kept = [];
            foreach ($points as $point) {
                [$x, $y] = is_array($point) && array_is_list($point) && count($point) === 2 ? $point : [null, null];
                if (!is_int($x) || !is_int($y) || $x < 0 || $x > self::WIDTH || $y < 0 || $y > self::HEIGHT) {
                    return null;
                }
                $kept[] = [$x, $y];
            }
            $found[] = ['pen' => $pen, 'points' => $kept];
        }

        return new self($found);
    }

    /** The drawing as an SVG document. */
    public function svg(): string
    {
        $paths = '';
        foreach ($this->strokes as $stroke) {
            [$colour, $thick] = self::LOOKS[$stroke['pen']] ?? self::LOOKS['ink'];
            $points = implode(
                ' ',
                array_map(
                    static fn(array $point): string => "{$point[0]},{$point[1]}",
                    count($stroke['points']) === 1 ? [...$stroke['points'], ...$stroke['points']] : $stroke['points'],
                ),
            );
            $paths .= "<polyline points=\"{$points}\" fill=\"none\" stroke=\"{$colour}\" stroke-width=\"{$thick}\" stroke-linecap=\"round\" stroke-linejoin=\"round\"/>";
        }
        [$width, $height] = [self::WIDTH, self::HEIGHT];

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {$width} {$height}\">{$paths}</svg>";
    }
}
