<?php

declare(strict_types=1);

namespace Devices;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\SimulatedRun;

/**
 * What a phone beside the lane has before it, drawn by lot from a seed: a car of real size that runs as the run model has it and
 * drifts, planks, tape across the lane, lamps that flicker, a shadow, a hand that lets go, a shoe that comes and goes, noise, and
 * pictures that the phone drops. From it come films, and the strips that are read from them.
 */
final class FilmedScene
{
    /** As its build sheet has it: weighed on a scale for the kitchen, its balloon held against a ruler. */
    public readonly Settings $settings;

    /** As it is. */
    public readonly Settings $truth;

    public readonly SimulatedRun $run;

    public readonly Lens $lens;

    /** s of the film at which the car is let go. */
    public readonly float $releaseS;

    /** How far the camera stands above the floor, and above it the line is drawn (m). */
    public readonly float $cameraM;
    public readonly float $drawnM;

    /** @var list<float> s of each picture */
    public readonly array $times;

    /** @var list<float> m of the tape across the lane */
    public readonly array $tapes;

    public readonly float $laneM;

    public const LANE_WIDTH_M = 0.6;
    public const CAR_LENGTH_M = 0.15;
    private const WHEEL_M = 0.015;
    private const TRACK_M = 0.08;

    /** What a balloon's size on the sheet is off by (standard). */
    private const SIZE_ERROR_M = 0.005;

    private readonly Randomizer $chance;
    private readonly float $drift;
    private readonly float $shadow;
    private readonly float $noise;
    private readonly float $flicker;
    private readonly float $hertz;
    private readonly float $blurS;
    private readonly bool $hasHand;
    /** @var array{float, float, float}|null where a shoe stands, from when to when */
    private readonly ?array $shoe;

    /** @var list<float> normal draws, to be taken from anywhere */
    private static array $normals = [];

    /** How far across the floor its lane lies from the middle of the picture (m). */
    public readonly float $laneAtM;

    /**
     * @param Settings|null $settings of the car, where chance is not to choose it
     * @param self|null $same before whose camera it is: another run on that lane
     * @param float $laneAtM how far beside it (m, away from the camera), where it is on the lane next to it
     * @param int|null $rate pictures a second, where chance is not to choose
     */
    public function __construct(
        int $seed,
        public readonly int $width = 1920,
        public readonly int $height = 1080,
        ?Settings $settings = null,
        ?self $same = null,
        float $laneAtM = 0.0,
        ?int $rate = null,
    ) {
        $this->laneAtM = $laneAtM;
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
        do {
            $drawn = $settings ?? Settings::of([])
                ->with(CarAttribute::RollingCoefficient, $this->between(0.025, 0.09))
                ->with(CarAttribute::NozzleBore, $this->between(0.006, 0.010))
                ->with(CarAttribute::BalloonSize, $this->between(0.16, 0.22))
                ->with(CarAttribute::Mass, $this->between(0.045, 0.09));
            $run = $drawn->run(1e-8, true, 1.0, $settings === null ? $this->between(0.7, 0.95) : 1.0);
        } while (
            $settings === null
            && ($run->distanceM < 1.2 || $run->distanceM > ($same === null ? 9.0 : 0.95 * $same->laneM) || $run->driveEnd === null)
        );
        $this->truth = $drawn;
        $weighed = $drawn->get(CarAttribute::Mass) + 0.0005 * $this->normal();
        $this->run = $run;
        $this->laneM = $same->laneM ?? max(2.0, ceil($run->distanceM * $this->between(1.05, 1.35)));
        $this->cameraM = $same->cameraM ?? $this->between(0.9, 1.6);
        $middle = $this->laneM / 2;
        $away = $this->laneM * $this->between(0.75, 1.1) + 0.5;
        $this->lens = $same->lens ?? new Lens(
            [$middle + $this->laneM * $this->between(-0.25, 0.25), -$away, $this->cameraM],
            [$middle, 0.0, 0.0],
            $width * min(0.95, 0.82 * $away / $this->laneM),
            $width,
            $height,
        );
        // Along the nearer wheels' feet, as nearly as somebody draws it.
        $this->drawnM = max(0.002, 0.005 + 0.003 * $this->normal());
        $this->drift = $this->normal() * 0.012;
        $this->shadow = $this->between(0.6, 0.9);
        $this->noise = $this->between(1.0, 5.0);
        $this->flicker = $this->between(0.0, 0.04);
        $this->hertz = $this->between(3.0, 20.0);
        $this->releaseS = $this->between(0.5, 1.2);
        $this->hasHand = $this->happens(0.7);
        $pictures = $this->chance->getInt(0, 3) === 0 ? 60 : 30;
        $this->times = $this->pictures($rate ?? ($same === null ? $pictures : 30));
        $this->blurS = $this->between(0.002, 0.016);
        $shoeAt = $this->laneM * $this->between(0.2, 0.98);
        $this->shoe = $this->happens(0.3) && abs($shoeAt - $run->distanceM) > 0.5 && $shoeAt > $run->distanceM + 0.4
            ? [$shoeAt, $this->between(0.0, 3.0), $this->between(3.0, 6.0)]
            : null;
        $this->tapes = array_values(array_filter(
            array_map(fn(int $i): float => $i * ($this->laneM > 5.0 ? 1.0 : 0.5), range(0, 40)),
            fn(float $x): bool => $x <= $this->laneM - 0.02,
        ));
        $this->settings = $drawn
            ->with(CarAttribute::Mass, $weighed)
            ->with(CarAttribute::BalloonSize, $drawn->get(CarAttribute::BalloonSize) + self::SIZE_ERROR_M * $this->normal());
    }

