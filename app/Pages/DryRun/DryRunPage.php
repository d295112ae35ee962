<?php

declare(strict_types=1);

namespace App\Pages\DryRun;

use App\Language\Label;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\Settings;

/** What the page of the What-if bench needs to know to turn settings: their ranges, and what each part sets. */
final readonly class DryRunPage
{
    /** @return list<array<string, mixed>> */
    public static function settings(UnitSystem $units): array
    {
        return array_map(
            static function (CarAttribute $setting) use ($units): array {
                $ruler = $setting->ruler();
                $scale = $setting->scale();
                $hasUnit = $scale !== null && $units->unit($scale) !== null;

                return [
                    'key' => $setting->value,
                    'label' => Label::title($setting),
                    'least' => $ruler->least,
                    'greatest' => $ruler->greatest,
                    'limits' => $setting->limits(),
                    'usual' => $ruler->typical,
                    'step' => $ruler->step,
                    'perSi' => $scale === null ? 1.0 : $units->perSi($scale),
                    'unit' => $hasUnit ? $units->symbol($scale) : '',
                    'decimals' => $scale === null ? 3 : $units->decimals($scale),
                    'main' => $ruler->isMain,
                    'of' => $setting->isOfTheDrive() ? array_keys(array_filter(EnergySource::cases(), $setting->belongsTo(...))) : null,
                ];
            },
            CarAttribute::ofModel(),
        );
    }

    /**
     * What each source of energy begins with, and what may be turned through its range first.
     *
     * @param array<int, array{Settings, string, string}> $begins settings and the addresses that run and sweep them, by the number of its case
     *
     * @return list<array<string, mixed>>
     */
    public static function sources(array $begins): array
    {
        return array_map(static fn(int $number): array => [
            'begin' => (object) DryRun::unusual($begins[$number][0]),
            'run' => $begins[$number][1],
            'sweep' => $begins[$number][2],
            'along' => self::along(EnergySource::cases()[$number])->value,
        ], array_keys(EnergySource::cases()));
    }

    /** What is turned through its range first. */
    public static function along(EnergySource $source): CarAttribute
    {
        return match (true) {
            $source->winds() => CarAttribute::TurnsWound,
            $source->blows() => CarAttribute::NozzleBore,
            default => CarAttribute::RampHeight,
        };
    }

    /** @return array<string, array<string, array<string, float>>> the settings that each part sets, by kind and name */
    public static function parts(Catalogue $catalogue): array
    {
        $parts = [];
        foreach (PartKind::cases() as $kind) {
            foreach ($catalogue->of($kind) as $part) {
                foreach (CarAttribute::ofPart($kind) as $attribute) {
                    if ($attribute->facts()->ruler !== null) {
                        // Tubes that are not there are none.
                        $parts[$kind->value][$part->name][$attribute->value] = $part->find($attribute) ?? 0.0;
                    }
                }
            }
        }

        return $parts;
    }
}
