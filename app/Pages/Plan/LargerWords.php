<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Figure;
use App\Language\Sentence;
use App\Language\Text;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\LargerCar;

/** A car as large as somebody asks for, in words: whether it would start, and why not. */
final readonly class LargerWords
{
    public function __construct(private UnitSystem $units) {}

    /** @return list<Sentence> */
    public function verdict(LargerCar $asked, LargerCar $alone, float $riderKg): array
    {
        $values = [
            'scale' => Figure::of($asked->scale), 'needed' => self::newtons($asked->neededN), 'given' => self::newtons($asked->thrustN),
            'rider' => $this->weight($riderKg),
            'times' => Figure::threeDigits($asked->shortBy()), 'balloon' => $this->units->show($asked->balloonM, Scale::Lane),
            'could' => $this->weight($asked->couldStartKg()),
        ];

        return [
            $asked->starts()
                ? new Sentence(Text::of('plan.larger.it_would_start'), Text::of('plan.larger.on_paper', $values))
                : new Sentence(Text::of('plan.larger.it_would_not_start'), Text::of('plan.larger.it_needs', $values)),
            ...(
                $asked->starts()
                || $riderKg <= 0.0
                    ? []
                    : [new Sentence('', Text::of($alone->starts() ? 'plan.larger.alone_it_would' : 'plan.larger.not_even_alone', $values))]
            ),
            new Sentence(
                '',
                Text::of('plan.larger.filling', ['time' => self::duration($asked->fillingS), 'blows' => self::duration($asked->blowsS)]),
            ),
            new Sentence(Text::of('plan.larger.never'), Text::of('plan.larger.no_cylinders')),
        ];
    }

    /** @return array<string, array{string, string}> of the car as it is built and of the one asked for */
    public function rows(LargerCar $small, LargerCar $asked): array
    {
        $rows = [];
        foreach ([
            'mass' => fn(LargerCar $car): string => $this->weight($car->massKg),
            'needed' => static fn(LargerCar $car): string => self::newtons($car->neededN),
            'given' => static fn(LargerCar $car): string => self::newtons($car->thrustN),
            'pressure' => static fn(LargerCar $car): string => number_format($car->pressurePa) . "\u{00A0}Pa",
            'balloon' => fn(LargerCar $car): string => $this->units->show($car->balloonM, $car->balloonM < 1.0 ? Scale::Body : Scale::Lane),
            'volume' => static fn(LargerCar $car): string => number_format(
                1000 * $car->volumeM3,
                $car->volumeM3 < 0.1 ? 1 : 0,
            ) . "\u{00A0}l",
            'filling' => static fn(LargerCar $car): string => self::duration($car->fillingS),
            'blows' => static fn(LargerCar $car): string => self::duration($car->blowsS),
        ] as $key => $of) {
            $rows[$key] = [$of($small), $of($asked)];
        }

        return $rows;
    }

    public function weight(float $kg): string
    {
        if ($this->units === UnitSystem::Metric) {
            return $kg < 1.0 ? number_format(1000 * $kg) . "\u{00A0}g" : number_format($kg, $kg < 10 ? 1 : 0) . "\u{00A0}kg";
        }
        $pounds = $kg / Unit::Pound->inSiRoughly();

        return $pounds < 1.0 ? $this->units->show($kg, Scale::Weight) : number_format($pounds, $pounds < 10 ? 1 : 0) . "\u{00A0}lb";
    }

    private static function newtons(float $newtons): string
    {
        return $newtons < 1.0
            ? number_format(1000 * $newtons) . "\u{00A0}mN"
            : number_format($newtons, $newtons < 10 ? 1 : 0) . "\u{00A0}N";
    }

    private static function duration(float $seconds): string
    {
        return match (true) {
            $seconds < 90.0 => number_format($seconds, $seconds < 10 ? 1 : 0) . "\u{00A0}s",
            $seconds < 5400.0 => number_format($seconds / 60.0) . "\u{00A0}min",
            default => number_format($seconds / 3600.0, $seconds < 36_000 ? 1 : 0) . "\u{00A0}h",
        };
    }
}
