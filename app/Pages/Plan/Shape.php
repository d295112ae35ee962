<?php

declare(strict_types=1);

namespace App\Pages\Plan;

/** One shape of a drawing that is made from a list of them. */
final readonly class Shape
{
    public const LETTERING = 16;

    /** @param array<string, string|float> $attributes of SVG */
    private function __construct(
        public string $tag,
        public array $attributes,
        public ?string $text = null,
    ) {}

    public static function rect(string $class, float $x, float $y, float $width, float $height, float $round = 0.0): self
    {
        return new self('rect', [
            'class' => $class, 'x' => round($x, 2), 'y' => round($y, 2), 'width' => round(max(1.2, $width), 3),
            'height' => round(max(1.2, $height), 3),
        ] + ($round > 0.0 ? ['rx' => round($round, 2)] : []));
    }

    public static function circle(string $class, float $x, float $y, float $radius): self
    {
        return new self('circle', ['class' => $class, 'cx' => round($x, 2), 'cy' => round($y, 2), 'r' => round(max(0.8, $radius), 2)]);
    }

    public static function line(string $class, float $x1, float $y1, float $x2, float $y2): self
    {
        return new self(
            'line',
            ['class' => $class, 'x1' => round($x1, 3), 'y1' => round($y1, 3), 'x2' => round($x2, 3), 'y2' => round($y2, 3)],
        );
    }

    public static function path(string $class, string $d): self
    {
        return new self('path', ['class' => $class, 'd' => $d]);
    }

    public static function text(string $text, float $x, float $y, string $anchor = 'middle'): self
    {
        return new self('text', ['x' => round($x, 2), 'y' => round($y, 2), 'text-anchor' => $anchor], $text);
    }

    /** @return list<self> a length along a line, with what it is */
    public static function measured(float $from, float $to, float $y, string $shown, bool $above = false): array
    {
        return [self::line('measure', $from, $y, $to, $y), self::text($shown, ($from + $to) / 2, $above ? $y - 6 : $y + self::LETTERING)];
    }

    /** An arrow that ends where it points to. */
    public static function arrow(float $x, float $y, float $along, float $down, bool $startsHere = false): self
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

        return self::path(
            'arrow',
            "M{$point($x, $y)}L{$point($toX, $toY)}"
            . "M{$point($toX - $ax - $ay * 0.7, $toY - $ay + $ax * 0.7)}L{$point($toX, $toY)}L{$point($toX - $ax + $ay * 0.7, $toY - $ay - $ax * 0.7)}",
        );
    }
}
