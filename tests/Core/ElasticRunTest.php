<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Exchange\DesignReader;
use Skivo\Core\Exchange\JsonFaultException;
use Skivo\Core\Exchange\RunReport;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\DrivenAxle;
use Skivo\Core\Physics\ElasticBand;
use Skivo\Core\Physics\Vehicle;
use Skivo\Core\Simulation\ElasticDesign;
use Skivo\Core\Simulation\ElasticRun;
use Skivo\Core\Simulation\ElasticSimulator;

/** The car that a wound band drives: what the chain stores, what the ledger says, and which way things go. */
final class ElasticRunTest extends TestCase
{
    /** Worked by hand: 24 cm of chain, 3 mm², 450 kPa, from λ = 5/6 slack over λ = 1 to 1.25. */
    public function testTheEnergyOfAChain(): void
    {
        $band = new ElasticBand(0.24, 3e-6, 0.2, 8.0);
        // λ = 1.25 with 10 cm wound: F = 1.35 N · (1.25 − 0.64) = 0.8235 N.
        self::assertEqualsWithDelta(0.8235, $band->pullN(0.1), 1e-12);
        self::assertSame(0.0, $band->pullN(0.03), 'slack');
        // G·A·L₀·[λ²/2 + 1/λ] from 1 to 1.25 = 1.35 · 0.24 · (0.78125 + 0.8 − 1.5) = 0.026325 J.
        self::assertEqualsWithDelta(0.026325, $band->storedJ(0.1), 1e-12);
        self::assertEqualsWithDelta(1.35 * (1.0 + 2.0 / 1.25 ** 3) / 0.24, $band->stiffnessNM(0.1), 1e-12);
        // Eight turns on 4 mm take up 2π · 2 mm · 8.
        self::assertEqualsWithDelta(0.100530964915, (new DrivenAxle(0.002, 0.02, 0.6, 0.6, 0.45, 2e-6))->woundM(8.0), 1e-12);
    }

