<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** The kinds of parts in the catalogue. What is known of each are the attributes of CarAttribute::ofPart(). */
enum PartKind: string
{
    case Balloon = 'balloon';
    case Nozzle = 'nozzle';
    case Wheel = 'wheel';
    case Bearing = 'bearing';
    case Chassis = 'chassis';
    case Surface = 'surface';

    /** What tells which part it is: its name on the build sheet, or the nominal size of a balloon. */
    public function named(): CarAttribute
    {
        return match ($this) {
            self::Balloon => CarAttribute::BalloonNominal,
            self::Nozzle => CarAttribute::NozzleKind,
            self::Wheel => CarAttribute::WheelKind,
            self::Bearing => CarAttribute::Bearing,
            self::Chassis => CarAttribute::Chassis,
            self::Surface => CarAttribute::Surface,
        };
    }
}
