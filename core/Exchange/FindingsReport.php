<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Findings\AllowedFor;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Change;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Dose;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\Likely;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Findings\Shares;
use Skivo\Core\Findings\SourceUse;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Verdict;

/** What a class's records say, as the JSON of docs/findings.schema.json. */
final readonly class FindingsReport
{
    private function __construct(private Findings $found) {}

    /** @return array<string, mixed> */
    public static function of(Findings $found): array
    {
        return (new self($found))->all();
    }

    /** @return array<string, mixed> */
    private function all(): array
    {
        $next = $this->found->next;

        return [
            'cars' => array_map(fn(ComparedCar $car): array => [
                'id' => $car->id,
                'n' => $car->sample->n,
                'mean_m' => $car->sample->mean(),
                'interval_m' => self::ends($this->found->forecast->scatter?->meanInterval($car->sample)),
            ], $this->found->cars),
            'standings' => array_map($this->standing(...), $this->found->standings->places),
            'question' => $this->question(),
            'claims' => $this->effects(),
            'beliefs' => array_map(static fn(Ruling $ruling): array => [
                'code' => $ruling->belief->code($ruling->outcome),
                'outcome' => $ruling->outcome->value,
                'verdict' => match ($ruling->isSupported) {
                    true => 'supported',
                    false => 'not_supported',
                    null => 'cannot_tell',
                },
            ], $this->found->rulings),
            'dose' => array_map(static fn(Dose $dose): array => ['car' => $dose->car] + ($dose->of === CarAttribute::TurnsWound
                ? ['best_turns' => $dose->best, 'interval_turns' => self::ends($dose->interval)]
                : ['best_m' => $dose->best, 'interval_m' => self::ends($dose->interval)]), $this->found->doses),
            'sources' => array_map(static fn(SourceUse $use): array => [
                'source' => str_replace(' ', '_', $use->source->value), 'groups' => count($use->cars),
                'distance_m' => self::likely($use->distanceM),
                'time_s' => self::likely($use->timeS), 'put_in_j' => self::likely($use->putInJ), 'share_moved' => self::likely($use->share),
                'm_per_j' => self::likely($use->perJouleM),
            ], $this->found->sources),
            'forecast' => $this->forecasts(),
            'work' => $this->works(),
            'outliers' => $this->outliers(),
            'next_test' => $next === null ? null : [
                'group' => $next->changes[0]->car->group,
                'attribute' => ClassReader::keyOf($next->factor),
                'to' => $next->changes[0]->to,
                'changes' => array_map(static fn(Change $change): array => [
                    'group' => $change->car->group, 'from' => $change->from, 'to' => $change->to,
                ], $next->changes),
                'expects_m' => $next->expectsM,
                'shows_m' => $next->showsM,
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function standing(Standing $standing): array
    {
        $group = $standing->entrant->id;

        return [
            'group' => $group,
            'place' => $standing->rank,
            'chance_first' => $this->found->chances[$group] ?? null,
            'against_first' => match (true) {
                $standing->rank === null => null,
                $standing->againstLeader === null => 'first',
                $standing->againstLeader === Verdict::ClearlyApart => 'clearly_behind',
                default => 'too_close',
            },
        ];
    }

    /** @return array<string, mixed>|null */
    private function question(): ?array
    {
        $question = $this->found->question;
        $asked = $this->found->asked;
        if ($question === null) {
            return null;
        }
        [$unit, $times] = self::unit($question->attribute);
        $interval = $asked?->perUnitInterval();

        return [
            'attribute' => ClassReader::keyOf($question->attribute),
            'outcome' => $question->outcome->value,
            'effect' => $asked === null ? null : $asked->perUnit() * $times,
            'per' => $unit,
            'from' => $question->from,
            'to' => $question->to,
            'interval' => $interval === null ? null : [$interval->low * $times, $interval->high * $times],
            'verdict' => ($this->found->answer ?? Answer::CannotTell)->value,
            'cars' => $asked === null ? 0 : count($asked->cars()),
            'groups' => $asked?->groups() ?? 0,
            'allowed_for' => array_map(static fn(AllowedFor $each): array => [
                'attribute' => ClassReader::keyOf($each->attribute), 'r_squared' => $each->rSquared,
            ], $asked?->together() ?? []),
            'shares_m' => self::shares($question->attribute, $asked?->shares()),
        ];
    }

    /** @return array<string, float>|null by the key of an attribute; `hands` for the rest */
    private static function shares(CarAttribute $asked, ?Shares $shares): ?array
    {
        if ($shares === null) {
            return null;
        }
        $said = [ClassReader::keyOf($asked) => $shares->own];
        foreach ($shares->others as $each) {
            $said[ClassReader::keyOf($each->attribute)] = $each->makes;
        }

        return $said + ['hands' => $shares->hands];
    }

    /** @return list<array<string, mixed>> */
    private function effects(): array
    {
        $claims = [];
        foreach ($this->found->effects as $effect) {
            if ($effect->pValue !== null && $this->found->question?->isOf($effect) !== true) {
                $claims[] = self::claim(
                    $effect->factor,
                    $effect->outcome->value,
                    [$effect->from, $effect->to],
                    $this->found->claims->verdict($effect),
                    $effect->pValue,
                ) + self::size($effect);
            }
        }

        return $claims;
    }

    /** @return array<string, mixed> */
    private static function size(Effect $effect): array
    {
        [$unit, $times] = self::unit($effect->factor);
        $interval = $effect->perUnitInterval();

        return [
            'effect' => $effect->perUnit() * $times,
            'per' => $unit,
            'interval' => $interval === null ? null : [$interval->low * $times, $interval->high * $times],
        ];
    }

    /**
     * @param array{string|null, string|null} $kinds
     *
     * @return array<string, mixed>
     */
    private static function claim(CarAttribute $attribute, string $outcome, array $kinds, Answer $verdict, float $p): array
    {
        return [
            'attribute' => ClassReader::keyOf($attribute),
            'outcome' => $outcome,
            'from' => $kinds[0],
            'to' => $kinds[1],
            'verdict' => $verdict->value,
            'p' => $p,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function forecasts(): array
    {
        $rows = [];
        foreach ($this->found->forecast->forecasts as $car => $forecast) {
            $rows[] = [
                'car' => (string) $car,
                'no_start' => $forecast->noStart,
                'median_m' => $forecast->medianM,
                'band50_m' => self::ends($forecast->band50),
                'band95_m' => self::ends($forecast->band95),
            ];
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function works(): array
    {
        $rows = [];
        foreach ($this->found->works as $car => $work) {
            $rows[] = [
                'car' => (string) $car,
                'push_n' => $work->pushN,
                'stretch_m' => $work->stretchM,
                'hold_n' => $work->holdN,
                'distance_m' => $work->distanceM,
            ];
        }

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function outliers(): array
    {
        $rows = [];
        foreach ($this->found->outliers as $car => $odd) {
            foreach ($odd as $outlier) {
                $rows[] = ['car' => (string) $car, 'try' => $outlier->index + 1, 'distance_m' => $outlier->value];
            }
        }

        return $rows;
    }

    /** @return array{string|null, float} the unit for which an effect is given, and how much of SI that is; null for two kinds */
    private static function unit(CarAttribute $attribute): array
    {
        return !$attribute->explainsAsNumber() ? [null, 1.0] : match ($attribute->scale()) {
            Scale::Part => ['mm', 0.001],
            Scale::Body => ['cm', 0.01],
            Scale::Weight => ['g', 0.001],
            Scale::Angle => ['deg', 1.0],
            default => ['1', 1.0],
        };
    }

    /** @return array{float, float}|null */
    private static function ends(?Interval $interval): ?array
    {
        return $interval === null ? null : [$interval->low, $interval->high];
    }

    /** @return array{float, float, float}|null the middle, and the 95 % interval */
    private static function likely(?Likely $likely): ?array
    {
        return $likely === null ? null : [$likely->value, $likely->low, $likely->high];
    }
}
