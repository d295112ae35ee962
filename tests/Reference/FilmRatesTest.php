<?php

declare(strict_types=1);

namespace Tests\Reference;

use Devices\FilmedScene;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Motion\Film\FilmedCar;
use Skivo\Core\Motion\Film\FilmedRun;
use Skivo\Core\Motion\Film\FilmLine;
use Skivo\Core\Motion\Film\FilmMark;
use Skivo\Core\Motion\Film\FilmPoint;
use Skivo\Core\Motion\Film\LaneScale;
use Skivo\Core\Motion\Film\Sight;
use Skivo\Core\Motion\Film\UnreadableFilmException;
use Skivo\Core\Statistics\Estimate;
use Tests\Long;

/**
 * How often what a film says is true: films of simulated runs by a pinhole camera (cars, lanes, angles, shadows, hands, shoes, lamps,
 * noise and dropped pictures drawn by lot), rendered to strips, read by the very module that the page uses, and judged here. Taps are
 * off by a pixel, heights by 3 mm, the camera's height by a few centimetres, and masses by half a gram.
 */
final class FilmRatesTest extends TestCase
{
    private const SCENES = 300;

    /** So many of them in every run of the tests; all by --long. */
    private const OFTEN = 60;
    private const WIDTH = 1200;

    /** The camera's height is known to about this share. */
    private const CAMERA = [-0.04, -0.02, 0.0, 0.02, 0.04];

    public function testWhatAFilmSaysIsTrueAsOftenAsItSays(): void
    {
        $node = proc_open(['node', dirname(__DIR__) . '/JavaScript/fronts-of-strips.mjs'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
        self::assertIsResource($node);
        $near = $tenth = $covered = $refused = [];
        $scenes = Long::or(self::OFTEN, self::SCENES);
        // Fewer scenes show a rate less exactly.
        $margin = 1.96 * (sqrt(0.95 * 0.05 / $scenes) - sqrt(0.95 * 0.05 / self::SCENES));
        for ($seed = 1; $seed <= $scenes; $seed++) {
            $scene = new FilmedScene($seed);
            $strip = $scene->strip(self::WIDTH);
            fwrite($pipes[0], json_encode(['pixels' => base64_encode($strip['pixels'])] + $strip, JSON_THROW_ON_ERROR) . "\n");
            $answer = json_decode((string) fgets($pipes[1]), true, 16, JSON_THROW_ON_ERROR);
            $film = isset($answer['fault']) ? null : self::read($scene, $answer['found'], $seed);
            if ($film === null) {
                $refused[] = $seed;
                continue;
            }
            $distance = $scene->run->distanceM;
            $near['stop'][] = abs($film->distance->value - $distance) <= max(0.01, 0.005 * $distance);
            $frame = 1.0 / 30;
            $near['times'][] = max(
                abs($film->release->value - $scene->releaseS),
                abs($film->lasts->value - $scene->run->stopTimeS),
                abs(($film->timeAt(1.0) ?? 0.0) - $scene->secondsTo(1.0)),
            ) <= $frame;
            foreach ([
                'push' => [$film->push, $scene->pushN()],
                'friction' => [$film->friction, $scene->truth->rollingCoefficient()],
                'distance' => [$film->distance, $distance],
                'limp' => [$film->limpAfter, $scene->run->driveEnd->timeS ?? 0.0],
                'lasts' => [$film->lasts, $scene->run->stopTimeS],
                'release' => [$film->release, $scene->releaseS],
            ] as $name => [$estimate, $true]) {
                self::assertInstanceOf(Estimate::class, $estimate);
                $covered[$name][] = $estimate->interval()->contains($true);
                if (in_array($name, ['push', 'friction'], true)) {
                    $tenth[$name][] = abs($estimate->value / $true - 1.0) <= 0.1;
                }
            }
        }
        fclose($pipes[0]);
        proc_close($node);
        $share = static fn(array $of): float => array_sum(array_map(intval(...), $of)) / count($of);
        $found = json_encode([
            'near' => array_map($share, $near), 'tenth' => array_map($share, $tenth), 'covered' => array_map($share, $covered),
            'refused' => $refused,
        ], JSON_THROW_ON_ERROR);
        self::assertLessThanOrEqual(0.03 * $scenes, count($refused), $found);
        foreach ([...array_values(array_map($share, $near)), ...array_values(array_map($share, $tenth))] as $rate) {
            self::assertGreaterThanOrEqual(0.9, $rate, $found);
        }
        foreach (array_map($share, $covered) as $name => $rate) {
            self::assertGreaterThanOrEqual(0.92 - $margin, $rate, "{$name}: {$found}");
            self::assertLessThanOrEqual(min(1.0, 0.98 + $margin), $rate, "{$name}: {$found}");
        }
        fwrite(STDERR, Long::or('', "{$found}\n"));
    }

    /** @param list<array{time: float, at: float}> $found */
    private static function read(FilmedScene $scene, array $found, int $seed): ?FilmedRun
    {
        $line = new FilmLine(...$scene->line());
        $taps = $seed % 2 === 0 ? $scene->tapsOnEdges(4) : $scene->taps(5);
        try {
            return FilmedRun::of(
                array_map(
                    static fn(array $each): FilmPoint => new FilmPoint($each['time'], $each['at'] / self::WIDTH * $line->lengthPx),
                    $found,
                ),
                LaneScale::of($line, array_map(static fn(array $tap): FilmMark => new FilmMark(...$tap), $taps)),
                FilmedCar::of($scene->settings),
                new Sight($scene->drawnM < 0.012 ? 0.005 : 0.022, $scene->cameraM * (1.0 + self::CAMERA[$seed % 5])),
            );
        } catch (UnreadableFilmException) {
            return null;
        }
    }
}
