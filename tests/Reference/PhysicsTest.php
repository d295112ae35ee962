<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;
use Skivo\Core\Simulation\Design;
use Skivo\Core\Simulation\Simulator;

/** Published figures, closed forms, and what the model must show. */
final class PhysicsTest extends TestCase
{
    use AgreesClosely;

    /** U.S. Standard Atmosphere 1976, sea level: 15 °C, 101 325 Pa, dry. */
    public function testStandardAtmosphere(): void
    {
        $air = new Air(15.0, 101_325.0, 0.0);

        self::assertSame('1.2250', number_format($air->densityKgM3(), 4));
        self::assertSame('1.7894', number_format($air->viscosityPaS() * 1e5, 4));
    }

    /** Steam tables: 2339 Pa over water at 20 °C (IAPWS-IF97); the approximation is good to 0.4 %. */
    public function testSaturationVapourPressure(): void
    {
        self::assertRelative(2339.0, (new Air(20.0))->saturationVapourPressurePa(), 4e-3);
    }

    public function testHumidAirIsLighter(): void
    {
        self::assertLessThan((new Air(30.0, 101_325.0, 0.0))->densityKgM3(), (new Air(30.0, 101_325.0, 1.0))->densityKgM3());
    }

    /** Merritt & Weinhaus, Am. J. Phys. 46, 976 (1978): without hardening the pressure peaks at λ = 7^(1/6). */
    public function testPressurePeaksWhereMerrittAndWeinhausFoundIt(): void
    {
        $balloon = new Balloon(0.06, 0.00025, 0.2, hardening: 0.0);
        $peak = 7 ** (1 / 6) * 0.06;

        self::assertSame('1.38309', number_format(7 ** (1 / 6), 5));
        self::assertGreaterThan($balloon->gaugePressurePa($peak * 0.999), $balloon->gaugePressurePa($peak));
        self::assertGreaterThan($balloon->gaugePressurePa($peak * 1.001), $balloon->gaugePressurePa($peak));
        self::assertSame(0.0, $balloon->gaugePressurePa(0.06));
    }

    /** From memory: a party balloon shows roughly 2 to 4 kPa. */
    public function testAPartyBalloonShowsTwoToFourKilopascal(): void
    {
        $pressure = (new Balloon(0.06, 0.00025, 0.2))->gaugePressurePa(0.2);

        self::assertGreaterThan(2000.0, $pressure);
        self::assertLessThan(4000.0, $pressure);
    }

    public function testABareSharpEdgedOutletHasAClosedForm(): void
    {
        $nozzle = new Nozzle([new Tube(0.006)]);

        self::assertRelative(sqrt(2 * 3000 / (1.2 * 1.5)), $nozzle->exitSpeed(3000.0, 1.2, 1.8e-5), 1e-12);
    }

    /** Hagen–Poiseuille: a very long thin tube loses all pressure to its wall, Q = π·p·d⁴/(128·μ·L). */
    public function testALongThinTubeFlowsAsHagenPoiseuilleHasIt(): void
    {
        $nozzle = new Nozzle([new Tube(0.001, 2.0)], entryLoss: 0.0);
        $speed = $nozzle->exitSpeed(20.0, 1.2, 1.8e-5);

        self::assertRelative(20.0 * 0.001 ** 2 / (32 * 1.8e-5 * 2.0), $speed, 2e-3);
    }

    /** Sudden joints as in Crane TP-410: half the contraction's jump, and Borda–Carnot for an expansion. */
    public function testJoints(): void
    {
        $narrowing = new Nozzle([new Tube(0.008), new Tube(0.004)]);
        $widening = new Nozzle([new Tube(0.004), new Tube(0.008)]);

        // p = K·ρ/2·u².
        self::assertRelative(1.0 + 0.5 / 16 + 0.5 * 0.75, 60.0 / (0.6 * $narrowing->exitSpeed(60.0, 1.2, 1.8e-5) ** 2), 1e-12);
        self::assertRelative(1.0 + 0.5 * 16 + 0.75 ** 2 * 16, 60.0 / (0.6 * $widening->exitSpeed(60.0, 1.2, 1.8e-5) ** 2), 1e-12);
    }

