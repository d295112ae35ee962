<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

/**
 * What somebody marked in a film, and where the car was in each of its pictures: all that a run on film is worked out from.
 *
 * @phpstan-type Kept array{
 *     line: array{float, float, float, float}, marks: list<array{float, float, float, int|null}>,
 *     points: list<array{float, float, int}>, slower: float, lift_px: float, camera_m: float, followed_m: float
 * }
 */
final readonly class SeenFilm
{
    /**
     * @param list<FilmMark> $marks
     * @param list<FilmPoint> $points in s of the film
     * @param float $slower so many times slower than the run was it plays
     * @param float $liftPx so far above the drawn line the car was followed
     */
    public function __construct(
        public FilmLine $line,
        public array $marks,
        public array $points,
        public Sight $sight,
        public float $slower,
        public float $liftPx = 0.0,
    ) {}

    /** @throws UnreadableFilmException where the marks can't fix a scale */
    public function scale(): LaneScale
    {
        return LaneScale::of($this->line, $this->marks);
    }

    /** @throws UnreadableFilmException where the points are no run, or too few */
    public function run(LaneScale $scale, FilmedCar $car): FilmedRun
    {
        $asItWas = array_map(
            fn(FilmPoint $point): FilmPoint => new FilmPoint($point->timeS / $this->slower, $point->alongPx),
            $this->points,
        );

        $lift = $this->liftPx * $scale->metresPerPx($this->line->lengthPx / 2);

        return FilmedRun::of($asItWas, $scale, $car, $lift > 0.0 ? $this->sight->lifted($lift) : $this->sight);
    }

    /** @return Kept in px, s and m */
    public function toArray(): array
    {
        return [
            'line' => [$this->line->u0, $this->line->v0, $this->line->u1, $this->line->v1],
            'marks' => array_map(static fn(FilmMark $mark): array => [$mark->uPx, $mark->vPx, $mark->placeM, $mark->edge], $this->marks),
            'points' => array_map(
                static fn(FilmPoint $point): array => [$point->timeS, $point->alongPx, $point->byHand ? 1 : 0],
                $this->points,
            ),
            'slower' => $this->slower,
            'lift_px' => $this->liftPx,
            'camera_m' => $this->sight->cameraM,
            'followed_m' => $this->sight->heightM,
        ];
    }

    /** @param Kept $kept */
    public static function fromArray(array $kept): self
    {
        return new self(
            new FilmLine(...$kept['line']),
            array_map(
                static fn(array $mark): FilmMark => new FilmMark(...$mark),
                $kept['marks'],
            ),
            array_map(
                static fn(array $point): FilmPoint => new FilmPoint($point[0], $point[1], $point[2] === 1),
                $kept['points'],
            ),
            new Sight($kept['followed_m'], $kept['camera_m']),
            $kept['slower'],
            $kept['lift_px'],
        );
    }
}
