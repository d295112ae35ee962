<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\Figure;
use App\Language\Text;
use Skivo\Core\Findings\Likely;
use Skivo\Core\Findings\SourceUse;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** Sources of energy side by side: what is measured of each, and how it is shown. */
final readonly class SourceWords
{
    /** @param list<SourceUse> $uses */
    public function __construct(private UnitSystem $units, public array $uses) {}

    /**
     * @return array<string, array{most: float, of: array<string, Likely>}> by the measure: the greatest end of an interval, and each source's
     *     own by its value; only measures that some source has
     */
    public function measures(): array
    {
        $all = [];
        foreach (array_keys(self::readings()) as $measure) {
            $of = [];
            foreach ($this->uses as $use) {
                $likely = (self::readings()[$measure])($use);
                if ($likely !== null) {
                    $of[$use->source->value] = $likely;
                }
            }
            if ($of !== []) {
                $all[$measure] = [
                    'most' => max(array_map(static fn(Likely $likely): float => min($likely->high, 2.5 * $likely->value), $of)),
                    'of' => $of,
                ];
            }
        }

        return $all;
    }

    public function value(string $measure, float $value): string
    {
        return match ($measure) {
            'distance' => $this->units->show($value, Scale::Distance),
            'time' => $this->units->show($value, Scale::Stopwatch),
            'share' => Figure::threeDigits(100 * $value) . "\u{00A0}%",
            'put_in' => self::joules($value),
            'per_joule' => Figure::threeDigits($this->units->fromSi($value, Scale::Lane)) . "\u{00A0}{$this->units->symbol(Scale::Lane)}/J",
            default => self::joules($value / $this->units->perSi(Scale::Lane)) . '/' . $this->units->symbol(Scale::Lane),
        };
    }

    private static function joules(float $joules): string
    {
        return $joules >= 1.0 ? Figure::threeDigits($joules) . "\u{00A0}J" : Figure::threeDigits(1000 * $joules) . "\u{00A0}mJ";
    }

    /** As in "40 to 60 %". */
    public function between(string $measure, Likely $likely): string
    {
        return Text::of(
            'findings.sources.between',
            ['low' => $this->value($measure, max(0.0, $likely->low)), 'high' => $this->value($measure, $likely->high)],
        );
    }

    /** @return array<string, \Closure(SourceUse): ?Likely> */
    private static function readings(): array
    {
        return [
            'distance' => static fn(SourceUse $use): Likely => $use->distanceM,
            'time' => static fn(SourceUse $use): ?Likely => $use->timeS,
            'put_in' => static fn(SourceUse $use): ?Likely => $use->putInJ,
            'share' => static fn(SourceUse $use): ?Likely => $use->share,
            'per_joule' => static fn(SourceUse $use): ?Likely => $use->perJouleM,
            'per_metre' => static fn(SourceUse $use): ?Likely => $use->perMetreJ(),
        ];
    }
}
