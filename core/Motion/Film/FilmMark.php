<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

/** A place on the floor that a person marked in the picture, and how far from the start line it is. */
final readonly class FilmMark
{
    /**
     * @param float $uPx to the right in the picture
     * @param float $vPx down in the picture
     * @param float $placeM along the lane, from the start line
     * @param int|null $edge 0 or 1 where it lies on the one or the other edge of the lane; null where on the drawn line
     */
    public function __construct(
        public float $uPx,
        public float $vPx,
        public float $placeM,
        public ?int $edge = null,
    ) {}

    public function moved(float $uPx, float $vPx): self
    {
        return new self($this->uPx + $uPx, $this->vPx + $vPx, $this->placeM, $this->edge);
    }
}
