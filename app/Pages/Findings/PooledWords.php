<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\FactorWords;
use App\Language\Figure;
use App\Language\Label;
use App\Language\Sentence;
use App\Language\Text;
use Illuminate\Support\Str;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\PooledEffect;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;

/** What several classes say together. */
final readonly class PooledWords
{
    public function __construct(private PooledReading $reading, private UnitSystem $units) {}

    /** What they say together, in the words of one class's own answer. */
    public function answer(PooledEffect $pooled): Sentence
    {
        $outcome = $pooled->outcome->value;
        $does = $pooled->mean >= 0.0 ? 'more' : 'less';
        $lead = match ($pooled->answer($this->reading->typical())) {
            Answer::HardlyMatters => Text::of("findings.effect.{$outcome}.hardly", ['factor' => Label::title($pooled->factor)]),
            Answer::CannotTell, Answer::Hint => Text::of("findings.effect.{$outcome}.cannot", ['factor' => Label::title($pooled->factor)]),
            default => Text::of(
                "findings.effect.{$outcome}.does_{$does}",
                ['what' => Str::ucfirst(FactorWords::one($pooled->factor, true))],
            ),
        };

        return new Sentence($lead, Text::of('library.classes.said', [
            'classes' => Text::plural('library.classes.classes', count($pooled->effects)),
            'mean' => $this->signed($pooled->mean, $pooled),
            'low' => $this->signed($pooled->interval->low, $pooled),
            'high' => $this->signed($pooled->interval->high, $pooled),
            'least' => $this->value($pooled, $pooled->least),
            'most' => $this->value($pooled, $pooled->most),
        ]));
    }

    public function differ(PooledEffect $pooled): ?string
    {
        return $pooled->differ === null ? null
            : Text::of(
                $pooled->classesDiffer() ? 'library.classes.differ' : 'library.classes.alike',
                ['p' => Figure::of(round($pooled->differ, 3))],
            );
    }

    /** This year's classes against those before. */
    public function years(): ?string
    {
        $years = $this->reading->years();
        if ($years === null) {
            return null;
        }
        [$this_, $now, $last, $before] = $years;
        [$mean, $interval, $p] = $now->against($before);

        return Text::of('library.classes.years', [
            'this' => $this_,
            'last' => $last,
            'mean' => $this->signed($mean, $now),
            'low' => $this->signed($interval->low, $now),
            'high' => $this->signed($interval->high, $now),
            'verdict' => Text::of($p < 0.05 ? 'library.classes.years_differ' : 'library.classes.years_alike'),
        ]);
    }

    public function value(PooledEffect $pooled, float $si): string
    {
        return FactorWords::value($pooled->factor, $si, $this->units);
    }

    public function interval(Interval $interval, PooledEffect $pooled): string
    {
        return Text::of(
            'library.classes.from_to',
            ['low' => $this->signed($interval->low, $pooled), 'high' => $this->signed($interval->high, $pooled)],
        );
    }

    public function signed(float $si, PooledEffect $pooled): string
    {
        return ($si < 0.0 ? '−' : '+') . $this->units->show(abs($si), $pooled->outcome->scale());
    }
}
