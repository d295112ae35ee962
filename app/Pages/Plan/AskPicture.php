<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\Question;

/** What a class may ask about, of which there is a picture: less of it beside more. */
final readonly class AskPicture
{
    /** @return list<CarAttribute> in the order in which they stand */
    public static function drawn(): array
    {
        return [
            CarAttribute::NozzleBore, CarAttribute::BalloonSize, CarAttribute::Mass, CarAttribute::WheelDiameter,
            CarAttribute::NozzleLength, CarAttribute::Balloons, CarAttribute::WheelKind,
        ];
    }

    /** @return list<CarAttribute> */
    public static function notDrawn(): array
    {
        return array_values(array_filter(
            Question::askable(),
            static fn(CarAttribute $attribute): bool => !in_array($attribute, self::drawn(), true),
        ));
    }
}
