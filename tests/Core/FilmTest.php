<?php

declare(strict_types=1);

namespace Tests\Core;

use Devices\FilmedScene;
use Devices\Lens;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Motion\Film\FilmedCar;
use Skivo\Core\Motion\Film\FilmedRun;
use Skivo\Core\Motion\Film\FilmLine;
use Skivo\Core\Motion\Film\FilmMark;
use Skivo\Core\Motion\Film\FilmPoint;
use Skivo\Core\Motion\Film\LaneScale;
use Skivo\Core\Motion\Film\Motion;
use Skivo\Core\Motion\Film\SeenFilm;
use Skivo\Core\Motion\Film\Sight;
use Skivo\Core\Motion\Film\UnreadableFilmException;
use Skivo\Core\Simulation\Settings;

/** A run on film: the scale of a lane in perspective, the motion that fits, and what can't be read. */
final class FilmTest extends TestCase
{
    /** A pinhole's picture of a floor is a homography: places come back to a hundredth of a millimetre, from any angle. */
    public function testTheScaleIsExactForAnExactCamera(): void
    {
        foreach ([[3.0, -4.0, 1.2], [0.5, -5.0, 0.8], [6.5, -3.5, 1.6], [-1.0, -4.0, 1.0]] as $stands) {
            $lens = new Lens($stands, [3.0, 0.0, 0.0], 900.0, 1280, 720);
            [$u0, $v0] = $lens->sees(0.0, 0.05, 0.0);
            [$u1, $v1] = $lens->sees(6.0, -0.05, 0.0);
            $line = new FilmLine($u0, $v0, $u1, $v1);
            // Where the drawn line is seen, at any share of its length, and where the floor is there.
            $floor = static fn(float $share): float => $lens->floorAt($u0 + $share * ($u1 - $u0), $v0 + $share * ($v1 - $v0))[0];
            $on = LaneScale::of($line, array_map(
                static fn(float $share): FilmMark => new FilmMark($u0 + $share * ($u1 - $u0), $v0 + $share * ($v1 - $v0), $floor($share)),
                [0.0, 0.4, 1.0],
            ));
            $edges = LaneScale::of($line, array_merge(...array_map(
                static fn(float $x): array => [
                    new FilmMark(...[...$lens->sees($x, -0.3, 0.0), $x, 0]), new FilmMark(...[...$lens->sees($x, 0.3, 0.0), $x, 1]),
                ],
                [0.0, 6.0],
            )));
            foreach ([0.03, 0.31, 0.66, 0.98] as $share) {
                self::assertEqualsWithDelta($floor($share), $on->placeM($share * $line->lengthPx), 1e-5);
                self::assertEqualsWithDelta($floor($share), $edges->placeM($share * $line->lengthPx), 1e-5);
                self::assertEqualsWithDelta($share * $line->lengthPx, $on->alongPx($on->placeM($share * $line->lengthPx)), 1e-6);
            }
            self::assertFalse($on->isChecked());
            self::assertEqualsWithDelta(0.0, $edges->greatestMissM(), 1e-5);
        }
    }

    public function testAWrongMarkShowsInWhatItMisses(): void
    {
        $line = new FilmLine(0.0, 300.0, 1000.0, 300.0);
        $marks = static fn(float $off): array => array_map(
            static fn(float $x): FilmMark => new FilmMark(160.0 * $x + ($x === 2.0 ? $off : 0.0), 300.0, $x),
            [0.0, 1.0, 2.0, 3.0, 4.0, 6.0],
        );
        self::assertEqualsWithDelta(0.0, LaneScale::of($line, $marks(0.0))->greatestMissM(), 1e-9);
        $wrong = LaneScale::of($line, $marks(40.0));
        self::assertGreaterThan(0.1, $wrong->greatestMissM());
        self::assertGreaterThan(2 * LaneScale::of($line, $marks(0.0))->tapPx(), $wrong->tapPx());
    }

    /** @param list<FilmMark> $marks */
    #[DataProvider('unfitMarks')]
    public function testMarksThatFixNoScaleAreNamed(array $marks, string $code): void
    {
        try {
            LaneScale::of(new FilmLine(0.0, 300.0, 1000.0, 300.0), $marks);
            self::fail('That is no scale.');
        } catch (UnreadableFilmException $unreadable) {
            self::assertSame($code, $unreadable->remark()->code);
        }
    }