    public function testTheExitSpeedBalancesThePressureInEveryRegime(): void
    {
        $nozzle = new Nozzle([new Tube(0.0095, 0.1), new Tube(0.006, 0.15)]);
        foreach ([0.5, 5.0, 60.0, 300.0, 3000.0, 9000.0] as $pressure) {
            $speed = $nozzle->exitSpeed($pressure, 1.2, 1.8e-5);
            $areas = (0.006 / 0.0095) ** 2;
            // Continuity: u·d falls with 1/d from tube to tube.
            $reynolds = 1.2 * $speed * 0.006 / 1.8e-5;
            $loss = 1.0 + 0.5 * $areas ** 2 + 0.5 * (1.0 - $areas) + $nozzle->darcyFriction($reynolds) * 0.15 / 0.006
                + $nozzle->darcyFriction($reynolds * 0.006 / 0.0095) * 0.1 / 0.0095 * $areas ** 2;
            self::assertRelative($pressure, 0.6 * $speed ** 2 * $loss, 1e-11, "{$pressure} Pa");
        }
    }

    public function testDarcysFactorHasNoJumps(): void
    {
        $nozzle = new Nozzle([new Tube(0.006)]);

        self::assertRelative($nozzle->darcyFriction(2300.0), $nozzle->darcyFriction(2300.0001), 1e-6);
        self::assertRelative($nozzle->darcyFriction(4000.0), $nozzle->darcyFriction(3999.9999), 1e-6);
        // Moody chart: 0.0309 at Re = 10 000 in a smooth tube.
        self::assertRelative(0.0309, $nozzle->darcyFriction(1e4), 0.03);
    }

    /** Coasting without drag: v²/(2·f·g)·(m_eff/m). */
    public function testCoastingWithoutDrag(): void
    {
        $vehicle = new Vehicle(0.06, 0.02, 0.006);
        $balloon = new Balloon(0.06, 0.00025, 0.06, dragCoefficient: 0.0);
        $run = Simulator::run(new Design($balloon, new Nozzle([new Tube(0.006)]), $vehicle, new Air(), 1.5));
        $carried = 1.5 * (new Air())->densityKgM3() * M_PI / 6 * 0.06 ** 3;

        self::assertRelative(1.5 ** 2 / (2 * 0.02 * 9.80665) * (0.066 + $carried) / 0.06, $run->distanceM, 1e-8);
        self::assertRelative(1.5 / (0.02 * 9.80665) * (0.066 + $carried) / 0.06, $run->stopTimeS, 1e-8);
    }

    /** Coasting with drag: x = (m/2k)·ln(1 + k·v²/(f·m·g)). */
    public function testCoastingWithQuadraticDrag(): void
    {
        $balloon = new Balloon(0.01, 0.00025, 0.01, dragCoefficient: 0.0);
        $run = Simulator::run(new Design($balloon, new Nozzle([new Tube(0.006)]), new Vehicle(0.05, 0.01, 0.0, 1.0, 0.02), new Air(), 4.0));
        $density = (new Air())->densityKgM3();
        $k = 0.5 * $density * 0.02;
        $inertia = 0.05 + 1.5 * $density * M_PI / 6 * 0.01 ** 3;

        self::assertRelative($inertia / (2 * $k) * log(1 + $k * 16 / (0.01 * 0.05 * 9.80665)), $run->distanceM, 1e-6);
    }

    /** Constant thrust without drag: v = (T − R)·t/m; here over so short a time that the thrust is constant. */
    public function testTheFirstMomentsAreThoseOfAConstantThrust(): void
    {
        $run = Simulator::run($this->design(0.06, 0.03, drag: false), withTrajectory: true);
        $moment = $run->trajectory[1];
        $inertia = 0.06 + 1.5 * (new Air())->densityKgM3() * M_PI / 6 * 0.2 ** 3;

        self::assertRelative(($run->initialThrustN - 0.03 * 0.06 * 9.80665) * $moment->timeS / $inertia, $moment->speedMS, 0.02);
    }