    public function testTheLedgerClosesOverTheRanges(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(16));
        $between = static fn(float $from, float $to): float => $from * ($to / $from) ** ($random->getInt(0, 1 << 30) / (1 << 30));
        [$moved, $slipped] = [0, 0];
        for ($i = 0; $i < 400; $i++) {
            $relaxed = $between(0.06, 0.5);
            $axle = $between(0.0008, 0.006);
            $installed = $relaxed * $between(0.6, 1.4);
            $hold = $between(0.1, 1.2);
            $most = (6.0 * $relaxed - $installed) / (2.0 * M_PI * $axle);
            $run = ElasticSimulator::run($design = new ElasticDesign(
                new ElasticBand(
                    $relaxed,
                    $between(5e-7, 2e-5),
                    $installed,
                    min(400.0, $most * $between(0.05, 1.0)),
                    $between(2e5, 9e5),
                    $between(0.5, 1.0),
                    $i % 3 === 0 ? BandEnd::Tied : BandEnd::Free,
                ),
                new DrivenAxle($axle, $between(0.01, 0.08), $between(0.2, 0.9), $hold, $hold * $between(0.6, 1.0), $between(2e-7, 1e-4)),
                new Vehicle($between(0.03, 0.5), $between(0.005, 0.08), $between(0.0005, 0.02), 1.0, $between(0.0005, 0.01)),
                startSpeedMS: $i % 4 === 0 ? $between(0.1, 2.0) : 0.0,
            ));
            $energy = $run->energy;
            $in = $energy->start + $energy->push;
            $out = $energy->rolling + $energy->drag + $energy->slip + $energy->end;
            self::assertEqualsWithDelta($in, $out, 1e-3 * max(1e-9, $energy->stored + $energy->start), "run {$i}");
            self::assertLessThanOrEqual(
                $energy->stored * $design->band->returnedFraction * (1.0 + 1e-4) + 1e-6,
                $energy->push,
                'no more than the rubber gives back',
            );
            self::assertGreaterThanOrEqual(0.0, min($run->distanceM, $energy->slip, $run->slipTimeS));
            $moved += $run->moves ? 1 : 0;
            $slipped += $run->slipTimeS > 0.0 ? 1 : 0;
        }
        self::assertGreaterThan(200, $moved);
        self::assertGreaterThan(60, $slipped);
    }

    public function testMoreTurnsGoFartherUntilTheWheelsSpin(): void
    {
        $distance = static fn(float $turns): float => self::driven(turns: $turns)->distanceM;
        self::assertLessThan($distance(10.0), $distance(6.0));
        self::assertFalse(self::driven(turns: 10.0)->slipsAtFirst);
        // Where they spin, a turn brings less than it did.
        $strong = static fn(float $turns): ElasticRun => self::driven(turns: $turns, area: 1e-5, mass: 0.06);
        self::assertTrue($strong(26.0)->slipsAtFirst);
        $share = static fn(ElasticRun $run): float => ($run->energy->rolling + $run->energy->drag) / $run->energy->stored;
        self::assertLessThan($share($strong(14.0)), $share($strong(26.0)));
    }

    public function testBallastOverTheDrivenAxleAndRubberTurnSpinningIntoDistance(): void
    {
        $spins = self::driven(turns: 26.0, area: 1e-5, mass: 0.06, share: 0.35);
        self::assertTrue($spins->slipsAtFirst);
        self::assertGreaterThan(
            $spins->distanceM,
            self::driven(turns: 26.0, area: 1e-5, mass: 0.06, share: 0.35, holds: 1.1)->distanceM,
            'rubber on the rims',
        );
        self::assertGreaterThan(
            $spins->distanceM,
            self::driven(turns: 26.0, area: 1e-5, mass: 0.06, share: 0.75)->distanceM,
            'the same weight moved over the axle',
        );
    }

    public function testALargerWheelPushesLessAndATiedBandBrakes(): void
    {
        [$small, $large] = [self::driven(wheel: 0.015), self::driven(wheel: 0.03)];
        self::assertEqualsWithDelta($small->initialDriveForceN / 2.0, $large->initialDriveForceN, 1e-12);
        self::assertGreaterThan($small->driveEnd?->distanceM, $large->driveEnd?->distanceM, 'farther per turn');
        $tied = self::driven(release: BandEnd::Tied);
        self::assertNull($tied->driveEnd);
        self::assertLessThan(self::driven()->distanceM, $tied->distanceM);
        self::assertLessThan(self::driven()->energy->push, $tied->energy->push, 'it takes back what it gave');
    }

    public function testJsonIsReadStrictlyAndNamesWhatIsWrong(): void
    {
        $json
            = '{"elastic":{"relaxed_length_m":0.24,"section_area_m2":3e-6,"installed_length_m":0.2,"turns":8},"drive":{"axle_radius_m":0.002,"wheel_radius_m":0.02,"driven_load_share":0.6},"car":{"mass_kg":0.07,"rolling_coefficient":0.04}}';
        self::assertTrue(DesignReader::isElastic($json));
        self::assertFalse(DesignReader::isElastic('{"balloon":{}}'));
        $report = RunReport::ofElastic(ElasticSimulator::run(DesignReader::readElastic($json)));
        self::assertSame(
            ['moves', 'distance_m', 'stop_time_s', 'peak_speed_m_s', 'slip_time_s', 'initial', 'band_free', 'energy_j'],
            array_keys($report),
        );
        foreach ([
            'elastic.turns' => str_replace('"turns":8', '"turns":180', $json),
            'drive.kinetic_friction' => str_replace(
                '"driven_load_share":0.6',
                '"driven_load_share":0.6,"static_friction":0.3,"kinetic_friction":0.4',
                $json,
            ),
            'drive.wheel_radius_m' => str_replace('"wheel_radius_m":0.02', '"wheel_radius_m":20', $json),
        ] as $field => $wrong) {
            try {
                DesignReader::readElastic($wrong);
                self::fail("{$field} should be refused");
            } catch (OutOfRangeException $fault) {
                self::assertSame($field, $fault->field);
            }
        }
        $this->expectException(JsonFaultException::class);
        DesignReader::readElastic(str_replace('"turns":8', '"turns":8,"release":"glued"', $json));
    }

    private static function driven(
        float $turns = 8.0,
        float $area = 3e-6,
        float $mass = 0.07,
        float $share = 0.6,
        float $holds = 0.6,
        float $wheel = 0.02,
        BandEnd $release = BandEnd::Free,
    ): ElasticRun {
        return ElasticSimulator::run(new ElasticDesign(
            new ElasticBand(0.24, $area, 0.2, $turns, release: $release),
            new DrivenAxle(0.002, $wheel, $share, $holds, 0.75 * $holds, 2e-6),
            new Vehicle($mass, 0.015, 0.003, 1.0, 0.003),
        ));
    }
}