    /** @return iterable<string, array{list<FilmMark>, string}> */
    public static function unfitMarks(): iterable
    {
        $at = static fn(float $u, float $x, ?int $edge = null, float $v = 300.0): FilmMark => new FilmMark($u, $v, $x, $edge);
        yield 'two' => [[$at(0, 0), $at(900, 5)], 'film.too_few_marks'];
        yield 'one distance twice' => [[$at(0, 0), $at(500, 0), $at(900, 5)], 'film.marks_same_place'];
        yield 'one place twice' => [[$at(0, 0), $at(900, 4), $at(901, 5)], 'film.marks_same_place'];
        yield 'backwards' => [[$at(0, 5), $at(500, 2), $at(900, 0)], 'film.marks_out_of_order'];
        yield 'one edge' => [[$at(0, 0, 0), $at(500, 2, 0), $at(900, 5, 0)], 'film.two_on_each_edge'];
        yield 'edges and line' => [
            [$at(0, 0, 0), $at(900, 5, 0), $at(0, 0, 1, 200.0), $at(900, 5, 1, 200.0), $at(400, 2)], 'film.two_on_each_edge',
        ];
    }

    public function testTheMotionIsThatOfTheRunModel(): void
    {
        $scene = new FilmedScene(5);
        $car = FilmedCar::of($scene->truth);
        self::assertNotNull($car->shape);
        $end = $scene->run->driveEnd->timeS ?? 0.0;
        // Its mean over the time gives the momentum that the model has.
        $impulse = 0.0;
        $path = $scene->run->trajectory;
        foreach ($path as $i => $moment) {
            $impulse += isset($path[$i + 1])
                ? ($moment->thrustN + $path[$i + 1]->thrustN) / 2 * ($path[$i + 1]->timeS - $moment->timeS)
                : 0.0;
        }
        $motion = Motion::pushed(
            $car->shape,
            $car->inertiaKg,
            $scene->truth->rollingCoefficient() * $car->massKg * 9.80665,
            $impulse / $end,
            $end,
        );
        self::assertEqualsWithDelta($scene->run->distanceM, $motion->distanceM, 0.01 * $scene->run->distanceM);
        self::assertEqualsWithDelta($scene->run->stopTimeS, $motion->lastsS(), 0.01 * $scene->run->stopTimeS);
        self::assertEqualsWithDelta($scene->run->peakSpeedMS, $motion->greatestSpeedMS(), 0.01 * $scene->run->peakSpeedMS);
        $at = $motion->timeAt(1.0) ?? 0.0;
        self::assertEqualsWithDelta(1.0, $motion->placeM($at), 1e-9);
        self::assertNull($motion->timeAt($motion->distanceM + 0.01));
        // Between its steps, places and speeds belong together.
        foreach ([0.3, 0.8, 1.2] as $share) {
            $t = $share * $end;
            self::assertEqualsWithDelta($motion->speedMS($t), ($motion->placeM($t + 1e-4) - $motion->placeM($t - 1e-4)) / 2e-4, 5e-3);
        }
    }

    public function testPushAndFrictionComeOutOfACurveWithoutError(): void
    {
        foreach ([2, 9, 17] as $seed) {
            $scene = new FilmedScene($seed);
            [$line, $scale] = self::marked($scene);
            $film = FilmedRun::of(
                self::points($scene, $line),
                $scale,
                FilmedCar::of($scene->truth),
                new Sight($scene->drawnM, $scene->cameraM),
            );
            self::assertEqualsWithDelta($scene->run->distanceM, $film->distance->value, 0.003 * $scene->run->distanceM, "seed {$seed}");
            self::assertEqualsWithDelta(
                $scene->truth->rollingCoefficient(),
                $film->friction->value,
                0.02 * $film->friction->value,
                "seed {$seed}",
            );
            self::assertEqualsWithDelta($scene->pushN(), $film->push->value ?? 0.0, 0.03 * $scene->pushN(), "seed {$seed}");
            self::assertEqualsWithDelta($scene->releaseS, $film->release->value, 0.01, "seed {$seed}");
            self::assertEqualsWithDelta($scene->run->driveEnd->timeS ?? 0.0, $film->limpAfter->value ?? 0.0, 0.03, "seed {$seed}");
            self::assertFalse($film->endsBeforeStop);
        }
    }

    /**
     * What stands upright on the lane is seen straight above its foot: the scale of the drawn line holds there too, and more of the car is
     * seen.
     */
    public function testACarFollowedAboveTheLineIsWhereItIs(): void
    {
        foreach ([2, 9, 17] as $seed) {
            $scene = new FilmedScene($seed);
            [$line, $scale] = self::marked($scene);
            $liftPx = 0.015 / $scale->metresPerPx($line->lengthPx / 2);
            $points = self::points($scene, $line, 0.015);
            [$low, $high] = array_map(
                static fn(float $lift): FilmedRun => (
                    new SeenFilm($line, $scale->marks, $points, new Sight($scene->drawnM, $scene->cameraM), 1.0, $lift)
                )->run($scale, FilmedCar::of($scene->truth)),
                [0.0, $liftPx],
            );
            self::assertEqualsWithDelta($scene->run->distanceM, $high->distance->value, 0.005 * $scene->run->distanceM, "seed {$seed}");
            self::assertEqualsWithDelta($low->distance->value, $high->distance->value, 1e-9, "seed {$seed}");
            self::assertGreaterThan(
                $low->distance->standardUncertainty + 0.01,
                $high->distance->standardUncertainty,
                'the far side may have been followed',
            );
        }
    }