    /** A light car in thick air comes to √((T − R)/k) while the balloon blows on. */
    public function testTerminalSpeed(): void
    {
        $run = Simulator::run(
            new Design(new Balloon(0.06, 0.00025, 0.3), new Nozzle([new Tube(0.003)]), new Vehicle(0.005, 0.01, 0.0, 1.0, 0.05)),
            withTrajectory: true,
        );
        $moment = $run->trajectory[20];

        self::assertRelative(
            sqrt(($moment->thrustN - $moment->resistanceN) / ($moment->dragN / $moment->speedMS ** 2)),
            $moment->speedMS,
            0.02,
        );
    }

    /** Thrust is twice pressure times outlet, less losses: T = 2·p·A/K. */
    public function testThrustOfALosslessJetIsTwicePressureTimesOutlet(): void
    {
        $design = new Design(new Balloon(0.06, 0.00025, 0.2), new Nozzle([new Tube(0.006)], entryLoss: 0.0), new Vehicle(0.06, 0.03));
        $run = Simulator::run($design);

        self::assertRelative(2 * $run->initialGaugePressurePa * M_PI / 4 * 0.006 ** 2, $run->initialThrustN, 1e-9);
    }

    /** Tubes of 12.7, 9.5 and 6.35 mm pushed into each other: common practice, no source. */
    public function testSteppedTubesBeatTheWidestOneOnALightFreeCarAndLoseOnAStiffOne(): void
    {
        $stepped = new Nozzle([new Tube(0.0127, 0.05), new Tube(0.0095, 0.05), new Tube(0.00635, 0.05)]);
        $widest = new Nozzle([new Tube(0.0127, 0.05)]);
        $large = new Balloon(0.06, 0.00025, 0.3);
        $free = new Vehicle(0.03, 0.006, 0.004, 1.0, 0.003);
        $stiff = new Vehicle(0.12, 0.15, 0.004, 1.0, 0.003);

        self::assertGreaterThan(
            Simulator::run(new Design($large, $widest, $free))->distanceM,
            Simulator::run(new Design($large, $stepped, $free))->distanceM,
        );
        self::assertLessThan(
            Simulator::run(new Design($large, $widest, $stiff))->distanceM,
            Simulator::run(new Design($large, $stepped, $stiff))->distanceM,
        );
    }

    public function testTheFarthestMassIsNotTheLightest(): void
    {
        $distances = [];
        foreach ([20, 30, 40, 50, 60, 70, 80, 90, 100, 130] as $grams) {
            $distances[$grams] = Simulator::run($this->design($grams / 1000, 0.01))->distanceM;
        }
        $best = array_search(max($distances), $distances, true);

        self::assertGreaterThan(30, $best);
        self::assertLessThan(100, $best);
    }

    public function testDoublingTheLoadOfACarThatBarelyStartsStopsIt(): void
    {
        $thrust = Simulator::run($this->design(0.2, 0.03))->initialThrustN;
        $edge = $thrust / (0.03 * 9.80665) * 0.99;

        self::assertTrue(Simulator::run($this->design($edge, 0.03))->moves);
        self::assertFalse(Simulator::run($this->design(2 * $edge, 0.03))->moves);
        self::assertSame(0.0, Simulator::run($this->design(2 * $edge, 0.03))->distanceM);
    }

    private function design(float $mass, float $friction, bool $drag = true): Design
    {
        return new Design(
            new Balloon(0.06, 0.00025, 0.2, dragCoefficient: $drag ? 0.47 : 0.0),
            new Nozzle([new Tube(0.006, 0.15)]),
            new Vehicle($mass, $friction, 0.0, 1.0, $drag ? 0.003 : 0.0),
        );
    }
}