    /** Of the car's front, from where it was let go (m), at a second of the film. */
    public function placeM(float $filmS): float
    {
        $at = $filmS - $this->releaseS;
        if ($at <= 0.0) {
            return 0.0;
        }
        $path = $this->run->trajectory;
        [$low, $high] = [0, count($path) - 1];
        if ($at >= $path[$high]->timeS) {
            return $this->run->distanceM;
        }
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            $path[$middle]->timeS <= $at ? $low = $middle : $high = $middle;
        }
        [$a, $b] = [$path[$low], $path[$high]];
        $share = ($at - $a->timeS) / max(1e-12, $b->timeS - $a->timeS);

        return $a->distanceM + $share * ($b->distanceM - $a->distanceM);
    }

    /** When the car was so far (s after the release), by bisection. */
    public function secondsTo(float $metres): float
    {
        [$low, $high] = [0.0, $this->run->stopTimeS];
        for ($i = 0; $i < 50; $i++) {
            $middle = ($low + $high) / 2;
            $this->placeM($this->releaseS + $middle) < $metres ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** Of the nearer wheels' feet, across the lane (m): it drifts, ever more. */
    public function acrossM(float $placeM): float
    {
        return $this->laneAtM - self::TRACK_M / 2 + $this->drift * ($placeM / max(0.5, $this->run->distanceM)) ** 2;
    }

    /** The mean push over the way on which the drive pushed (N), in truth. */
    public function pushN(): float
    {
        $work = 0.0;
        $before = null;
        foreach ($this->run->trajectory as $moment) {
            if ($before !== null && $moment->timeS <= ($this->run->driveEnd->timeS ?? 0.0) + 1e-9) {
                $work += ($moment->thrustN + $before->thrustN) / 2 * ($moment->distanceM - $before->distanceM);
            }
            $before = $moment;
        }

        return $work / max(1e-9, $this->run->driveEnd->distanceM ?? 0.0);
    }

    /** @return array{float, float, float, float} ends of the line as somebody draws it, through the car as it stands first and last */
    public function line(): array
    {
        [$u0, $v0] = $this->lens->sees(0.0, $this->acrossM(0.0), $this->drawnM);
        [$u1, $v1] = $this->lens->sees($this->run->distanceM, $this->acrossM($this->run->distanceM), $this->drawnM);
        // Drawn on to both sides, as far as the lane goes.
        $longer = ($this->laneM - $this->run->distanceM) / $this->run->distanceM;

        return [$u0 - 0.05 * ($u1 - $u0), $v0 - 0.05 * ($v1 - $v0), $u1 + 0.9 * $longer * ($u1 - $u0), $v1 + 0.9 * $longer * ($v1 - $v0)];
    }

    /**
     * @param int $count of tapes that somebody taps
     *
     * @return list<array{float, float, float}> u, v, and m: where the tapes cross the line, as they are tapped
     */
    public function taps(int $count, float $errorPx = 1.0): array
    {
        [$u0, $v0, $u1, $v1] = $this->line();
        $taps = [];
        foreach ($this->tapesOf($count) as $x) {
            // The point of the line under which the floor is at x, by bisection.
            [$low, $high] = [-0.3, 1.3];
            for ($i = 0; $i < 50; $i++) {
                $middle = ($low + $high) / 2;
                $this->lens->floorAt($u0 + $middle * ($u1 - $u0), $v0 + $middle * ($v1 - $v0))[0] < $x ? $low = $middle : $high = $middle;
            }
            $taps[] = [$u0 + $low * ($u1 - $u0) + $errorPx * $this->normal(), $v0 + $low * ($v1 - $v0) + $errorPx * $this->normal(), $x];
        }

        return $taps;
    }

    /** @return list<array{float, float, float, int}> u, v, m and edge, of tapes' ends on the lane's edges */
    public function tapsOnEdges(int $count, float $errorPx = 1.0): array
    {
        $taps = [];
        foreach ($this->tapesOf($count) as $x) {
            foreach ([-1, 1] as $edge) {
                [$u, $v] = $this->lens->sees($x, $this->laneAtM + $edge * self::LANE_WIDTH_M / 2, 0.0);
                $taps[] = [$u + $errorPx * $this->normal(), $v + $errorPx * $this->normal(), $x, $edge < 0 ? 0 : 1];
            }
        }

        return $taps;
    }

    /**
     * The strip that is read from its film, without the film.
     *
     * @return array{width: int, times: list<float>, pixels: string} RGB, line by line
     */
    public function strip(int $width): array
    {
        [$u0, $v0, $u1, $v1] = $this->line();
        $floor = $x = $y = [];
        for ($column = 0; $column < $width; $column++) {
            $share = ($column + 0.5) / $width;
            [$x[], $y[]] = $this->lens->floorAt($u0 + $share * ($u1 - $u0), $v0 + $share * ($v1 - $v0));
            $floor[] = self::planks($x[$column], $y[$column], $this->tapes);
        }
        $normals = self::normals();
        $pixels = '';
        foreach ($this->times as $picture => $at) {
            $gain = $this->gainAt($at);
            $line = [];
            foreach ([-0.4, 0.0, 0.4] as $part) {
                $this->paint($line, $at + $part * $this->blurS, $x, $y, $floor);
            }
            $from = $this->chance->getInt(0, count($normals) - 1);
            $count = count($normals);
            for ($i = 0; $i < 3 * $width; $i++) {
                $level = (int) ($gain * $line[$i] / 3.0 + $this->noise * $normals[($from + $i * 7) % $count]);
                $pixels .= chr($level < 0 ? 0 : ($level > 255 ? 255 : $level));
            }
        }

        return ['width' => $width, 'times' => $this->times, 'pixels' => $pixels];
    }

    /** How bright the lamps are. */
    public function gainAt(float $filmS): float
    {
        return 1.0 + $this->flicker * sin(2 * M_PI * $this->hertz * $filmS);
    }

    /** Where the hand is: how far its fingertips reach (m from the start), or null where it is gone. */
    public function handAt(float $filmS): ?float
    {
        return $this->hasHand && $filmS < $this->releaseS + 0.12 ? -0.06 - max(0.0, $filmS - $this->releaseS) * 1.2 : null;
    }

    /** Where a shoe stands then (m), or null. */
    public function shoeAt(float $filmS): ?float
    {
        return $this->shoe !== null && $filmS > $this->shoe[1] && $filmS < $this->shoe[2] ? $this->shoe[0] : null;
    }

    public function shadowed(): float
    {
        return $this->shadow;
    }

    /**
     * Adds what a moment shows to a line.
     *
     * @param list<float> $line
     * @param list<float> $x
     * @param list<float> $y
     * @param list<array{float, float, float}> $floor
     */
    private function paint(array &$line, float $filmS, array $x, array $y, array $floor): void
    {
        $place = $this->placeM($filmS);
        $across = $this->acrossM($place);
        $hand = $this->handAt($filmS);
        $shoe = $this->shoeAt($filmS);
        [$cx, $cy, $cz] = $this->lens->stands;
        foreach ($floor as $column => [$r, $g, $b]) {
            $toward = ($across - $y[$column]) / ($cy - $y[$column]);
            $px = $x[$column] + ($cx - $x[$column]) * $toward;
            $behind = $place - $px;
            if ($behind > -0.15 && $behind < self::CAR_LENGTH_M + 0.15) {
                $seen = $toward < 0.0 ? null : self::carAt($behind, $cz * $toward);
                // Its farther side shows where the nearer one does not hide it.
                $beyond = ($across + self::TRACK_M - $y[$column]) / ($cy - $y[$column]);
                $seen ??= $beyond < 0.0 ? null : self::carAt($place - $x[$column] - ($cx - $x[$column]) * $beyond, $cz * $beyond);
                if ($seen !== null) {
                    [$r, $g, $b] = $seen;
                } elseif ($x[$column] < $place + 0.03 && $x[$column] > $place - self::CAR_LENGTH_M - 0.01) {
                    [$r, $g, $b] = [$r * $this->shadow, $g * $this->shadow, $b * $this->shadow];
                }
            }
            if ($hand !== null && $px < $hand && $px > $hand - 0.25) {
                [$r, $g, $b] = [205.0, 150.0, 122.0];
            }
            if ($shoe !== null && abs($px - $shoe) < 0.05) {
                [$r, $g, $b] = [52.0, 56.0, 74.0];
            }
            $line[3 * $column] = ($line[3 * $column] ?? 0.0) + $r;
            $line[3 * $column + 1] = ($line[3 * $column + 1] ?? 0.0) + $g;
            $line[3 * $column + 2] = ($line[3 * $column + 2] ?? 0.0) + $b;
        }
    }

    /**
     * What of the car's near side is seen there.
     *
     * @return array{float, float, float}|null
     */
    public static function carAt(float $behindM, float $heightM): ?array
    {
        // Its front is the front wheel's rim; wheels stand at either end.
        foreach ([self::WHEEL_M, self::CAR_LENGTH_M - self::WHEEL_M] as $axle) {
            if (($behindM - $axle) ** 2 + ($heightM - self::WHEEL_M) ** 2 <= self::WHEEL_M ** 2) {
                return [38.0, 40.0, 46.0];
            }
        }

        return $heightM > 0.013 && $heightM < 0.032 && $behindM > 0.003 && $behindM < self::CAR_LENGTH_M - 0.003
            ? [176.0, 62.0, 40.0]
            : null;
    }

    /**
     * @param list<float> $tapes
     *
     * @return array{float, float, float}
     */
    public static function planks(float $x, float $y, array $tapes): array
    {
        foreach ($tapes as $tape) {
            if (abs($x - $tape) < 0.012) {
                return [226.0, 214.0, 196.0];
            }
        }
        $grain = 9.0 * sin(37.0 * $x + 3.0 * sin(11.0 * $x)) + 5.0 * sin(151.0 * $x + 60.0 * $y);
        $seam = abs(fmod(abs($x) * 1.37, 1.0) - 0.5) < 0.006 ? -26.0 : 0.0;

        return [198.0 + $grain + $seam, 168.0 + $grain + $seam, 128.0 + 0.8 * $grain + $seam];
    }

    /** @return list<float> of the tapes, spread as evenly as may be */
    private function tapesOf(int $count): array
    {
        $last = count($this->tapes) - 1;
        $taken = [];
        for ($i = 0; $i < $count; $i++) {
            $taken[(int) round($i * $last / max(1, $count - 1))] = true;
        }

        return array_values(array_map(fn(int $i): float => $this->tapes[$i], array_keys($taken)));
    }

    /** @return list<float> moments of the pictures: some dropped, none quite even */
    private function pictures(int $rate): array
    {
        $times = [];
        for ($i = 0; $i / $rate < $this->releaseS + $this->run->stopTimeS + 1.2; $i++) {
            if ($i < 3 || !$this->happens(0.02)) {
                $times[] = round($i / $rate + 0.0004 * $this->normal() + 0.002, 6);
            }
        }

        return $times;
    }

    private function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->chance->getInt(0, 1_000_000) / 1_000_000;
    }

    private function happens(float $probability): bool
    {
        return $this->between(0.0, 1.0) < $probability;
    }

    /** Box & Muller. */
    private function normal(): float
    {
        return sqrt(-2.0 * log($this->between(1e-6, 1.0))) * cos(2 * M_PI * $this->between(0.0, 1.0));
    }

    /** @return list<float> */
    private static function normals(): array
    {
        if (self::$normals === []) {
            $chance = new Randomizer(new Xoshiro256StarStar(1));
            for ($i = 0; $i < 65_521; $i++) {
                self::$normals[] = sqrt(
                    -2.0 * log($chance->getInt(1, 1_000_000) / 1_000_001),
                ) * cos(2 * M_PI * $chance->getInt(0, 999_999) / 1e6);
            }
        }

        return self::$normals;
    }
}
