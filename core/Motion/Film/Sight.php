<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

/**
 * Where the camera stood to what it followed. A point h above the floor is seen where the ray through it meets the floor: from a
 * camera H above it, along the lane, x' − x_c = (x − x_c)·H/(H − h). So ways look longer by that factor. A car beside the line by d is
 * shifted by about d times how far the line of sight slants there.
 */
final readonly class Sight
{
    /** What is followed is known in its height to about this (m); the camera's to about this share. From trial. */
    private const HEIGHT_ERROR_M = 0.0025;
    private const CAMERA_ERROR = 0.05;

    /** A line that runs higher than this goes through the body, and past what its far side shows before the near one: up to so much (m). */
    private const THROUGH_BODY_M = 0.012;
    private const FAR_SIDE_M = 0.05;

    /** Half of what a phone sees to its sides: tan 32°. From memory. */
    private const SLANT = 0.62;

    /**
     * @param float $heightM of what was followed, above the floor
     * @param float $cameraM of the camera, above the floor
     * @param float $besideM how far from the drawn line the car may have come meanwhile (standard deviation)
     * @param float $beside so much of that it did come, in the direction that makes ways look longer; 0 as far as is known
     * @param float $liftM how far above the drawn line it was followed. What stands upright there is seen straight above its foot,
     *                     and the scale is that of the drawn line: so it changes no place, but what of the car is seen
     */
    public function __construct(
        public float $heightM = 0.005,
        public float $cameraM = 1.2,
        public float $besideM = 0.004,
        private float $beside = 0.0,
        private float $liftM = 0.0,
    ) {}

    /**
     * Where the car was (m from the start line) in each picture, the place of the first standing for itself.
     *
     * @param non-empty-list<FilmPoint> $points
     *
     * @return non-empty-list<float>
     */
    public function places(array $points, LaneScale $scale): array
    {
        $seen = array_map(static fn(FilmPoint $point): float => $scale->placeM($point->alongPx), $points);
        $first = $seen[0];
        $way = max(0.1, max($seen) - min($seen));
        $factor = (1.0 - $this->heightM / $this->cameraM) * (1.0 + $this->beside * self::SLANT / $way);

        return array_map(static fn(float $at): float => $first + ($at - $first) * $factor, $seen);
    }

    /** The same, followed so far above the drawn line (m). */
    public function lifted(float $metres): self
    {
        return new self($this->heightM, $this->cameraM, $this->besideM, $this->beside, $metres);
    }

    /** Along the wheels' feet nothing but the near wheels is seen. */
    public function isThroughBody(): bool
    {
        return $this->heightM + $this->liftM > self::THROUGH_BODY_M;
    }

    /** @return list<self> the same, each of its figures off by its standard uncertainty */
    public function others(): array
    {
        return [
            new self($this->heightM + self::HEIGHT_ERROR_M, $this->cameraM, $this->besideM),
            new self($this->heightM, $this->cameraM * (1.0 + self::CAMERA_ERROR), $this->besideM),
            new self($this->heightM, $this->cameraM, $this->besideM, $this->besideM),
            ...($this->isThroughBody() ? [new self($this->heightM, $this->cameraM, $this->besideM, self::FAR_SIDE_M)] : []),
        ];
    }
}
