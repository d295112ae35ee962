<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

/** The line in the picture along which the car ran, from where it starts to where it is going. In px of the film. */
final readonly class FilmLine
{
    public float $lengthPx;

    public function __construct(
        public float $u0,
        public float $v0,
        public float $u1,
        public float $v1,
    ) {
        $this->lengthPx = hypot($u1 - $u0, $v1 - $v0);
    }

    /**
     * @return array{float, float} u and v of a point of it
     */
    public function at(float $alongPx): array
    {
        $share = $this->lengthPx > 0.0 ? $alongPx / $this->lengthPx : 0.0;

        return [$this->u0 + $share * ($this->u1 - $this->u0), $this->v0 + $share * ($this->v1 - $this->v0)];
    }

    /** Where along it (px) the foot of a point's perpendicular lies. */
    public function along(float $uPx, float $vPx): float
    {
        return (($uPx - $this->u0) * ($this->u1 - $this->u0) + ($vPx - $this->v0) * ($this->v1 - $this->v0)) / max(1e-9, $this->lengthPx);
    }
}
