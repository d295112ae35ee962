<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Findings\Alike;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\LikeCars;

/**
 * The sets of like cars behind an effect, small: a point a car, a line a set. The choice goes along, the outcome upwards from
 * nothing; both in percent of the drawing.
 */
final readonly class LikeCarsDrawing
{
    /** Of the drawing, on each side (%). */
    private const MARGIN = 8;

    /** @param float $most of the outcome that any car has, above 0: the top of every drawing of it */
    public function __construct(private Effect $effect, private float $most) {}

    /** @return list<array{float, float}> along and downwards */
    public function points(): array
    {
        $alike = [];
        foreach ($this->effect->sets as $set) {
            foreach ($set->cars as $each) {
                $alike[$each->car->id] = $each;
            }
        }
        foreach ($this->effect->rebuilt() as $pair) {
            foreach ($pair as $each) {
                $alike[$each->car->id] ??= $each;
            }
        }

        return array_map(fn(Alike $each): array => [$this->x($each->x), $this->y($each->y)], array_values($alike));
    }

    /** @return list<array{float, float, float, float, bool}> from, to, and whether it joins versions of one group's car */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->effect->sets as $set) {
            if ($set->group === null) {
                $lines[] = $this->line($set);
            }
        }
        foreach ($this->effect->rebuilt() as [$less, $more]) {
            $lines[] = [$this->x($less->x), $this->y($less->y), $this->x($more->x), $this->y($more->y), true];
        }

        return $lines;
    }

    /** @return array{float, float, float, float, bool} the effect's own slope through the middle of the set */
    private function line(LikeCars $set): array
    {
        $x = array_map(static fn(Alike $each): float => $each->x, $set->cars);
        $y = array_map(static fn(Alike $each): float => $each->y, $set->cars);
        [$middle, $height] = [array_sum($x) / count($x), array_sum($y) / count($y)];
        $at = fn(float $place): float => $this->y($height + $this->effect->perUnit() * ($place - $middle));

        return [$this->x(min($x)), $at(min($x)), $this->x(max($x)), $at(max($x)), false];
    }

    private function x(float $value): float
    {
        $span = $this->effect->most - $this->effect->least;

        return self::within(min(1.0, max(0.0, $span > 0.0 ? ($value - $this->effect->least) / $span : 0.5)));
    }

    private function y(float $value): float
    {
        return 100 - self::within(min(1.0, max(0.0, $value / $this->most)));
    }

    private static function within(float $share): float
    {
        return round(self::MARGIN + $share * (100 - 2 * self::MARGIN), 1);
    }
}
