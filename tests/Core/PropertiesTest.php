<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\UnreadableQuantityException;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\Spearman;

/** What must hold whatever the class does. */
final class PropertiesTest extends TestCase
{
    use TestTrait;

    public function testAWrittenQuantityReadsBackInEveryUnit(): void
    {
        $this->limitTo(200)->forAll(
            Generators::elements(Unit::cases()),
            Generators::choose(0, 999_999),
            Generators::choose(0, 4),
        )->then(function (Unit $unit, int $digits, int $decimals): void {
            $number = number_format($digits / 10 ** $decimals, $decimals, '.', '');
            $entry = (new QuantityReader())->read("{$number} {$unit->value}", $unit);

            self::assertSame((string) \Brick\Math\BigRational::of($number)->simplified(), (string) $entry->quantity->exactlyIn($unit));
            self::assertSame("{$number} {$unit->value}", $entry->text);
        });
    }

    public function testWhateverIsTypedIsReadOrRefusedInWords(): void
    {
        $this->limitTo(400)
            ->forAll(Generators::seq(Generators::elements(...mb_str_split('0123456789.,/½¾ \'"″-−cmingftozskl:eEx٣'))))
            ->then(function (array $letters): void {
                $typed = implode('', $letters);
                try {
                    $entry = (new QuantityReader())->read($typed, Unit::Centimetre);
                    self::assertTrue(is_finite($entry->quantity->si()) && $entry->quantity->si() >= 0.0, $typed);
                    self::assertSame(
                        $entry->quantity->si(),
                        (new QuantityReader())->read($entry->text, Unit::Inch)->quantity->si(),
                        'what is kept says its unit',
                    );
                } catch (UnreadableQuantityException $refusal) {
                    self::assertNotSame('', $refusal->getMessage());
                }
            });
    }

    public function testWhatIsShownIsTheValueToItsDecimals(): void
    {
        $this->limitTo(200)->forAll(
            Generators::elements(UnitSystem::cases()),
            Generators::elements([Scale::Part, Scale::Body, Scale::Distance, Scale::Lane, Scale::Weight, Scale::Stopwatch]),
            Generators::choose(0, 3_000_000),
        )->then(function (UnitSystem $units, Scale $scale, int $millionths): void {
            $si = $millionths / 1e6;

            self::assertEqualsWithDelta(
                $units->fromSi($si, $scale),
                (float) $units->figure($si, $scale),
                0.500001 * 10 ** -$units->decimals($scale),
            );
            self::assertEqualsWithDelta($si, $units->fromSi($si, $scale) / $units->perSi($scale), 1e-12);
        });
    }

    public function testASampleLiesBetweenItsEndsAndItsIntervalAroundItsMean(): void
    {
        $this->limitTo(200)->forAll($this->distances(2, 12))->then(function (array $values): void {
            $sample = new Sample($values);
            $interval = $sample->meanInterval();

            foreach ([$sample->mean(), $sample->median()] as $middle) {
                self::assertGreaterThanOrEqual($sample->least() - 1e-12, $middle);
                self::assertLessThanOrEqual($sample->greatest() + 1e-12, $middle);
            }
            self::assertEqualsWithDelta($sample->mean(), ($interval->low + $interval->high) / 2, 1e-9);
            self::assertLessThanOrEqual($sample->range(), $sample->standardDeviation());
            self::assertLessThanOrEqual(
                $interval->high - $interval->low + 1e-12,
                $sample->meanInterval(0.5)->high - $sample->meanInterval(0.5)->low,
            );
        });
    }

    public function testStandingsDoNotDependOnTheOrderOfTheClass(): void
    {
        $this->limitTo(100)->forAll(
            Generators::vector(6, $this->distances(0, 4)),
            Generators::elements(Scoring::cases()),
        )->then(function (array $class, Scoring $scoring): void {
            $entrants = array_map($this->entrant(...), array_keys($class), $class);
            $ranks = static function (array $entrants) use ($scoring): array {
                $ranks = [];
                foreach (Standings::of($entrants, new Award(Goal::Farthest), $scoring)->places as $place) {
                    $ranks[$place->entrant->id] = [$place->rank, $place->tied, $place->score];
                }
                ksort($ranks);

                return $ranks;
            };

            self::assertSame($ranks($entrants), $ranks(array_reverse($entrants)));
            $places = array_values(
                array_filter(
                    Standings::of($entrants, new Award(Goal::Farthest), $scoring)->places,
                    static fn(Standing $place): bool => $place->rank !== null,
                ),
            );
            foreach ($places as $index => $place) {
                self::assertLessThanOrEqual($index + 1, $place->rank);
                self::assertTrue($index === 0 || $places[$index - 1]->score >= $place->score);
            }
        });
    }

    public function testALineFollowsItsPointsWhateverTheUnit(): void
    {
        $this->limitTo(150)->forAll($this->distances(4, 10), Generators::choose(1, 500))->then(function (array $y, int $factor): void {
            $x = array_map(static fn(int $i): float => 0.004 + 0.001 * $i, array_keys($y));
            $line = LeastSquares::fit($x, $y);
            $scaled = LeastSquares::fit(array_map(static fn(float $each): float => $each * $factor, $x), $y);

            self::assertNotNull($line);
            self::assertEqualsWithDelta(array_sum($y), array_sum(array_map($line->at(...), $x)), 1e-9);
            self::assertEqualsWithDelta($line->slope / $factor, $scaled?->slope, 1e-9 * max(1.0, abs($line->slope)));
            self::assertTrue($line->rSquared >= -1e-12 && $line->rSquared <= 1.0 + 1e-12);
            $spearman = Spearman::of($x, $y);
            self::assertTrue($spearman === null || abs($spearman->rho) <= 1.0);
        });
    }

    private function entrant(int $id, array $distances): Entrant
    {
        $runs = [];
        foreach ($distances as $index => $distance) {
            $runs[] = new Run("{$id}-{$index}", $index + 1, $distance);
        }

        return new Entrant("group {$id}", new Tries($runs, 4));
    }

    /** Between so many distances in whole centimetres, as they are read off a tape. */
    private function distances(int $least, int $most): \Eris\Generator
    {
        return Generators::bind(
            Generators::choose($least, $most),
            static fn(int $count) => Generators::vector(
                $count,
                Generators::map(static fn(int $cm): float => $cm / 100, Generators::choose(0, 900)),
            ),
        );
    }
}
