<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\PooledEffect;
use Skivo\Core\Statistics\Interval;

/** What each class found on a line with its interval, and all together at the foot. In px. */
final readonly class ClassesDrawing
{
    public const WIDTH = 560;
    private const ROW = 52;
    private const MARGIN = 14;

    private float $low;
    private float $high;

    public function __construct(private PooledEffect $pooled)
    {
        $ends = [0.0, $pooled->interval->low, $pooled->interval->high];
        foreach ($pooled->effects as $effect) {
            $own = $pooled->intervalOf($effect);
            array_push($ends, $pooled->spanOf($effect), $own->low ?? 0.0, $own->high ?? 0.0);
        }
        // One class that can hardly tell must not squeeze all others.
        $most = 4.0 * max(
            abs($pooled->interval->low),
            abs($pooled->interval->high),
            ...array_map(static fn(Effect $effect): float => abs($pooled->spanOf($effect)), array_values($pooled->effects)),
        );
        [$this->low, $this->high] = [max(-$most, min($ends)), min($most, max($ends))];
    }

    public function x(float $value): float
    {
        $share = ($value - $this->low) / max(1e-12, $this->high - $this->low);

        return round(self::MARGIN + max(0.0, min(1.0, $share)) * (self::WIDTH - 2 * self::MARGIN), 1);
    }

    /** @return array{float, float, float} where its interval begins, where it lies, and where that ends */
    public function row(Effect $effect): array
    {
        $own = $this->pooled->intervalOf($effect) ?? new Interval(0.0, 0.0);

        return [$this->x($own->low), $this->x($this->pooled->spanOf($effect)), $this->x($own->high)];
    }

    /** @param int $row from 0 */
    public function y(int $row): float
    {
        return self::ROW * ($row + 0.6);
    }

    /** The pooled effect as a lozenge below all rows. */
    public function lozenge(): string
    {
        $y = $this->y(count($this->pooled->effects));
        [$low, $mean, $high] = [
            $this->x($this->pooled->interval->low), $this->x($this->pooled->mean), $this->x($this->pooled->interval->high),
        ];

        return "{$low},{$y} {$mean}," . ($y - 10) . " {$high},{$y} {$mean}," . ($y + 10);
    }

    public function height(): int
    {
        return self::ROW * (count($this->pooled->effects) + 1) + 20;
    }
}
