<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Catalogue;

/** Which parts of a catalogue go into which: tubes into tubes, tubes into necks, axles into wheels. */
final readonly class Fits
{
    /**
     * Those that go together at all, and those that only just do not.
     *
     * @return list<array{string, string, Fit}> the inner part and the outer one by their names, and how one sits in the other
     */
    public static function in(Catalogue $catalogue): array
    {
        $found = [];
        $nozzles = $catalogue->of(PartKind::Nozzle);
        foreach ($nozzles as $inner) {
            $outside = $inner->find(CarAttribute::NozzleOutside);
            if ($outside === null) {
                continue;
            }
            foreach ($nozzles as $outer) {
                $fit = Fit::ofTube($outside, $outer->value(CarAttribute::NozzleBore));
                if ($inner !== $outer && $fit === Fit::Snug) {
                    $found[] = [$inner->name, $outer->name, $fit];
                }
            }
            foreach ($catalogue->of(PartKind::Balloon) as $balloon) {
                $neck = $balloon->find(CarAttribute::NeckWidth);
                if ($neck !== null) {
                    $found[] = [$inner->name, $balloon->name, Fit::inNeck($outside, $neck)];
                }
            }
        }
        foreach ($catalogue->of(PartKind::Bearing) as $bearing) {
            $found[] = [
                $bearing->name, $bearing->name,
                Fit::ofTurning($bearing->value(CarAttribute::AxleDiameter), $bearing->value(CarAttribute::BearingBore)),
            ];
            foreach ($catalogue->of(PartKind::Wheel) as $wheel) {
                $hole = $wheel->find(CarAttribute::WheelBore);
                if ($hole !== null) {
                    $found[] = [$bearing->name, $wheel->name, Fit::ofFixed($bearing->value(CarAttribute::AxleDiameter), $hole)];
                }
            }
        }

        return $found;
    }
}
