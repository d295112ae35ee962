<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Physics\WheelMount;

/** What cannot work on the axles and wheels of a car. */
final readonly class RunningFaults
{
    /**
     * What an axle needs beyond bearing and hubs, and a bearing beyond chassis and rims, to turn freely (m). Common practice, no source.
     */
    private const ROOM_FOR_WHEELS_M = 0.0075;
    private const ROOM_FOR_RIMS_M = 0.004;

    public function __construct(private Measures $measures) {}

    /** @return list<Fault> */
    public function all(): array
    {
        return [...$this->axles(), ...$this->onAxle(), ...$this->besideTheChassis(), ...$this->meet()];
    }

    /** @return list<Fault> */
    private function axles(): array
    {
        $faults = [];
        if (
            $this->measures->knows(CarAttribute::AxleDiameter, CarAttribute::BearingBore)
                && $this->measures->layout->axles->diameter >= $this->measures->layout->axles->bearingBore
        ) {
            $faults[] = Fault::of(
                'axle-too-thick',
                [
                    'axle' => $this->measures->part($this->measures->layout->axles->diameter),
                    'bore' => $this->measures->part($this->measures->layout->axles->bearingBore),
                ],
                true,
                Spot::FrontAxle,
            );
        }
        if ($this->measures->knows(CarAttribute::AxleDiameter, CarAttribute::BearingBore)
            && Fit::ofTurning($this->measures->layout->axles->diameter, $this->measures->layout->axles->bearingBore) === Fit::Loose) {
            $faults[] = Fault::of(
                'axle-knocks-about',
                [
                    'axle' => $this->measures->part($this->measures->layout->axles->diameter),
                    'bore' => $this->measures->part($this->measures->layout->axles->bearingBore),
                ],
                false,
                Spot::FrontAxle,
            );
        }
        foreach ([
            [
                'front', CarAttribute::AxleLength, CarAttribute::BearingLength, $this->measures->layout->axles->frontLength,
                $this->measures->layout->axles->frontBearing,
                Spot::FrontAxle,
            ],
            [
                'rear', CarAttribute::RearAxleLength, CarAttribute::RearBearingLength, $this->measures->layout->axles->rearLength,
                $this->measures->layout->axles->rearBearing, Spot::RearAxle,
            ],
        ] as [$which, $axle, $bearing, $has, $bearingM, $spot]) {
            if (
                $this->measures->car->ofRear($axle) === null
                || $this->measures->car->ofRear($bearing) === null
                || ($hub = $this->measures->hub()) === null
            ) {
                continue;
            }
            $needs = $bearingM + 2 * $hub;
            if ($has <= $needs + 1e-9) {
                $faults[] = Fault::of(
                    "{$which}-axle-too-short",
                    [
                        'axle' => $this->measures->body($has), 'needs' => $this->measures->body($needs),
                        'cut' => $this->measures->body($needs + self::ROOM_FOR_WHEELS_M),
                    ],
                    true,
                    $spot,
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function onAxle(): array
    {
        $faults = [];
        $spins = $this->measures->car->kind(CarAttribute::WheelMount) === WheelMount::Spinning->value;
        if (
            $this->measures->knows(CarAttribute::WheelBore, CarAttribute::AxleDiameter)
            && $this->measures->car->kind(CarAttribute::WheelMount) !== null
        ) {
            $hole = (float) $this->measures->car->number(CarAttribute::WheelBore);
            $fit = $spins
                ? Fit::ofTurning($this->measures->layout->axles->diameter, $hole)
                : Fit::ofFixed($this->measures->layout->axles->diameter, $hole);
            if ($fit === Fit::TooThick || $fit === ($spins ? Fit::Snug : Fit::Loose)) {
                $faults[] = Fault::of(
                    match (true) {
                        $fit === Fit::TooThick => 'axle-too-thick-for-the-wheel',
                        $spins => 'wheel-binds',
                        default => 'wheel-slips',
                    },
                    ['axle' => $this->measures->part($this->measures->layout->axles->diameter), 'hole' => $this->measures->part($hole)],
                    $fit === Fit::TooThick,
                    Spot::FrontWheels,
                    'wheel-on-axle',
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> of the wheels beside the chassis, of each axle */
    private function besideTheChassis(): array
    {
        if (!$this->measures->knows(CarAttribute::ChassisWidth)) {
            return [];
        }
        $front = [CarAttribute::Track, CarAttribute::BearingLength, CarAttribute::EndPlay];
        $rear = [CarAttribute::RearTrack, CarAttribute::RearBearingLength, CarAttribute::RearEndPlay];
        $axles = $this->measures->layout->axles;

        return [
            ...$this->ofAxle('front', $front, $this->measures->layout->frontGap(), $axles->frontTrack, Spot::FrontWheels),
            ...$this->ofAxle('rear', $rear, $this->measures->layout->rearGap(), $axles->rearTrack, Spot::RearWheels),
        ];
    }

    /**
     * @param array{CarAttribute, CarAttribute, CarAttribute} $attributes its track, bearing and end play
     * @param float $gap between wheel and chassis (m)
     *
     * @return list<Fault>
     */
    private function ofAxle(string $which, array $attributes, float $gap, float $trackM, Spot $spot): array
    {
        [$track, $bearing, $play] = $attributes;
        $faults = [];
        $width = $this->measures->layout->body->width;
        $bearingM = $this->measures->car->ofRear($bearing) ?? $this->measures->car->number($bearing);
        $rim = $this->measures->rimReachesIn();
        if ($bearingM !== null && $rim > 0.0 && ($bearingM - $width) / 2 <= $rim + 1e-9) {
            $faults[] = Fault::of(
                "{$which}-rims-rub",
                [
                    'rim' => $this->measures->part($rim), 'out' => $this->measures
                        ->part(max(0.0, ($bearingM - $width) / 2)), 'cut' => $this->measures
                        ->body(
                            $width + 2 * $rim + self::ROOM_FOR_RIMS_M,
                        ),
                ],
                true,
                $spot,
            );
        } elseif ($bearingM !== null
            && $bearingM <= $width + 1e-9
            && ($this->measures->car->ofRear($track) ?? $this->measures->car->number($track)) === null) {
            // Works well with caps whose hollow faces outwards, or with washers.
            $faults[] = Fault::of(
                "{$which}-bearing-flush",
                ['bearing' => $this->measures->body($bearingM), 'width' => $this->measures->body($width)],
                false,
                $spot,
            );
        } elseif (($this->measures->car->ofRear($track) ?? $this->measures->car->number($track)) !== null) {
            $slack = ($this->measures->car->ofRear($play) ?? $this->measures->car->number($play) ?? 0.0) / 2;
            if ($trackM <= $width + 1e-9) {
                $faults[] = Fault::of(
                    "{$which}-track",
                    ['width' => $this->measures->body($width), 'track' => $this->measures->body($trackM)],
                    true,
                    $spot,
                );
            } elseif ($this->measures->knows(CarAttribute::WheelThickness) && $gap - $slack <= 1e-9) {
                $faults[] = $gap <= 0.0
                    ? Fault::of(
                        "{$which}-wheels-rub",
                        [
                            'between' => $this->measures->body($trackM - $this->measures->layout->wheels->thickness),
                            'width' => $this->measures->body($width),
                        ],
                        true,
                        $spot,
                    )
                    : Fault::of(
                        "{$which}-wheels-rub-at-one-side",
                        ['gap' => $this->measures->part($gap), 'play' => $this->measures->part(2 * $slack)],
                        true,
                        $spot,
                        "{$which}-wheels-rub",
                    );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function meet(): array
    {
        $faults = [];
        if (
            $this->measures->knows(CarAttribute::Wheelbase, CarAttribute::WheelDiameter)
                && $this->measures->layout->axles->wheelbase <= $this->measures->layout->wheels->diameter
        ) {
            $faults[] = Fault::of(
                'wheels-meet',
                [
                    'wheelbase' => $this->measures->body($this->measures->layout->axles->wheelbase),
                    'wheel' => $this->measures->part($this->measures->layout->wheels->diameter),
                ],
                true,
                Spot::FrontWheels,
            );
        }

        return $faults;
    }
}
