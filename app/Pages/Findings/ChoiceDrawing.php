<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\FittedCar;

/**
 * An effect, small: a point a car, and its line. The choice goes along, the outcome upwards from nothing; both in percent of the
 * drawing.
 */
final readonly class ChoiceDrawing
{
    /** Of the drawing, on each side (%). */
    private const MARGIN = 8;

    /** @param float $most of the outcome that any car has, above 0: the top of every drawing of it */
    public function __construct(private Effect $effect, private float $most) {}

    /** @return list<array{float, float}> along and downwards */
    public function points(): array
    {
        return array_map(fn(FittedCar $each): array => [$this->x($each->x), $this->y($each->y)], $this->effect->fitted);
    }

    /** @return list<array{float, float, float, float, bool}> from, to, and whether it joins versions of one group's car */
    public function lines(): array
    {
        $lines = $this->effect->isPooled() ? [[
            $this->x($this->effect->least), $this->y($this->effect->at($this->effect->least)), $this->x($this->effect->most),
            $this->y($this->effect->at($this->effect->most)), false,
        ]] : [];
        foreach ($this->effect->rebuilt() as [$less, $more]) {
            $lines[] = [$this->x($less->x), $this->y($less->y), $this->x($more->x), $this->y($more->y), true];
        }

        return $lines;
    }

    private function x(float $value): float
    {
        return self::within(min(1.0, max(0.0, ($value - $this->effect->least) / ($this->effect->most - $this->effect->least))));
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
