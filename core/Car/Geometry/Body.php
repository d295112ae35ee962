<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\NoseShape;

/** The chassis of a car: its outer measures (m) and its form. */
final readonly class Body
{
    /** @param non-empty-list<float> $widths how wide it is along its length, as shares of its width, from the rear, evenly spaced */
    public function __construct(
        public float $length,
        public float $width,
        public float $height,
        public ChassisForm $form = ChassisForm::Board,
        public array $widths = [1.0, 1.0],
        public NoseShape $nose = NoseShape::Flat,
    ) {}
}
