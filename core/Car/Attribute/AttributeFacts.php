<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\Scale;

/**
 * What is true of one attribute of a car; stands on its case in CarAttribute.
 *
 * The ranges are common practice, no source, set wide: they catch centimetres typed as metres, not odd cars.
 */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class AttributeFacts
{
    /**
     * @param Step|null $step of the build at which it is recorded; null where no build sheet asks for it
     * @param Scale|null $scale on which it is read; null for a kind, and for a plain number
     * @param array{float, float}|null $range least and greatest value that is taken for real, in SI, as a count or in degrees; null for a kind
     * @param array{float, float}|null $usual between these lie the cars that classes build; what lies outside is asked about
     * @param bool $isMain among those that most runs are understood by; the others are asked for further down
     * @param string|null $column its name in the header of a run table
     * @param bool $isColumnAlwaysThere whether a run table has the column even where it holds nothing
     * @param PartKind|null $part the kind of part that gives it a value where it was not recorded
     * @param bool $isLeftToPart whether it may be left empty for a part of one's own, since a classroom can hardly measure it
     * @param Explains|null $explains how it may explain results; null where it is not set against them
     * @param Ruler|null $ruler how it enters the run model; null where the model does not know it
     * @param CarAttribute|null $ofBothAxles what it stands in for on the rear axle
     * @param class-string<\BackedEnum>|null $options among which a kind is chosen; null where any word may be typed
     * @param float|string|null $unsaid what a car has where nothing was said of it, as Car::explanation() has it; null where that is
     * unknown
     */
    public function __construct(
        public ?Step $step = null,
        public ?Scale $scale = null,
        public ?array $range = null,
        public ?array $usual = null,
        public bool $isMain = true,
        public ?string $column = null,
        public bool $isColumnAlwaysThere = false,
        public ?PartKind $part = null,
        public bool $isLeftToPart = false,
        public ?Explains $explains = null,
        public ?Ruler $ruler = null,
        public ?CarAttribute $ofBothAxles = null,
        public ?string $options = null,
        public float|string|null $unsaid = null,
    ) {}
}
