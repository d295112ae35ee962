<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use BackedEnum;
use Skivo\Core\Car\Attribute\CarAttribute;

/** What a class in JSON may say of a car's attributes, as JSON Schema (draft 2020-12). */
final readonly class AttributeSchema
{
    /** @return array<string, array<string, mixed>> by the key under which a class has them, in the order of the build */
    public static function properties(): array
    {
        $properties = [];
        foreach (CarAttribute::recorded() as $attribute) {
            $properties[ClassReader::keyOf($attribute)] = self::of($attribute);
        }

        return $properties;
    }

    /** @return array<string, mixed> */
    private static function of(CarAttribute $attribute): array
    {
        if ($attribute->isKind()) {
            $options = array_map(static fn(BackedEnum $option): int|string => $option->value, $attribute->options());

            return ['type' => 'string'] + ($options === [] ? ['minLength' => 1] : ['enum' => $options]);
        }
        [$least, $greatest] = $attribute->range();

        return ['type' => $attribute->isCount() ? 'integer' : 'number', 'minimum' => $least, 'maximum' => $greatest];
    }
}
