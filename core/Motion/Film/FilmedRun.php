<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Statistics\Estimate;

/**
 * What a film says of a run: release, push, end of the push, friction and stop are those of the motion that fits its pictures best.
 * Beside what the fit leaves open, the intervals hold what the marks, the height of what was followed, a path beside the line, the
 * drag and the shape of the push may be off by: the fit is made again with each of them moved by its uncertainty (GUM 5.1.3, note 2).
 */
final readonly class FilmedRun
{
    /** So many moments of the fitted motion are told. */
    private const MOMENTS = 120;

    /** Fewer pictures tell nothing. */
    public const FEWEST = 12;

    /** A film that ends so much before the car stood (s) does not show its stop. */
    private const SHORT_S = 0.06;

    /**
     * A time is known no better than to this share of the time from picture to picture (standard). From trial. The release is fitted
     * from both sides, a car at rest and a car that goes, and so is known better.
     */
    private const BETWEEN = ['release' => 0.05, 'limp_after' => 0.12, 'lasts' => 0.12];

    /** The end of a push is a bend in the way, and what a slanted view shows of the far wheels bends it too. From trial. */
    private const BEND = 0.22;

    /** A car that the motion misses by more than this of its way, or the other (px), did something else. From trial. */
    private const MISSES = 0.006;
    private const MISSES_PX = 4.0;

    /** A car that is first seen at more than this share of its greatest speed was let go before. From trial. */
    private const ON_ITS_WAY = 0.5;

    /** A release that the pictures leave open by so much (s, standard) was not seen. From trial. */
    private const UNSEEN_S = 0.2;

    /** Of the pictures used, so many must agree with the motion. */
    private const AGREE = 0.7;

    /**
     * @param Estimate $release s of the film
     * @param Estimate|null $push its mean over the way on which it pushed (N); null where nothing pushed it
     * @param Estimate|null $limpAfter s after the release
     * @param Estimate $friction f
     * @param Estimate $distance from where it was let go to where it stopped (m)
     * @param Estimate $lasts from release to stop (s)
     * @param Estimate $topSpeed (m/s)
     * @param list<array{float, float}> $trace s of the film, m from the start line: as filmed
     * @param float $missM root mean square of what pictures miss the motion by
     */
    private function __construct(
        public Estimate $release,
        public ?Estimate $push,
        public ?Estimate $limpAfter,
        public ?Estimate $limpAt,
        public Estimate $friction,
        public Estimate $distance,
        public Estimate $lasts,
        public Estimate $topSpeed,
        public float $startsAtM,
        public Motion $motion,
        public array $trace,
        public float $missM,
        public int $pictures,
        public bool $endsBeforeStop,
    ) {}

    /**
     * @param list<FilmPoint> $points in any order
     * @param Sight $sight of the camera, to what was followed
     *
     * @throws UnreadableFilmException where they are no run, or too few
     */
    public static function of(array $points, LaneScale $scale, FilmedCar $car, Sight $sight = new Sight()): self
    {
        usort($points, static fn(FilmPoint $a, FilmPoint $b): int => $a->timeS <=> $b->timeS);
        if (count($points) < self::FEWEST) {
            throw new UnreadableFilmException(new Remark('film.too_few_pictures', ['least' => self::FEWEST, 'count' => count($points)]));
        }
        $times = array_map(static fn(FilmPoint $point): float => $point->timeS, $points);
        $places = $sight->places($points, $scale);
        $slopes = array_map(static fn(FilmPoint $point): float => $scale->metresPerPx($point->alongPx), $points);
        $guess = MotionFit::guess($times, $places);
        // Found too late on its way, a car tells neither when it was let go nor how far it came.
        if ($car->shape !== null && $guess['first'] > self::ON_ITS_WAY * $guess['speed']) {
            throw new UnreadableFilmException(new Remark('film.start_not_seen'));
        }
        $used = MotionFit::window($times, $guess);
        [$t, $x, $px] = [self::only($times, $used), self::only($places, $used), self::only($slopes, $used)];
        $fit = MotionFit::of($t, $x, $px, $car, $guess);
        if ($fit->agree < self::AGREE || $fit->missM > max(self::MISSES * $fit->motion->distanceM, self::MISSES_PX * max(0.0, ...$px))) {
            throw new UnreadableFilmException(new Remark('film.not_one_run'));
        }
        $at = $fit->results($car);
        $errors = $fit->errors($car);
        if (!($errors['release'] < self::UNSEEN_S)) {
            throw new UnreadableFilmException(new Remark('film.start_not_seen'));
        }
        $variances = array_map(static fn(float $error): float => $error ** 2, $errors);
        foreach (self::others($points, $used, $scale, $sight, $car, $fit, [$t, $x, $px], $guess) as $other) {
            foreach ($other as $name => $value) {
                $variances[$name] += ($value - $at[$name]) ** 2;
            }
        }
        if (!is_finite(array_sum($variances))) {
            throw new UnreadableFilmException(new Remark('film.not_one_run'));
        }
        // Between two pictures nobody looked.
        $between = ($times[count($times) - 1] - $times[0]) / (count($times) - 1);
        foreach (self::BETWEEN as $name => $share) {
            $variances[$name] += ($share * $between) ** 2;
        }
        $variances['limp_after'] += (self::BEND * $between) ** 2;
        $variances['push'] += ($at['push'] * $car->massErrorKg / $car->massKg) ** 2;
        $estimate = static fn(string $name): Estimate => new Estimate($at[$name], sqrt($variances[$name]), $fit->freedom);
        $isPushed = $car->shape !== null;

        return new self(
            $estimate('release'),
            $isPushed ? $estimate('push') : null,
            $isPushed ? $estimate('limp_after') : null,
            $isPushed ? $estimate('limp_at') : null,
            $estimate('friction'),
            $estimate('distance'),
            $estimate('lasts'),
            $estimate('top_speed'),
            $fit->startM,
            $fit->motion,
            array_map(static fn(float $t, float $x): array => [$t, $x], $times, $places),
            $fit->missM,
            count($used),
            $times[count($times) - 1] < $at['release'] + $at['lasts'] - self::SHORT_S,
        );
    }

    /**
     * What it would be if a mark, the sight, the air or the push's shape were otherwise.
     *
     * @param non-empty-list<FilmPoint> $points
     * @param list<int> $used
     * @param array{list<float>, list<float>, list<float>} $seen times, places and m for each px of those that are used
     * @param array{release: float, limp: float, stop: float, speed: float, start: float, first: float} $guess
     *
     * @return list<array<string, float>>
     */
    private static function others(
        array $points,
        array $used,
        LaneScale $scale,
        Sight $sight,
        FilmedCar $car,
        MotionFit $fit,
        array $seen,
        array $guess,
    ): array {
        $places = [
            ...array_map(static fn(LaneScale $shaken): array => $sight->places($points, $shaken), $scale->shaken($scale->tapPx())),
            ...array_map(static fn(Sight $other): array => $other->places($points, $scale), $sight->others()),
        ];
        $others = array_map(static fn(array $each): array => $fit->shifted(self::only($each, $used))->results($car), $places);
        foreach ($car->others() as $each) {
            $others[] = MotionFit::of($seen[0], $seen[1], $seen[2], $each, $guess, $fit)->results($each);
        }

        return $others;
    }

    /**
     * @param list<float> $of
     * @param list<int> $which
     *
     * @return list<float>
     */
    private static function only(array $of, array $which): array
    {
        return array_map(static fn(int $i): float => $of[$i], $which);
    }

    /**
     * The motion that fits, moment by moment.
     *
     * @return list<array{float, float, float, float}> s of the film, m from the start line, m/s and m/s²
     */
    public function fitted(): array
    {
        $step = $this->motion->lastsS() / self::MOMENTS;
        $moments = [];
        for ($i = 0; $i <= self::MOMENTS; $i++) {
            [$before, $at, $after] = [max(0.0, ($i - 0.5) * $step), $i * $step, min($this->motion->lastsS(), ($i + 0.5) * $step)];
            $moments[] = [
                round($this->release->value + $at, 4),
                round($this->startsAtM + $this->motion->placeM($at), 5),
                round($this->motion->speedMS($at), 4),
                round(($this->motion->speedMS($after) - $this->motion->speedMS($before)) / max(1e-9, $after - $before), 4),
            ];
        }

        return $moments;
    }

    /**
     * The push that it was given, and what rolling and air used up of it, along its way.
     *
     * @param FilmedCar $car as it was fitted with
     *
     * @return list<array{float, float, float}> m from the start line; the push and what was used up (N)
     */
    public function forces(FilmedCar $car): array
    {
        $forces = [];
        $rolling = $this->friction->value * $car->massKg * Constants::GRAVITY_M_S2;
        for ($i = 0; $i <= self::MOMENTS; $i++) {
            $at = $i / self::MOMENTS * $this->motion->lastsS();
            $step = (int) round(min(1.0, $at / max(1e-9, $this->motion->pushedS)) * PushShape::STEPS);
            $push = $at <= $this->motion->pushedS ? $this->motion->pushN * ($car->shape->push[$step] ?? 0.0) : 0.0;
            $speed = $this->motion->speedMS($at);
            $forces[] = [
                round($this->startsAtM + $this->motion->placeM($at), 5),
                round($push, 6),
                round($speed > 0.0 ? $rolling + ($car->shape->dragKgM[$step] ?? $car->dragKgM) * $speed ** 2 : 0.0, 6),
            ];
        }

        return $forces;
    }

    /** When it was so far from where it was let go (s after that); null where it never was. */
    public function timeAt(float $metres): ?float
    {
        return $this->motion->timeAt($metres);
    }
}
