<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Settings;

/** A question about the class's own kit, and what the run model says: a guess first, then the simulated run. */
enum WarmUp: string
{
    case TwiceTheAir = 'twice_the_air';
    case Heavier = 'heavier';
    case WiderNozzle = 'wider_nozzle';
    case LargerWheels = 'larger_wheels';
    case Carpet = 'carpet';

    /** Less change than this is "about the same". */
    private const SAME = 0.07;

    /** By how much heavier, wider, larger. */
    private const MORE = 1.5;

    /**
     * Those that the model can answer for a kit, with its answer.
     *
     * @param CarModel $kit what a car of the kit is like
     *
     * @return array<string, array{float, float}> how far the kit's car goes, and the changed one (m), by the value of a question
     */
    public static function answers(CarModel $kit, State $usual): array
    {
        $answers = [];
        foreach (self::cases() as $question) {
            if ($question->attribute()?->belongsTo($kit->source()) === false) {
                continue;
            }
            try {
                $before = self::distance($kit->settings, $usual);
                $after = self::distance($question->changed($kit->settings), $usual);
            } catch (OutOfRangeException) {
                // What the model does not know it says nothing of.
                continue;
            }
            if ($before > 0.0) {
                $answers[$question->value] = [$before, $after];
            }
        }

        return $answers;
    }

    /** Of a distance and of the changed one: farther, about the same, or less far. */
    public static function direction(float $before, float $after): Direction
    {
        return match (true) {
            $after > $before * (1 + self::SAME) => Direction::Farther,
            $after < $before * (1 - self::SAME) => Direction::LessFar,
            default => Direction::Same,
        };
    }

    /** What of a car it changes, where cars of one class may differ in it. */
    public function attribute(): ?CarAttribute
    {
        return match ($this) {
            self::TwiceTheAir => CarAttribute::BalloonSize,
            self::Heavier => CarAttribute::Mass,
            self::WiderNozzle => CarAttribute::NozzleBore,
            self::LargerWheels => CarAttribute::WheelDiameter,
            self::Carpet => null,
        };
    }

    private function changed(Settings $kit): Settings
    {
        $attribute = $this->attribute();
        if ($attribute === null) {
            $carpet = Catalogue::standard()->named(PartKind::Surface, 'short carpet');

            return $kit->with(CarAttribute::SurfaceLoss, $carpet?->value(CarAttribute::SurfaceLoss) ?? 0.04);
        }
        // Twice the air is a fourth wider: the volume goes with the cube.
        $by = $this === self::TwiceTheAir ? 2 ** (1 / 3) : self::MORE;

        return $kit->with($attribute, $kit->get($attribute) * $by);
    }

    private static function distance(Settings $settings, State $usual): float
    {
        return Prediction::begin($settings, $usual)->run()->distanceM;
    }
}
