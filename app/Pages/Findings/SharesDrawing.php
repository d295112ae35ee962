<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\FactorWords;
use App\Language\Label;
use App\Language\Text;
use Illuminate\Support\Str;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\Shares;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** The pieces of what lies between both ends of an attribute, one below the other along one tape; in percent of it. */
final readonly class SharesDrawing
{
    /** A half of what the attribute makes that is less than this share of all that lies between is not drawn apart. */
    private const WORTH_DRAWING = 0.05;

    /** @var list<array{name: string, kind: string, from: float, width: float, by: string}> */
    public array $rows;

    /** @param float|null $byPush share of what the attribute makes that the push makes; the rest the friction; null where the model can't say */
    public function __construct(Shares $shares, CarAttribute $factor, ?float $byPush, private UnitSystem $units)
    {
        $named = Label::title($factor);
        $pieces = $byPush === null ? [[$named, 'own', $shares->own]] : array_values(array_filter([
            ["{$named}, " . Text::of('findings.shares.by_push'), 'push', $byPush * $shares->own],
            ["{$named}, " . Text::of('findings.shares.by_friction'), 'friction', (1.0 - $byPush) * $shares->own],
        ], static fn(array $piece): bool => abs($piece[2]) >= self::WORTH_DRAWING * abs($shares->total())));
        foreach ($shares->others as $each) {
            $pieces[] = [Str::ucfirst(FactorWords::beside($each->attribute)), 'other', $each->makes];
        }
        $pieces[] = [Text::of('findings.shares.hands'), 'hands', $shares->hands];
        $at = $shares->least;
        $ends = [0.0, $shares->least, $shares->most];
        foreach ($pieces as [, , $makes]) {
            $ends[] = $at += $makes;
        }
        [$low, $high] = [min($ends), max($ends)];
        $place = static fn(float $value): float => round(100 * ($value - $low) / max(1e-9, $high - $low), 2);
        $row = fn(string $name, string $kind, float $from, float $to, string $by): array => [
            'name' => $name, 'kind' => $kind, 'from' => min($place($from), $place($to)), 'width' => abs($place($to) - $place($from)),
            'by' => $by,
        ];
        $rows = [];
        $at = $shares->least;
        foreach ($pieces as [$name, $kind, $makes]) {
            $rows[] = $row($name, $kind, $at, $at + $makes, $this->signed($makes));
            $at += $makes;
        }
        $this->rows = [
            $row(Text::of('findings.shares.least'), 'end', 0.0, $shares->least, $this->show($shares->least)),
            ...$rows,
            $row(Text::of('findings.shares.most'), 'end', 0.0, $shares->most, $this->show($shares->most)),
        ];
    }

    /** The same for who can't see it. */
    public function said(): string
    {
        return implode('; ', array_map(static fn(array $row): string => "{$row['name']}: {$row['by']}", $this->rows));
    }

    private function signed(float $si): string
    {
        $shown = $this->show(abs($si));

        return $shown === $this->show(0.0) ? $shown : ($si < 0.0 ? '− ' : '+ ') . $shown;
    }

    private function show(float $si): string
    {
        return $this->units->show($si, Scale::Distance);
    }
}
