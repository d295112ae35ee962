<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Exchange\DesignReader;
use Skivo\Core\Exchange\JsonFaultException;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\FrictionEstimate;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;
use Skivo\Core\Simulation\Design;
use Skivo\Core\Simulation\Simulator;

final class SimulatedRunTest extends TestCase
{
    use TestTrait;

    private const DESIGN = '{"balloon":{"relaxed_diameter_m":0.06,"film_thickness_m":0.00025,"inflated_diameter_m":0.2},'
        . '"nozzle":{"segments":[{"bore_m":0.006,"length_m":0.15}]},"car":{"mass_kg":0.06,"rolling_coefficient":0.03}}';

    /** Corners and inner points of every range: whatever the design, the run ends, adds up and has numbers in it. */
    public function testEveryDesignWithinTheRangesComesToAnEndAndItsEnergyAddsUp(): void
    {
        $between = static fn(float $low, float $high) => Generators::map(
            // Every few draws at one end of the range; else evenly in the logarithm.
            static fn(int $draw): float => match (true) {
                $draw < 60 => $low,
                $draw >= 940 => $high,
                default => max($low, 1e-9) * ($high / max($low, 1e-9)) ** (($draw - 60) / 880),
            },
            Generators::choose(0, 999),
        );
        // A failing design is named as it is: shrinking sixteen numbers takes longer than reading them.
        $this->limitTo(250)->forAll(Generators::tuple(
            $between(0.01, 0.3),
            $between(5e-5, 2e-3),
            $between(1e4, 1e7),
            $between(0.001, 1.0),
            $between(1.0, 8.0),
            Generators::choose(1, 8),
            $between(0.001, 0.1),
            $between(0.0001, 2.0),
            Generators::choose(1, 20),
            $between(0.001, 10.0),
            $between(0.0005, 1.0),
            $between(0.0001, 5.0),
            Generators::choose(-80, 80),
            $between(0.001, 10.0),
            Generators::choose(-30, 60),
            $between(0.0001, 0.5),
        ))->disableShrinking()->then(function (array $drawn): void {
            [
                $relaxed, $film, $modulus, $hardening, $stretch, $count, $bore, $length, $parallel, $mass, $friction, $wheels, $angle,
                $speed, $temperature, $drag,
            ] = $drawn;
            $run = Simulator::run(
                new Design(
                    new Balloon($relaxed, $film, min(0.6, $relaxed * $stretch), $count, $modulus, $hardening),
                    new Nozzle([new Tube(min(0.1, 1.4 * $bore), $length / 3), new Tube($bore, $length)], $parallel, 0.5, 0.0, $angle),
                    new Vehicle($mass, $friction, $wheels, 1.2, $drag),
                    new Air($temperature, 90_000.0, 0.7),
                    $speed > 0.01 ? $speed : 0.0,
                ),
                withTrajectory: true,
            );

            foreach (
                [
                    $run->distanceM, $run->stopTimeS, $run->peakSpeedMS, $run->impulseNS, $run->initialThrustN, $run->energy->stored,
                ] as $figure
            ) {
                self::assertTrue(is_finite($figure) && $figure >= 0.0, (string) $figure);
            }
            $energy = $run->energy;
            self::assertEqualsWithDelta(
                $energy->push + $energy->start,
                $energy->rolling + $energy->drag + $energy->carriedOff,
                1e-3 * max($energy->stored, $energy->start),
                'the ledger closes',
            );
            if ($run->moves) {
                $last = $run->trajectory[count($run->trajectory) - 1];
                self::assertEqualsWithDelta($run->distanceM, $last->distanceM, 1e-6 * max(1.0, $run->distanceM));
                self::assertEqualsWithDelta(0.0, $last->speedMS, 1e-6 * max(1.0, $run->peakSpeedMS));
            } else {
                self::assertSame([0.0, []], [$run->distanceM, $run->trajectory]);
            }
        });
    }

    public function testTheWorkOfPushAndResistanceAreEqualAreas(): void
    {
        $energy = Simulator::run(DesignReader::read(self::DESIGN))->energy;

        self::assertEqualsWithDelta($energy->push, $energy->rolling + $energy->drag + $energy->carriedOff, 1e-6);
        self::assertGreaterThan(0.9 * $energy->stored, $energy->lost(), 'the jet takes nearly all of it');
    }

