<?php

declare(strict_types=1);

namespace App\Pages\Build;

use Skivo\Core\Car\Attribute\ChassisForm;

/** A chassis of a form, small, from above. In px. */
final readonly class FormPicture
{
    public const WIDTH = 64;
    public const HEIGHT = 34;
    private const LENGTH = 56;

    /** The outline as a path. */
    public static function of(ChassisForm $form): string
    {
        $half = match ($form) {
            ChassisForm::Stick => 4,
            ChassisForm::Block, ChassisForm::Bottle, ChassisForm::Cup => 13,
            default => 14,
        };
        $widths = $form->widths();
        $last = max(1, count($widths) - 1);
        $side = static fn(int $sign): array => array_map(
            static fn(int $i): string => round(4 + self::LENGTH * $i / $last, 1) . ' ' . round(
                self::HEIGHT / 2 + $sign * $half * $widths[$i],
                1,
            ),
            range(0, $last),
        );

        return 'M' . implode('L', [...$side(-1), ...array_reverse($side(1))]) . 'Z';
    }
}
