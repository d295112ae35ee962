<?php

declare(strict_types=1);

namespace App\Pages\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Part;

/** A part among others of its kind, all to one scale: the largest of them fills the picture. In px. */
final readonly class PartPicture
{
    public const WIDTH = 96;
    public const HEIGHT = 64;
    public const MIDDLE = self::WIDTH / 2;
    public const CENTRE = self::HEIGHT / 2;
    private const ROOM = 4;

    private float $scale;

    /** @param list<Part> $among those beside which it stands */
    public function __construct(public Part $part, array $among)
    {
        $sizes = array_map(self::extent(...), [...$among, $part]);
        $this->scale = min(
            (self::WIDTH - 2 * self::ROOM) / max(1e-4, ...array_column($sizes, 0)),
            (self::HEIGHT - 2 * self::ROOM) / max(1e-4, ...array_column($sizes, 1)),
        );
    }

    /** A size of the part on the picture, never so small that it could not be seen. */
    public function size(CarAttribute $attribute): float
    {
        return round(max(1.2, ($this->part->find($attribute) ?? 0.0) * $this->scale), 2);
    }

    /** @return list<array{x: float, y: float, width: float, height: float}> the tubes of a nozzle, the widest first */
    public function tubes(): array
    {
        $length = $this->size(CarAttribute::NozzleLength);
        $tubes = [];
        foreach (array_reverse(CarAttribute::bores()) as $bore) {
            if ($this->part->find($bore) !== null) {
                $tubes[] = [
                    'x' => round(self::MIDDLE - $length / 2, 2),
                    'y' => round(self::CENTRE - $this->size($bore) / 2, 2),
                    'width' => round($length * match ($bore) {
                        // Tubes in a row: so much of each is seen.
                        CarAttribute::WiderBore => 0.66,
                        CarAttribute::WidestBore => 0.33,
                        default => 1.0,
                    }, 2),
                    'height' => $this->size($bore),
                ];
            }
        }

        return $tubes;
    }

    /** Where an axle's middle is that lies in its bearing. */
    public function axleY(): float
    {
        return round(self::CENTRE + ($this->size(CarAttribute::BearingBore) - $this->size(CarAttribute::AxleDiameter)) / 2, 2);
    }

    /** Where a balloon's neck ends. */
    public function neckX(): float
    {
        return round(self::MIDDLE + 5 - $this->size(CarAttribute::BalloonNominal) / 2, 2);
    }

    /** The outline of a chassis from above. */
    public function outline(): string
    {
        $widths = $this->part->form->widths();
        $last = max(1, count($widths) - 1);
        [$length, $half] = [$this->size(CarAttribute::ChassisLength), $this->size(CarAttribute::ChassisWidth) / 2];
        $left = (self::WIDTH - $length) / 2;
        $side = static fn(int $sign): array => array_map(
            static fn(int $i): string => round($left + $length * $i / $last, 2) . ' ' . round(
                self::HEIGHT / 2 + $sign * $half * $widths[$i],
                2,
            ),
            range(0, $last),
        );

        return 'M' . implode('L', [...$side(-1), ...array_reverse($side(1))]) . 'Z';
    }

    /** @return array{float, float} how wide and how tall it is drawn (m) */
    private static function extent(Part $part): array
    {
        return match ($part->kind) {
            PartKind::Chassis => [$part->value(CarAttribute::ChassisLength), $part->value(CarAttribute::ChassisWidth)],
            PartKind::Wheel => array_fill(0, 2, $part->value(CarAttribute::WheelDiameter)),
            PartKind::Balloon => [1.15 * $part->value(CarAttribute::BalloonNominal), $part->value(CarAttribute::BalloonNominal)],
            PartKind::Nozzle => [
                $part->value(CarAttribute::NozzleLength), $part->find(CarAttribute::WidestBore) ?? $part->value(CarAttribute::NozzleBore),
            ],
            PartKind::Bearing => array_fill(0, 2, 1.3 * $part->value(CarAttribute::BearingBore)),
            PartKind::Surface => [1.0, 1.0],
        };
    }
}
