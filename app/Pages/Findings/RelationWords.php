<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\FactorWords;
use App\Language\Label;
use App\Language\Sentence;
use App\Language\Text;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\CategoryRelation;
use Skivo\Core\Findings\NumberRelation;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Trend;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Spearman;

/** What a relation says, in words first, then the numbers. */
final readonly class RelationWords
{
    /** @param bool $holds whether what it shows is clear enough beside all else that could be said (Claims) */
    public function __construct(private RelationReading $reading, private bool $holds) {}

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
        $label = Label::of($this->reading->factor);
        $cars = count($relation->points);
        $interval = $relation->line?->slopeInterval();
        $sentences = match ($relation->trend) {
            Trend::NothingYet => [$this->nothingYet($label)],
            Trend::TooFewCars => [
                new Sentence(
                    Text::of('findings.relation_words.too_few_cars_to_say'),
                    Text::of(
                        'findings.relation_words.two_cars_always_lie_on_a',
                        ['label' => $label, 'cars' => Text::plural('findings.relation_words.is_one_are_two', $cars)],
                    ),
                ),
            ],
            Trend::AllTheSame => [
                new Sentence(
                    Text::of('findings.relation_words.every_car_has_the_same', ['label' => $label]),
                    Text::of('findings.relation_words.so_it_cannot_explain_why_one'),
                ),
            ],
            Trend::NotClear => [
                new Sentence(
                    Text::of('findings.relation_words.no_clear_trend_with', ['label' => $label]),
                    $interval === null
                        ? ''
                        : Text::of(
                            'findings.relation_words.the_line_says_but_anything_would',
                            ['relation' => $this->perStep($relation), 'interval' => $this->between($interval)],
                        ),
                ),
            ],
            default => [
                new Sentence(
                    $this->claim($relation->trend),
                    Text::of(
                        'findings.relation_words.about',
                        ['relation' => $this->perStep($relation), 'interval' => $interval === null ? '' : " ({$this->between($interval)})"],
                    ),
                ),
            ],
        };
        if ($cars < 3 || $relation->line === null) {
            return $sentences;
        }
        $xs = array_map(static fn($point): float => (float) $point->x, $relation->points);
        $sentences[] = new Sentence(
            '',
            '',
            Text::of(
                'findings.relation_words.cars_from_to_one_point_a',
                [
                    'cars' => $cars, 'label' => $label, 'least' => $this->reading->showFactor(min($xs)),
                    'most' => $this->reading->showFactor(max($xs)), 'caution' => $cars < 6
                        ? ' ' . Text::of('findings.relation_words.that_is_few_one_odd_car')
                        : '',
                ],
            ),
        );
        if ($relation->spearman !== null) {
            $sentences[] = new Sentence('', $this->ranking($relation->spearman->rho), Text::of(
                'findings.relation_words.spearman',
                ['rho' => self::signed($relation->spearman->rho, 2)],
            )
                . (
                    $relation->spearman->pValue === null
                        ? ''
                        : Text::of('findings.relation_words.p', ['p' => self::probability($relation->spearman->pValue)])
                ));
        }
        $power = $relation->logLog?->slopeInterval();
        if ($relation->logLog !== null && $power !== null) {
            $sentences[] = new Sentence(
                '',
                Text::of(
                    'findings.relation_words.as_a_power_law_goes_about',
                    ['outcome_word' => $this->outcomeWord(), 'label' => $label, 'slope' => self::signed($relation->logLog->slope, 2)],
                ),
                Text::of(
                    'findings.relation_words.log_log_slope_95_to',
                    ['low' => self::signed($power->low, 2), 'high' => self::signed($power->high, 2)],
                ),
            );
        }

        return $sentences;
    }

    /** @return list<Sentence> */
    private function kinds(CategoryRelation $relation): array
    {
        $label = Label::of($this->reading->factor);
        $names = array_map(strval(...), array_keys($relation->kinds));
        $first = $names[0] ?? '';
        $last = $names[count($names) - 1] ?? '';
        [$far, $least] = $this->reading->outcome === Outcome::Distance
            ? [Text::of('findings.relation_words.went_farthest'), Text::of('findings.relation_words.least')]
            : [Text::of('findings.relation_words.took_longest'), Text::of('findings.relation_words.shortest')];
        $sentences = match ($relation->trend) {
            Trend::NothingYet => [$this->nothingYet($label)],
            Trend::TooFewCars => [
                new Sentence(
                    Text::of('findings.relation_words.too_few_cars_to_say'),
                    Text::of('findings.relation_words.it_takes_at_least_three_cars'),
                ),
            ],
            Trend::AllTheSame => [
                new Sentence(
                    Text::of('findings.relation_words.every_car_has_the_same_2', ['label' => $label, 'first' => $first]),
                    Text::of('findings.relation_words.so_it_cannot_explain_why_one'),
                ),
            ],
            Trend::Differs => [
                new Sentence(
                    $this->orHint(Text::of('findings.relation_words.cars_differed_by', ['label' => $label])),
                    Text::of(
                        'findings.relation_words.on_average',
                        [
                            'first' => $first,
                            'farthest' => $far,
                            'mean_of_first' => $this->reading->showOutcome($relation->kinds[$first]->mean()),
                            'last' => $last,
                            'least' => $least,
                            'mean_of_last' => $this->reading->showOutcome($relation->kinds[$last]->mean()),
                        ],
                    ),
                ),
            ],
            default => [
                new Sentence(
                    Text::of('findings.relation_words.no_clear_difference_by', ['label' => $label]),
                    Text::of('findings.relation_words.the_kinds_differ_no_more_than'),
                ),
            ],
        };
        if ($relation->analysis !== null && count($relation->kinds) > 1 && count($relation->points) > 2) {
            $f = is_infinite($relation->analysis->f) ? '∞' : number_format($relation->analysis->f, 2);
            $sentences[] = new Sentence(
                '',
                '',
                Text::of(
                    'findings.relation_words.one_way_analysis_of_variance_over',
                    [
                        'count' => Text::plural(
                            'findings.count.car',
                            count($relation->points),
                        ),
                        'degrees_between' => $relation->analysis->degreesBetween,
                        'degrees_within' => $relation->analysis->degreesWithin,
                        'f' => $f,
                        'p_value' => self::probability($relation->analysis->pValue),
                    ],
                ),
            );
        }

        return $sentences;
    }

    private function claim(Trend $trend): string
    {
        // The kind that did more of the outcome is named, so that the sentence is about going far, or being quick.
        $wantsMore = $this->reading->outcome === Outcome::Distance;
        $subject = FactorWords::many($this->reading->factor, ($trend === Trend::Rises) === $wantsMore);

        return $this->orHint($subject . (
            $wantsMore
                ? ' ' . Text::of('findings.relation_words.went_farther_here')
                : ' ' . Text::of('findings.relation_words.were_quicker_here')
        ));
    }

    private function orHint(string $claim): string
    {
        return $this->holds ? $claim : Text::of('findings.relation_words.a_hint', ['claim' => lcfirst($claim)]);
    }

    private function perStep(NumberRelation $relation): string
    {
        return Text::of(
            'findings.relation_words.for_each',
            ['slope' => $this->slope($relation->line->slope ?? 0.0, true), 'step_word' => $this->stepWord()],
        );
    }

    private function between(Interval $interval): string
    {
        return Text::of(
            'findings.relation_words.between_and',
            ['low' => $this->slope($interval->low, false), 'high' => $this->slope($interval->high, true)],
        );
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
            CarAttribute::NozzleBore => $metric ? 1.0 : 0.04,
            CarAttribute::OutletArea => $metric ? 10.0 : 0.02,
            CarAttribute::WheelDiameter => $metric ? 10.0 : 0.5,
            CarAttribute::Mass => $metric ? 10.0 : 0.5,
            default => 1.0,
        };
    }

    private function stepWord(): string
    {
        $symbol = $this->reading->factorSymbol();
        $step = $this->step();

        return match (true) {
            $symbol === '' => Text::of('findings.relation_words.stroke_more'),
            $step === 1.0 => Text::of('findings.relation_words.more', ['step' => $symbol]),
            default => Text::of(
                'findings.relation_words.more',
                ['step' => rtrim(rtrim(number_format($step, 2), '0'), '.') . "\u{00A0}{$symbol}"],
            ),
        };
    }

    private function ranking(float $rho): string
    {
        $strength = match (true) {
            abs($rho) >= Spearman::CLOSELY => Text::of('findings.relation_words.closely'),
            abs($rho) >= Spearman::LOOSELY => Text::of('findings.relation_words.loosely'),
            default => Text::of('findings.relation_words.hardly_at_all'),
        };
        $direction = $rho <= -Spearman::LOOSELY ? Text::of('findings.relation_words.the_other_way_round') : '';

        return Text::of('findings.relation_words.put_in_order_the_two_go', ['strength' => $strength, 'direction' => $direction]);
    }

    private function nothingYet(string $label): Sentence
    {
        return new Sentence(
            Text::of('findings.relation_words.nothing_to_set_against_each_other'),
            Text::of('findings.relation_words.it_takes_cars_with_a_recorded', ['label' => $label]),
        );
    }

    private function outcomeWord(): string
    {
        return $this->reading->outcome === Outcome::Distance
            ? Text::of('labels.outcome.label.distance')
            : Text::of('labels.outcome.label.time');
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
