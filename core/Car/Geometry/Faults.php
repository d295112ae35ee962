<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\DrivenEnd;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\ElasticBand;
use Skivo\Core\Physics\Hollow;
use Skivo\Core\Physics\WheelMount;

/**
 * What cannot work on a car, from its recorded measures and geometry. A fault is only found where the measures
 * that it rests on were recorded: nothing is held against a car for what the parts list assumes.
 */
final readonly class Faults
{
    /** Less than this under the full balloon and the floor's bumps touch it. Common practice, no source. */
    private const CLEAR_OF_THE_FLOOR = 0.01;

    /**
     * What an axle needs beyond bearing and hubs, and a bearing beyond chassis and rims, to turn freely (m). Common practice, no source.
     */
    private const ROOM_FOR_WHEELS_M = 0.0075;
    private const ROOM_FOR_RIMS_M = 0.004;

    /**
     * A chain this much longer than its space hangs, one stretched so many times is near snapping, and a hook closer to the edge than this
     * pulls out (m). Common practice, no source.
     */
    private const CHAIN_TOO_LONG = 1.05;
    private const NEAR_SNAPPING = 5.0;
    private const HOOK_FROM_THE_EDGE = 0.004;

    /** Farther beside the middle than this share of the track a hook pulls to a side. Common practice, no source. */
    private const HOOK_BESIDE = 0.1;

    public Layout $layout;

    /** Whether the parts list knows the kind of the car's wheels. */
    private bool $isListed;

    public function __construct(
        private Car $car,
        Catalogue $catalogue,
        Kit $kit = new Kit(),
    ) {
        $this->layout = Layout::of($car, $catalogue, $kit);
        $this->isListed = $catalogue->named(PartKind::Wheel, $car->kind(CarAttribute::WheelKind)) !== null;
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return [
            ...$this->axles(), ...$this->wheels(), ...$this->chassis(),
            ...($this->car->blows() ? [...$this->balloon(), ...$this->nozzle()] : []),
            ...($this->car->source()?->winds() === true ? $this->band() : []),
        ];
    }

    /** @return list<Fault> */
    private function axles(): array
    {
        $faults = [];
        if (
            $this->knows(CarAttribute::AxleDiameter, CarAttribute::BearingBore)
                && $this->layout->axles->diameter >= $this->layout->axles->bearingBore
        ) {
            $faults[] = Fault::of(
                'axle-too-thick',
                ['axle' => $this->part($this->layout->axles->diameter), 'bore' => $this->part($this->layout->axles->bearingBore)],
                true,
                Spot::FrontAxle,
            );
        }
        if ($this->knows(CarAttribute::AxleDiameter, CarAttribute::BearingBore)
            && Fit::ofTurning($this->layout->axles->diameter, $this->layout->axles->bearingBore) === Fit::Loose) {
            $faults[] = Fault::of(
                'axle-knocks-about',
                ['axle' => $this->part($this->layout->axles->diameter), 'bore' => $this->part($this->layout->axles->bearingBore)],
                false,
                Spot::FrontAxle,
            );
        }
        foreach ([
            [
                'front', CarAttribute::AxleLength, CarAttribute::BearingLength, $this->layout->axles->frontLength,
                $this->layout->axles->frontBearing,
                Spot::FrontAxle,
            ],
            [
                'rear', CarAttribute::RearAxleLength, CarAttribute::RearBearingLength, $this->layout->axles->rearLength,
                $this->layout->axles->rearBearing, Spot::RearAxle,
            ],
        ] as [$which, $axle, $bearing, $has, $bearingM, $spot]) {
            if ($this->car->ofRear($axle) === null || $this->car->ofRear($bearing) === null || ($hub = $this->hub()) === null) {
                continue;
            }
            $needs = $bearingM + 2 * $hub;
            if ($has <= $needs + 1e-9) {
                $faults[] = Fault::of(
                    "{$which}-axle-too-short",
                    ['axle' => $this->body($has), 'needs' => $this->body($needs), 'cut' => $this->body($needs + self::ROOM_FOR_WHEELS_M)],
                    true,
                    $spot,
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function wheels(): array
    {
        $faults = [];
        $spins = $this->car->kind(CarAttribute::WheelMount) === WheelMount::Spinning->value;
        if ($this->knows(CarAttribute::WheelBore, CarAttribute::AxleDiameter) && $this->car->kind(CarAttribute::WheelMount) !== null) {
            $hole = (float) $this->car->number(CarAttribute::WheelBore);
            $fit = $spins ? Fit::ofTurning($this->layout->axles->diameter, $hole) : Fit::ofFixed($this->layout->axles->diameter, $hole);
            if ($fit === Fit::TooThick || $fit === ($spins ? Fit::Snug : Fit::Loose)) {
                $faults[] = Fault::of(
                    match (true) {
                        $fit === Fit::TooThick => 'axle-too-thick-for-the-wheel',
                        $spins => 'wheel-binds',
                        default => 'wheel-slips',
                    },
                    ['axle' => $this->part($this->layout->axles->diameter), 'hole' => $this->part($hole)],
                    $fit === Fit::TooThick,
                    Spot::FrontWheels,
                    'wheel-on-axle',
                );
            }
        }
        foreach ([
            [
                'front', CarAttribute::Track, CarAttribute::BearingLength, CarAttribute::EndPlay, $this->layout->frontGap(),
                $this->layout->axles->frontTrack, Spot::FrontWheels,
            ],
            [
                'rear', CarAttribute::RearTrack, CarAttribute::RearBearingLength, CarAttribute::RearEndPlay, $this->layout->rearGap(),
                $this->layout->axles->rearTrack, Spot::RearWheels,
            ],
        ] as [$which, $track, $bearing, $play, $gap, $trackM, $spot]) {
            if (!$this->knows(CarAttribute::ChassisWidth)) {
                continue;
            }
            $width = $this->layout->body->width;
            $bearingM = $this->car->ofRear($bearing) ?? $this->car->number($bearing);
            $rim = $this->rimReachesIn();
            if ($bearingM !== null && $rim > 0.0 && ($bearingM - $width) / 2 <= $rim + 1e-9) {
                $faults[] = Fault::of(
                    "{$which}-rims-rub",
                    [
                        'rim' => $this->part($rim), 'out' => $this->part(max(0.0, ($bearingM - $width) / 2)), 'cut' => $this->body(
                            $width + 2 * $rim + self::ROOM_FOR_RIMS_M,
                        ),
                    ],
                    true,
                    $spot,
                );
            } elseif ($bearingM !== null
                && $bearingM <= $width + 1e-9
                && ($this->car->ofRear($track) ?? $this->car->number($track)) === null) {
                // Works well with caps whose hollow faces outwards, or with washers.
                $faults[] = Fault::of(
                    "{$which}-bearing-flush",
                    ['bearing' => $this->body($bearingM), 'width' => $this->body($width)],
                    false,
                    $spot,
                );
            } elseif (($this->car->ofRear($track) ?? $this->car->number($track)) !== null) {
                $slack = ($this->car->ofRear($play) ?? $this->car->number($play) ?? 0.0) / 2;
                if ($trackM <= $width + 1e-9) {
                    $faults[] = Fault::of("{$which}-track", ['width' => $this->body($width), 'track' => $this->body($trackM)], true, $spot);
                } elseif ($this->knows(CarAttribute::WheelThickness) && $gap - $slack <= 1e-9) {
                    $faults[] = $gap <= 0.0
                        ? Fault::of(
                            "{$which}-wheels-rub",
                            ['between' => $this->body($trackM - $this->layout->wheels->thickness), 'width' => $this->body($width)],
                            true,
                            $spot,
                        )
                        : Fault::of(
                            "{$which}-wheels-rub-at-one-side",
                            ['gap' => $this->part($gap), 'play' => $this->part(2 * $slack)],
                            true,
                            $spot,
                            "{$which}-wheels-rub",
                        );
                }
            }
        }
        if (
            $this->knows(CarAttribute::Wheelbase, CarAttribute::WheelDiameter)
                && $this->layout->axles->wheelbase <= $this->layout->wheels->diameter
        ) {
            $faults[] = Fault::of(
                'wheels-meet',
                ['wheelbase' => $this->body($this->layout->axles->wheelbase), 'wheel' => $this->part($this->layout->wheels->diameter)],
                true,
                Spot::FrontWheels,
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function chassis(): array
    {
        $faults = [];
        if (
            $this->knows(CarAttribute::Wheelbase, CarAttribute::ChassisLength)
            && $this->layout->axles->wheelbase > $this->layout->body->length
        ) {
            $faults[] = Fault::of(
                'off-the-chassis',
                ['wheelbase' => $this->body($this->layout->axles->wheelbase), 'length' => $this->body($this->layout->body->length)],
                true,
                Spot::Chassis,
            );
        } elseif ($this->knows(CarAttribute::Wheelbase, CarAttribute::ChassisLength, CarAttribute::RearAxlePlace)
            && $this->layout->frontAxle() > $this->layout->body->length) {
            $faults[] = Fault::of(
                'front-axle-off-the-chassis',
                ['by' => $this->body($this->layout->frontAxle() - $this->layout->body->length)],
                true,
                Spot::FrontAxle,
                'off-the-chassis',
            );
        }
        if ($this->knows(CarAttribute::ChassisLength)) {
            [$from, $to] = array_map(
                fn(float $share): float => $share * $this->layout->body->length,
                $this->layout->body->form->axlesBetween(),
            );
            foreach ([
                ['rear', $this->layout->axles->rear, $this->knows(CarAttribute::RearAxlePlace), Spot::RearAxle],
                [
                    'front', $this->layout->frontAxle(),
                    $this->knows(CarAttribute::FrontAxlePlace) || $this->knows(CarAttribute::RearAxlePlace, CarAttribute::Wheelbase),
                    Spot::FrontAxle,
                ],
            ] as [$which, $at, $isKnown, $spot]) {
                if (
                    $isKnown
                    && $faults === []
                    && ($at < $from - 1e-9 || $at > $to + 1e-9)
                    && $at >= 0.0
                    && $at <= $this->layout->body->length
                ) {
                    $faults[] = Fault::of(
                        "{$which}-axle-misses",
                        ['from' => $this->body($from), 'to' => $this->body($to)],
                        true,
                        $spot,
                        'axle-misses',
                    );
                }
            }
        }
        if ($this->knows(CarAttribute::WheelDiameter, CarAttribute::BearingBore) && $this->layout->groundClearance() <= 0.0) {
            $faults[] = Fault::of('no-clearance', [], true, Spot::FrontAxle);
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function balloon(): array
    {
        $faults = [];
        // How high it is held up decides, and nobody knows that from the parts.
        if ($this->knows(CarAttribute::BalloonSize, CarAttribute::WheelDiameter, CarAttribute::NozzleHeight)) {
            $clear = $this->layout->balloonClearance();
            if ($clear <= 0.0) {
                $faults[] = Fault::of('balloon-drags', ['by' => $this->part(-$clear)], true, Spot::Balloon);
            } elseif ($clear < self::CLEAR_OF_THE_FLOOR) {
                $faults[] = Fault::of(
                    'balloon-low',
                    ['by' => $this->part($clear), 'aim' => $this->part(self::CLEAR_OF_THE_FLOOR)],
                    false,
                    Spot::Balloon,
                );
            }
            if ($this->knows(CarAttribute::Track) && $this->layout->wheelClearance() < 0.0) {
                $faults[] = Fault::of('balloon-rubs', [], false, Spot::Balloon);
            }
        }
        if ($this->knows(CarAttribute::NozzleOutside, CarAttribute::NeckWidth) && !$this->knows(CarAttribute::JointWidth)) {
            $outside = $this->car->number(CarAttribute::NozzleOutside) ?? 0.0;
            $neck = $this->car->number(CarAttribute::NeckWidth) ?? 0.0;
            $fit = Fit::inNeck($outside, $neck);
            if ($fit !== Fit::Snug) {
                $faults[] = Fault::of(
                    $fit === Fit::TooThick ? 'tube-too-thick-for-the-neck' : 'neck-is-loose',
                    ['tube' => $this->part($outside), 'neck' => $this->part($neck)],
                    $fit === Fit::TooThick,
                    Spot::Neck,
                    'tube-in-the-neck',
                );
            }
        }
        if ($this->knows(CarAttribute::JointWidth, CarAttribute::NeckWidth)) {
            $joint = $this->car->number(CarAttribute::JointWidth) ?? 0.0;
            $neck = $this->car->number(CarAttribute::NeckWidth) ?? 0.0;
            if ($joint > $neck + 1e-9) {
                $faults[] = Fault::of('joint-too-wide', ['joint' => $this->part($joint), 'neck' => $this->part($neck)], true, Spot::Neck);
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function nozzle(): array
    {
        $faults = [];
        $angle = $this->car->number(CarAttribute::NozzleAngle);
        if ($angle !== null && abs($angle) >= 90.0) {
            $faults[] = Fault::of(abs($angle) > 90.0 ? 'points-forward' : 'points-up-or-down', [], true, Spot::Nozzle, 'points-forward');
        }
        if (
            $this->knows(CarAttribute::WheelDiameter, CarAttribute::NozzleHeight) && $this->layout->nozzleClearance() <= 0.0
        ) {
            $faults[] = Fault::of('nozzle-drags', [], true, Spot::Nozzle);
        }
        $narrower = array_filter(
            [[CarAttribute::NozzleBore, CarAttribute::WiderBore], [CarAttribute::WiderBore, CarAttribute::WidestBore]],
            fn(array $pair): bool => $this->knows(...$pair) && $this->car->number($pair[0]) >= $this->car->number($pair[1]),
        );
        if ($narrower !== []) {
            $faults[] = Fault::of('tubes-out-of-order', [], true, Spot::Nozzle);
        }
        foreach (
            [
                [CarAttribute::NozzleOutside, CarAttribute::WiderBore], [CarAttribute::WiderOutside, CarAttribute::WidestBore],
            ] as [$outside, $bore]
        ) {
            $fit = $this->knows($outside, $bore)
                ? Fit::ofTube((float) $this->car->number($outside), (float) $this->car->number($bore))
                : Fit::Snug;
            if ($fit !== Fit::Snug) {
                $faults[] = Fault::of(
                    $fit === Fit::TooThick ? 'tube-too-thick' : 'tube-is-loose',
                    ['tube' => $this->part((float) $this->car->number($outside)), 'bore' => $this->part((float) $this->car->number($bore))],
                    $fit === Fit::TooThick,
                    Spot::Nozzle,
                    'tube-in-tube',
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function band(): array
    {
        $faults = [];
        $l = $this->layout;
        $runsAlong = $l->bandPassesFreeAxle();
        $space = $l->installedLength();
        $chain = $l->band->chainLength;
        $knowsSpace = $this->knows(CarAttribute::InstalledLength) || $this->knows(CarAttribute::HookPlace, CarAttribute::ChassisLength)
            && (
                $this->knows(CarAttribute::RearAxlePlace)
                || $this->knows(CarAttribute::FrontAxlePlace)
                || $this->knows(CarAttribute::Wheelbase)
            );
        if ($knowsSpace && $runsAlong && !$l->bandClearsFreeAxle()) {
            $faults[] = Fault::of('band-rubs', [], false, $l->band->driven === DrivenEnd::Rear ? Spot::FrontAxle : Spot::RearAxle);
        }
        if ($knowsSpace && $chain !== null && $chain > self::CHAIN_TOO_LONG * $space) {
            $faults[] = Fault::of('chain-too-long', ['chain' => $this->body($chain), 'space' => $this->body($space)], false, Spot::Band);
        }
        if ($knowsSpace && $chain !== null && $space > ElasticBand::GREATEST_STRETCH * $chain) {
            $faults[] = Fault::of('chain-too-short', ['chain' => $this->body($chain), 'space' => $this->body($space)], true, Spot::Band);
        }
        if ($knowsSpace && $chain !== null && $l->band->turns !== null) {
            $stretch = ($space + $l->woundM()) / $chain;
            if ($stretch > self::NEAR_SNAPPING) {
                $faults[] = Fault::of(
                    'wound-too-far',
                    ['count' => $this->turnsAt(self::NEAR_SNAPPING, $chain, $space)],
                    $stretch > ElasticBand::GREATEST_STRETCH,
                    Spot::Band,
                );
            }
        }
        if (BandEnd::tryFrom($this->car->kind(CarAttribute::BandEnd) ?? '') === BandEnd::Tied) {
            $faults[] = Fault::of('band-tied', [], false, $l->band->driven === DrivenEnd::Rear ? Spot::RearAxle : Spot::FrontAxle);
        }
        if (
            $this->knows(CarAttribute::HookPlace)
            && $this->car->number(CarAttribute::HookPlace) < self::HOOK_FROM_THE_EDGE
            && !$l->body->form->isPierced()
        ) {
            $faults[] = Fault::of(
                'hook-pulls-out',
                [
                    'place' => $this->part((float) $this->car->number(CarAttribute::HookPlace)),
                    'aim' => $this->part(self::HOOK_FROM_THE_EDGE),
                ],
                false,
                Spot::Hook,
            );
        }
        if ($this->knows(CarAttribute::Track) && $l->band->hookOffset > self::HOOK_BESIDE * $l->axles->rearTrack) {
            $faults[] = Fault::of('hook-to-one-side', ['offset' => $this->part($l->band->hookOffset)], false, Spot::Hook);
        }
        if ($this->car->kind(CarAttribute::WheelMount) === WheelMount::Spinning->value) {
            $faults[] = Fault::of(
                'driven-wheels-spin',
                [],
                true,
                $l->band->driven === DrivenEnd::Rear ? Spot::RearWheels : Spot::FrontWheels,
            );
        }

        return $faults;
    }

    /** Whole turns that stretch a chain so far. */
    private function turnsAt(float $stretch, float $chain, float $space): int
    {
        return (int) floor(
            max(0.0, $stretch * $chain - $space) / (M_PI * ($this->layout->band->windingDiameter + $this->layout->band->thickness)),
        );
    }

    /** How thick a wheel is at its hub (m), as recorded or as its kind has it; null where neither says. */
    private function hub(): ?float
    {
        return $this->car->number(CarAttribute::WheelHub) !== null || $this->isListed ? $this->layout->wheels->hubThickness : null;
    }

    /** By how much the rim of a wheel whose hollow faces the car reaches in beyond its hub (m); 0 for others. */
    private function rimReachesIn(): float
    {
        return $this->car->kind(CarAttribute::WheelHollow) === Hollow::Inwards->value
            && $this->knows(CarAttribute::WheelThickness)
            && $this->hub() !== null
            ? max(0.0, $this->layout->wheels->thickness - $this->layout->wheels->hubThickness) : 0.0;
    }

    private function knows(CarAttribute ...$choices): bool
    {
        return array_filter($choices, fn(CarAttribute $choice): bool => $this->car->number($choice) === null) === [];
    }

    private function part(float $metres): Shown
    {
        return new Shown($metres, Scale::Part);
    }

    private function body(float $metres): Shown
    {
        return new Shown($metres, Scale::Body);
    }
}
