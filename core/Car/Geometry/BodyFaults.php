<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;

/** What cannot work on the chassis of a car, its balloon and its nozzle. */
final readonly class BodyFaults
{
    /** Less than this under the full balloon and the floor's bumps touch it. Common practice, no source. */
    private const CLEAR_OF_THE_FLOOR = 0.01;

    public function __construct(private Measures $measures) {}

    /** @return list<Fault> */
    public function all(): array
    {
        return [...$this->chassis(), ...($this->measures->car->blows() ? [...$this->balloon(), ...$this->nozzle()] : [])];
    }

    /** @return list<Fault> */
    private function chassis(): array
    {
        $faults = [];
        if (
            $this->measures->knows(CarAttribute::Wheelbase, CarAttribute::ChassisLength)
            && $this->measures->layout->axles->wheelbase > $this->measures->layout->body->length
        ) {
            $faults[] = Fault::of(
                'off-the-chassis',
                [
                    'wheelbase' => $this->measures->body($this->measures->layout->axles->wheelbase),
                    'length' => $this->measures->body($this->measures->layout->body->length),
                ],
                true,
                Spot::Chassis,
            );
        } elseif ($this->measures->knows(CarAttribute::Wheelbase, CarAttribute::ChassisLength, CarAttribute::RearAxlePlace)
            && $this->measures->layout->frontAxle() > $this->measures->layout->body->length) {
            $faults[] = Fault::of(
                'front-axle-off-the-chassis',
                ['by' => $this->measures->body($this->measures->layout->frontAxle() - $this->measures->layout->body->length)],
                true,
                Spot::FrontAxle,
                'off-the-chassis',
            );
        }
        if ($this->measures->knows(CarAttribute::ChassisLength)) {
            [$from, $to] = array_map(
                fn(float $share): float => $share * $this->measures->layout->body->length,
                $this->measures->layout->body->form->axlesBetween(),
            );
            foreach ([
                ['rear', $this->measures->layout->axles->rear, $this->measures->knows(CarAttribute::RearAxlePlace), Spot::RearAxle],
                [
                    'front', $this->measures->layout->frontAxle(),
                    $this->measures->knows(CarAttribute::FrontAxlePlace)
                        || $this->measures->knows(CarAttribute::RearAxlePlace, CarAttribute::Wheelbase),
                    Spot::FrontAxle,
                ],
            ] as [$which, $at, $isKnown, $spot]) {
                if (
                    $isKnown
                    && $faults === []
                    && ($at < $from - 1e-9 || $at > $to + 1e-9)
                    && $at >= 0.0
                    && $at <= $this->measures->layout->body->length
                ) {
                    $faults[] = Fault::of(
                        "{$which}-axle-misses",
                        ['from' => $this->measures->body($from), 'to' => $this->measures->body($to)],
                        true,
                        $spot,
                        'axle-misses',
                    );
                }
            }
        }
        if (
            $this->measures->knows(CarAttribute::WheelDiameter, CarAttribute::BearingBore)
            && $this->measures->layout->groundClearance() <= 0.0
        ) {
            $faults[] = Fault::of('no-clearance', [], true, Spot::FrontAxle);
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function balloon(): array
    {
        $faults = [];
        // How high it is held up decides, and nobody knows that from the parts.
        if ($this->measures->knows(CarAttribute::BalloonSize, CarAttribute::WheelDiameter, CarAttribute::NozzleHeight)) {
            $clear = $this->measures->layout->balloonClearance();
            if ($clear <= 0.0) {
                $faults[] = Fault::of('balloon-drags', ['by' => $this->measures->part(-$clear)], true, Spot::Balloon);
            } elseif ($clear < self::CLEAR_OF_THE_FLOOR) {
                $faults[] = Fault::of(
                    'balloon-low',
                    ['by' => $this->measures->part($clear), 'aim' => $this->measures->part(self::CLEAR_OF_THE_FLOOR)],
                    false,
                    Spot::Balloon,
                );
            }
            if ($this->measures->knows(CarAttribute::Track) && $this->measures->layout->wheelClearance() < 0.0) {
                $faults[] = Fault::of('balloon-rubs', [], false, Spot::Balloon);
            }
        }
        if (
            $this->measures->knows(CarAttribute::NozzleOutside, CarAttribute::NeckWidth)
            && !$this->measures->knows(CarAttribute::JointWidth)
        ) {
            $outside = $this->measures->car->number(CarAttribute::NozzleOutside) ?? 0.0;
            $neck = $this->measures->car->number(CarAttribute::NeckWidth) ?? 0.0;
            $fit = Fit::inNeck($outside, $neck);
            if ($fit !== Fit::Snug) {
                $faults[] = Fault::of(
                    $fit === Fit::TooThick ? 'tube-too-thick-for-the-neck' : 'neck-is-loose',
                    ['tube' => $this->measures->part($outside), 'neck' => $this->measures->part($neck)],
                    $fit === Fit::TooThick,
                    Spot::Neck,
                    'tube-in-the-neck',
                );
            }
        }
        if ($this->measures->knows(CarAttribute::JointWidth, CarAttribute::NeckWidth)) {
            $joint = $this->measures->car->number(CarAttribute::JointWidth) ?? 0.0;
            $neck = $this->measures->car->number(CarAttribute::NeckWidth) ?? 0.0;
            if ($joint > $neck + 1e-9) {
                $faults[] = Fault::of(
                    'joint-too-wide',
                    ['joint' => $this->measures->part($joint), 'neck' => $this->measures->part($neck)],
                    true,
                    Spot::Neck,
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function nozzle(): array
    {
        $faults = [];
        $angle = $this->measures->car->number(CarAttribute::NozzleAngle);
        if ($angle !== null && abs($angle) >= 90.0) {
            $faults[] = Fault::of(abs($angle) > 90.0 ? 'points-forward' : 'points-up-or-down', [], true, Spot::Nozzle, 'points-forward');
        }
        if (
            $this->measures->knows(CarAttribute::WheelDiameter, CarAttribute::NozzleHeight)
                && $this->measures->layout->nozzleClearance() <= 0.0
        ) {
            $faults[] = Fault::of('nozzle-drags', [], true, Spot::Nozzle);
        }
        $narrower = array_filter(
            [[CarAttribute::NozzleBore, CarAttribute::WiderBore], [CarAttribute::WiderBore, CarAttribute::WidestBore]],
            fn(array $pair): bool => $this->measures->knows(...$pair)
                && $this->measures->car->number($pair[0]) >= $this->measures->car->number($pair[1]),
        );
        if ($narrower !== []) {
            $faults[] = Fault::of('tubes-out-of-order', [], true, Spot::Nozzle);
        }
        foreach (
            [
                [CarAttribute::NozzleOutside, CarAttribute::WiderBore], [CarAttribute::WiderOutside, CarAttribute::WidestBore],
            ] as [$outside, $bore]
        ) {
            $fit = $this->measures->knows($outside, $bore)
                ? Fit::ofTube((float) $this->measures->car->number($outside), (float) $this->measures->car->number($bore))
                : Fit::Snug;
            if ($fit !== Fit::Snug) {
                $faults[] = Fault::of(
                    $fit === Fit::TooThick ? 'tube-too-thick' : 'tube-is-loose',
                    [
                        'tube' => $this->measures->part((float) $this->measures->car->number($outside)),
                        'bore' => $this->measures->part((float) $this->measures->car->number($bore)),
                    ],
                    $fit === Fit::TooThick,
                    Spot::Nozzle,
                    'tube-in-tube',
                );
            }
        }

        return $faults;
    }
}
