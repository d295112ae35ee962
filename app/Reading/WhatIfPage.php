<?php

declare(strict_types=1);

namespace App\Reading;

use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\Part;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Setting;

/** What the page of the What-if bench needs to know to turn settings: their ranges, and what each part sets. */
final readonly class WhatIfPage
{
    /** @return list<array<string, mixed>> */
    public static function settings(UnitSystem $units): array
    {
        return array_values(array_map(static function (Setting $setting) use ($units): array {
            [$least, $greatest, $usual, $step] = $setting->range();
            $scale = $setting->scale();

            return [
                'key' => $setting->value,
                'label' => $setting->label(),
                'least' => $least,
                'greatest' => $greatest,
                'limits' => $setting->limits(),
                'usual' => $usual,
                'step' => $step,
                'perSi' => $scale === null ? 1.0 : $units->perSi($scale),
                'unit' => $scale === null ? '' : $units->symbol($scale),
                'decimals' => $scale === null ? 3 : $units->decimals($scale),
                'main' => $setting->isMain(),
            ];
        }, Setting::cases()));
    }

    /** @return array<string, array<string, array<string, float>>> the settings that each part sets, by kind and name */
    public static function parts(Catalogue $catalogue): array
    {
        $parts = [];
        foreach (PartKind::cases() as $kind) {
            foreach ($catalogue->of($kind) as $part) {
                $parts[$kind->value][$part->name] = self::sets($part);
            }
        }

        return $parts;
    }

    /** @return array<string, float> */
    private static function sets(Part $part): array
    {
        $values = [];
        foreach (CarModel::settingsOf($part->kind) as $key => $setting) {
            $values[$setting->value] = $part->value($key);
        }
        if ($part->kind === PartKind::Nozzle) {
            $stepped = $part->isCalled('stepped tubes');
            $values[Setting::WiderBore->value] = $stepped ? CarModel::STEPPED_WIDER_M : 0.0;
            $values[Setting::WidestBore->value] = $stepped ? CarModel::STEPPED_WIDEST_M : 0.0;
        }

        return $values;
    }
}