    public function testAFilmThatEndsEarlySaysSo(): void
    {
        $scene = new FilmedScene(9);
        [$line, $scale] = self::marked($scene);
        $early = array_values(array_filter(
            self::points($scene, $line),
            static fn(FilmPoint $point): bool => $point->timeS < $scene->releaseS + 0.8 * $scene->run->stopTimeS,
        ));
        $film = FilmedRun::of($early, $scale, FilmedCar::of($scene->truth), new Sight($scene->drawnM, $scene->cameraM));
        self::assertTrue($film->endsBeforeStop);
        self::assertEqualsWithDelta($scene->run->distanceM, $film->distance->value, 0.02 * $scene->run->distanceM);
    }

    public function testARunSeenTooLateIsRefusedAndOneSeenALittleLateIsReadAsWell(): void
    {
        foreach ([2, 5, 9, 17] as $seed) {
            $scene = new FilmedScene($seed);
            [$line, $scale] = self::marked($scene);
            $from = static fn(float $share): array => array_values(array_filter(
                self::points($scene, $line),
                static fn(FilmPoint $point): bool => $point->timeS > $scene->releaseS + $share * ($scene->run->driveEnd->timeS ?? 0.0),
            ));
            $read = static fn(float $share): FilmedRun => FilmedRun::of(
                $from($share),
                $scale,
                FilmedCar::of($scene->truth),
                new Sight($scene->drawnM, $scene->cameraM),
            );
            self::assertEqualsWithDelta($scene->run->distanceM, $read(0.3)->distance->value, 0.01 * $scene->run->distanceM, "seed {$seed}");
            foreach ([0.7, 1.0, 1.2] as $late) {
                try {
                    $read($late);
                    self::fail("seed {$seed} from {$late} of its push was read");
                } catch (UnreadableFilmException $unreadable) {
                    self::assertSame('film.start_not_seen', $unreadable->remark()->code);
                }
            }
        }
    }

    public function testWhatIsNoRunIsRefused(): void
    {
        $scene = new FilmedScene(9);
        [$line, $scale] = self::marked($scene);
        $points = self::points($scene, $line);
        $first = $points[0]->alongPx;
        $said = static function (array $points) use ($scale): string {
            try {
                FilmedRun::of($points, $scale, FilmedCar::usual());

                return 'read';
            } catch (UnreadableFilmException $unreadable) {
                return $unreadable->remark()->code;
            }
        };
        self::assertSame('film.too_few_pictures', $said(array_slice($points, 0, 8)));
        self::assertSame(
            'film.stands',
            $said(array_map(static fn(FilmPoint $point): FilmPoint => new FilmPoint($point->timeS, $first), $points)),
        );
        // Carried on twice, by hand.
        $stair = array_map(static fn(FilmPoint $point): FilmPoint => new FilmPoint(
            $point->timeS,
            $first + 250.0 * (floor($point->timeS / 1.2) + max(0.0, fmod($point->timeS, 1.2) - 0.8) / 0.4),
        ), $points);
        self::assertSame('film.not_one_run', $said($stair));
    }

    public function testACarOffARampHasAFrictionAndNoPush(): void
    {
        $scene = new FilmedScene(4);
        [$line, $scale] = self::marked($scene);
        $car = FilmedCar::of(Settings::of([], \Skivo\Core\Car\Attribute\EnergySource::Ramp));
        self::assertNull($car->shape);
        $motion = Motion::coasting(1.4, $car->inertiaKg, 0.05 * $car->massKg * 9.80665, $car->dragKgM);
        $points = array_map(
            static fn(int $i): FilmPoint => new FilmPoint($i / 60, $scale->alongPx($motion->placeM($i / 60))),
            range(0, 240),
        );
        $film = FilmedRun::of($points, $scale, $car, new Sight(0.0));
        self::assertNull($film->push);
        self::assertEqualsWithDelta(0.05, $film->friction->value, 0.001);
        self::assertEqualsWithDelta($motion->distanceM, $film->distance->value, 0.005);
    }

    /** @return array{FilmLine, LaneScale} marked without error */
    private static function marked(FilmedScene $scene): array
    {
        $line = new FilmLine(...$scene->line());

        return [$line, LaneScale::of($line, array_map(static fn(array $tap): FilmMark => new FilmMark(...$tap), $scene->taps(5, 0.0)))];
    }

    /** @return list<FilmPoint> where the car was, without error; so far above the drawn line (m) */
    private static function points(FilmedScene $scene, FilmLine $line, float $above = 0.0): array
    {
        return array_map(static function (float $at) use ($scene, $line, $above): FilmPoint {
            $x = $scene->placeM($at);

            return new FilmPoint($at, $line->along(...$scene->lens->sees($x, $scene->acrossM($x), $scene->drawnM + $above)));
        }, $scene->times);
    }
}
