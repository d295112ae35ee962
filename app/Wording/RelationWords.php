<?php

declare(strict_types=1);

namespace App\Wording;

use App\Reading\Outcome;
use App\Reading\RelationReading;
use Skivo\Core\Findings\CategoryRelation;
use Skivo\Core\Findings\Factor;
use Skivo\Core\Findings\NumberRelation;
use Skivo\Core\Findings\Trend;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;

/** What a relation says, in words first, then the numbers. */
final readonly class RelationWords
{
    public function __construct(private RelationReading $reading) {}

    /** @return list<Sentence> */
    public function finding(): array
    {
        return $this->reading->relation instanceof NumberRelation
            ? $this->numbers($this->reading->relation)
            : $this->kinds($this->reading->relation);
    }

    /** @return list<Sentence> */
    private function numbers(NumberRelation $relation): array
    {
        $label = $this->reading->factor->label();
        $cars = count($relation->points);
        $interval = $relation->line?->slopeInterval();
        $sentences = match ($relation->trend) {
            Trend::NothingYet => [new Sentence('Nothing to set against each other yet.', "It takes cars with a recorded {$label} and a try that counts.")],
            Trend::TooFewCars => [new Sentence('Too few cars to say.', "Two cars always lie on a line, so a trend needs at least three with a recorded {$label}. Here " . ($cars === 1 ? 'is one.' : 'are two.'))],
            Trend::AllTheSame => [new Sentence("Every car has the same {$label}.", 'So it cannot explain why one goes farther. To find out, vary it.')],
            Trend::NotClear => [new Sentence("No clear trend with {$label}.", $interval === null ? '' : "The line says {$this->perStep($relation)}, but anything {$this->between($interval)} would fit these cars.")],
            default => [new Sentence($this->claim($relation->trend), "about {$this->perStep($relation)}" . ($interval === null ? '' : " ({$this->between($interval)})") . '.')],
        };
        if ($cars < 3 || $relation->line === null) {
            return $sentences;
        }
        $xs = array_map(static fn($point): float => (float) $point->x, $relation->points);
        $sentences[] = new Sentence('', '', "{$cars} cars, {$label} from {$this->reading->showFactor(min($xs))} to {$this->reading->showFactor(max($xs))}. One point a car: the mean of its tries."
            . ($cars < 6 ? ' That is few: one odd car can make or break the line.' : ''));
        if ($relation->spearman !== null) {
            $sentences[] = new Sentence('', $this->ranking($relation->spearman->rho), 'Spearman’s ρ = ' . self::signed($relation->spearman->rho, 2)
                . ($relation->spearman->pValue === null ? '' : ', p ' . self::probability($relation->spearman->pValue)));
        }
        $power = $relation->logLog?->slopeInterval();
        if ($relation->logLog !== null && $power !== null) {
            $sentences[] = new Sentence('', 'As a power law, ' . $this->outcomeWord() . " goes about as {$label} to the power " . self::signed($relation->logLog->slope, 2) . '.', 'log–log slope, 95 %: ' . self::signed($power->low, 2) . ' to ' . self::signed($power->high, 2));
        }

        return $sentences;
    }

    /** @return list<Sentence> */
    private function kinds(CategoryRelation $relation): array
    {
        $label = $this->reading->factor->label();
        $names = array_map(strval(...), array_keys($relation->kinds));
        $first = $names[0] ?? '';
        $last = $names[count($names) - 1] ?? '';
        [$far, $least] = $this->reading->outcome === Outcome::Distance ? ['went farthest', 'least'] : ['took longest', 'shortest'];
        $sentences = match ($relation->trend) {
            Trend::NothingYet => [new Sentence('Nothing to set against each other yet.', "It takes cars with a recorded {$label} and a try that counts.")],
            Trend::TooFewCars => [new Sentence('Too few cars to say.', 'It takes at least three cars, and a kind that two of them share.')],
            Trend::AllTheSame => [new Sentence("Every car has the same {$label}: {$first}.", 'So it cannot explain why one goes farther. To find out, vary it.')],
            Trend::Differs => [new Sentence("Cars differed by {$label}:", "{$first} {$far}, on average {$this->reading->showOutcome($relation->kinds[$first]->mean())}; {$last} {$least}, {$this->reading->showOutcome($relation->kinds[$last]->mean())}.")],
            default => [new Sentence("No clear difference by {$label}.", 'The kinds differ no more than cars of one kind differ among themselves.')],
        };
        if ($relation->analysis !== null && count($relation->kinds) > 1 && count($relation->points) > 2) {
            $f = is_infinite($relation->analysis->f) ? '∞' : number_format($relation->analysis->f, 2);
            $sentences[] = new Sentence('', '', "One-way analysis of variance over {$this->count(count($relation->points), 'car')}: F({$relation->analysis->degreesBetween}, {$relation->analysis->degreesWithin}) = {$f}, p " . self::probability($relation->analysis->pValue) . '.');
        }

        return $sentences;
    }

    private function claim(Trend $trend): string
    {
        // The kind that did more of the outcome is named, so that the sentence is about going far, or being quick.
        $wantsMore = $this->reading->outcome === Outcome::Distance;
        $subject = FactorWords::many($this->reading->factor, ($trend === Trend::Rises) === $wantsMore);

        return $subject . ($wantsMore ? ' went farther here:' : ' were quicker here:');
    }

    private function perStep(NumberRelation $relation): string
    {
        return $this->slope($relation->line->slope ?? 0.0, true) . ' for each ' . $this->stepWord();
    }

    private function between(Interval $interval): string
    {
        return 'between ' . $this->slope($interval->low, false) . ' and ' . $this->slope($interval->high, true);
    }

    private function slope(float $perSi, bool $withUnit): string
    {
        $scale = $this->reading->outcome->scale();
        $units = $this->reading->units;
        $value = $units->fromSi($perSi, $scale) * $this->step() / $units->perSi($this->reading->factor->scale() ?? Scale::Count);
        $decimals = $scale === Scale::Stopwatch ? 2 : (abs($value) < 10 ? 1 : 0);

        return self::signed($value, $decimals) . ($withUnit ? "\u{00A0}{$units->symbol($scale)}" : '');
    }

    /** A step of the factor that a class can picture, in its shown unit. */
    private function step(): float
    {
        $metric = $this->reading->units === UnitSystem::Metric;

        return match ($this->reading->factor) {
            Factor::NozzleBore => $metric ? 1.0 : 0.04,
            Factor::OutletArea => $metric ? 10.0 : 0.02,
            Factor::WheelDiameter => $metric ? 10.0 : 0.5,
            Factor::Mass => $metric ? 10.0 : 0.5,
            default => 1.0,
        };
    }

    private function stepWord(): string
    {
        $symbol = $this->reading->factorSymbol();
        $step = $this->step();

        return match (true) {
            $symbol === '' => 'stroke more',
            $step === 1.0 => "{$symbol} more",
            default => rtrim(rtrim(number_format($step, 2), '0'), '.') . "\u{00A0}{$symbol} more",
        };
    }

    private function ranking(float $rho): string
    {
        $strength = match (true) {
            abs($rho) >= 0.8 => 'closely',
            abs($rho) >= 0.5 => 'loosely',
            default => 'hardly at all',
        };
        $direction = $rho < 0 && abs($rho) >= 0.5 ? ', the other way round' : '';

        return "Put in order, the two go together {$strength}{$direction}.";
    }

    private function outcomeWord(): string
    {
        return $this->reading->outcome === Outcome::Distance ? 'distance' : 'time';
    }

    private function count(int $n, string $thing): string
    {
        return $n === 1 ? "1 {$thing}" : "{$n} {$thing}s";
    }

    private static function signed(float $value, int $decimals): string
    {
        $figure = number_format(abs($value), $decimals, '.', '');
        if ((float) $figure === 0.0) {
            return $figure;
        }

        return ($value < 0 ? '−' : '+') . $figure;
    }

    private static function probability(float $p): string
    {
        return $p < 0.001 ? '< 0.001' : '= ' . number_format($p, 3);
    }
}