    public function testTheTrajectoryRunsForwardAndMeetsWhereTheBalloonWentLimp(): void
    {
        $run = Simulator::run(DesignReader::read(self::DESIGN), withTrajectory: true);
        $before = null;
        foreach ($run->trajectory as $moment) {
            self::assertGreaterThanOrEqual($before?->timeS ?? 0.0, $moment->timeS);
            self::assertGreaterThanOrEqual($before?->distanceM ?? 0.0, $moment->distanceM);
            self::assertLessThanOrEqual($run->peakSpeedMS * 1.000001, $moment->speedMS);
            $before = $moment;
        }
        self::assertNotNull($run->driveEnd);
        self::assertGreaterThan(0.0, $run->trajectory[59]->thrustN);
        self::assertSame(0.0, $run->trajectory[61]->thrustN);
    }

    public function testWhatADesignLeavesOutIsWhatTheSchemaSays(): void
    {
        $schema = json_decode((string) file_get_contents(__DIR__ . '/../../docs/design.schema.json'), true, 32, JSON_THROW_ON_ERROR);
        $written = json_decode(self::DESIGN, true, 16, JSON_THROW_ON_ERROR);
        $defaults = 0;
        foreach ($schema['properties'] as $part => $has) {
            foreach ($has['properties'] as $key => $value) {
                if (array_key_exists('default', $value)) {
                    $written[$part][$key] ??= $value['default'];
                    $defaults++;
                }
            }
        }

        self::assertSame(17, $defaults);
        self::assertEquals(DesignReader::read(self::DESIGN), DesignReader::read(json_encode($written, JSON_THROW_ON_ERROR)));
    }

    public function testLargerWheelsOnTheSameAxleLowerFriction(): void
    {
        $small = FrictionEstimate::coefficient(0.006, 0.3, 0.003, 0.03, 0.012, 0.06);
        $large = FrictionEstimate::coefficient(0.006, 0.3, 0.003, 0.12, 0.012, 0.06);

        self::assertSame(0.006 + 0.3 * 0.1 * 0.8, $small);
        self::assertLessThan($small, $large);
        self::assertSame(0.006, FrictionEstimate::coefficient(0.006, 0.3, 0.003, 0.03, 0.07, 0.06), 'nothing rests on the bearings');
    }

    /** @return iterable<string, array{string, string, string}> what is replaced, by what, part of the message */
    public static function faults(): iterable
    {
        yield 'not JSON' => ['{"balloon"', '{balloon', 'not JSON: syntax error'];
        yield 'NaN' => ['0.03', 'NaN', 'not JSON'];
        yield 'a list' => ['{"balloon":', '[{"balloon":', 'not JSON'];
        yield 'an unknown part' => ['"balloon"', '"baloon"', 'baloon is not part of a design'];
        yield 'an unknown key' => ['"mass_kg"', '"weight"', 'car.weight is not part of a design'];
        yield 'a missing key' => ['"mass_kg":0.06,', '', 'car.mass_kg is missing'];
        yield 'a missing part' => [',"car":{"mass_kg":0.06,"rolling_coefficient":0.03}', '', 'car is missing'];
        yield 'a word for a number' => ['0.03}', '"smooth"}', 'car.rolling_coefficient must be a number'];
        yield 'null' => ['0.03}', 'null}', 'car.rolling_coefficient must be a number'];
        yield 'a number for an object' => ['{"segments":[{"bore_m":0.006,"length_m":0.15}]}', '3', 'nozzle must be an object'];
        yield 'an object for a list' => ['[{"bore_m":0.006,"length_m":0.15}]', '{}', 'nozzle.segments must be a list'];
        yield 'half a balloon' => ['{"relaxed', '{"count":1.5,"relaxed', 'balloon.count must be a whole number'];
        yield 'a bore out of range' => ['"bore_m":0.006', '"bore_m":6', 'nozzle.segments[0].bore_m must be from 0.001 to 0.1; it is 6'];
        yield 'no segments' => ['[{"bore_m":0.006,"length_m":0.15}]', '[]', 'nozzle.segments must be from 1 to 6'];
        yield 'a balloon below its relaxed size' => [
            '"inflated_diameter_m":0.2', '"inflated_diameter_m":0.05', 'balloon.inflated_diameter_m must be from 0.06 to 0.48',
        ];
        yield 'no friction' => ['"rolling_coefficient":0.03', '"rolling_coefficient":0', 'car.rolling_coefficient must be from'];
        yield 'a mass below zero' => ['0.06,"rolling', '-0.06,"rolling', 'car.mass_kg must be from'];
    }

    #[DataProvider('faults')]
    public function testNamesWhatIsWrongWithADesign(string $part, string $instead, string $message): void
    {
        $json = str_replace($part, $instead, self::DESIGN);
        self::assertNotSame(self::DESIGN, $json);
        try {
            DesignReader::read($json);
            self::fail('That is no design.');
        } catch (JsonFaultException|OutOfRangeException $fault) {
            self::assertStringContainsString($message, $fault->getMessage());
        }
    }
}
