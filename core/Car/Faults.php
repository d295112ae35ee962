<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Hollow;

/**
 * What cannot work on a car, from its recorded measures and geometry. A fault is only found where the measures
 * that it rests on were recorded: nothing is held against a car for what the parts list assumes.
 */
final readonly class Faults
{
    /** Less than this under the full balloon and the floor's bumps touch it. Common practice, no source. */
    private const CLEAR_OF_THE_FLOOR = 0.01;

    private Layout $layout;

    /** Whether the parts list knows the kind of the car's wheels. */
    private bool $isListed;

    public function __construct(
        private Car $car,
        private UnitSystem $units,
        Catalogue $catalogue,
        Kit $kit = new Kit(),
    ) {
        $this->layout = Layout::of($car, $catalogue, $kit);
        $this->isListed = $catalogue->named(PartKind::Wheel, $car->kind(Choice::WheelKind)) !== null;
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return [...$this->axles(), ...$this->wheels(), ...$this->chassis(), ...$this->balloon(), ...$this->nozzle()];
    }

    /** @return list<Fault> */
    private function axles(): array
    {
        $faults = [];
        if ($this->knows(Choice::AxleDiameter, Choice::BearingBore) && $this->layout->axleDiameter >= $this->layout->bearingBore) {
            $faults[] = new Fault('axle-too-thick', "The axle ({$this->part($this->layout->axleDiameter)}) is as thick as the bearing’s bore ({$this->part($this->layout->bearingBore)}) or thicker: it cannot turn. Use a thinner axle or a wider straw.", true, Spot::FrontAxle);
        }
        foreach ([
            ['front', Choice::AxleLength, Choice::BearingLength, $this->layout->frontAxleLength, $this->layout->frontBearing, Spot::FrontAxle],
            ['rear', Choice::RearAxleLength, Choice::RearBearingLength, $this->layout->rearAxleLength, $this->layout->rearBearing, Spot::RearAxle],
        ] as [$which, $axle, $bearing, $has, $bearingM, $spot]) {
            if ($this->car->ofRear($axle) === null || $this->car->ofRear($bearing) === null || ($hub = $this->hub()) === null) {
                continue;
            }
            $needs = $bearingM + 2 * $hub;
            if ($has <= $needs + 1e-9) {
                $faults[] = new Fault("{$which}-axle-too-short", "The {$which} axle ({$this->body($has)}) is too short: bearing and both wheels, at the hub, alone take {$this->body($needs)}. Cut one of {$this->body($needs + 0.0015 + 0.006)}.", true, $spot);
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function wheels(): array
    {
        $faults = [];
        foreach ([
            ['front', Choice::Track, Choice::BearingLength, Choice::EndPlay, $this->layout->frontGap(), $this->layout->frontTrack, Spot::FrontWheels],
            ['rear', Choice::RearTrack, Choice::RearBearingLength, Choice::RearEndPlay, $this->layout->rearGap(), $this->layout->rearTrack, Spot::RearWheels],
        ] as [$which, $track, $bearing, $play, $gap, $trackM, $spot]) {
            if (!$this->knows(Choice::ChassisWidth)) {
                continue;
            }
            $width = $this->layout->chassisWidth;
            $bearingM = $this->car->ofRear($bearing) ?? $this->car->number($bearing);
            $rim = $this->rimReachesIn();
            if ($bearingM !== null && $rim > 0.0 && ($bearingM - $width) / 2 <= $rim + 1e-9) {
                $faults[] = new Fault("{$which}-rims-rub", "The {$which} wheels’ hollow faces the car, so their rims reach {$this->part($rim)} in beyond the hub; the bearing stands out by only {$this->part(max(0.0, ($bearingM - $width) / 2))} on each side. Turn the hollow outwards, or cut a bearing of {$this->body($width + 2 * $rim + 0.004)}.", true, $spot);
            } elseif ($bearingM !== null && $bearingM <= $width + 1e-9 && ($this->car->ofRear($track) ?? $this->car->number($track)) === null) {
                // Works well with caps whose hollow faces outwards, or with washers.
                $faults[] = new Fault("{$which}-bearing-flush", "The {$which} bearing ({$this->body($bearingM)}) does not stand out beyond the chassis ({$this->body($width)}), so a wheel may lean against it. Watch that they turn freely; a washer or a hub that stands clear helps.", false, $spot);
            } elseif (($this->car->ofRear($track) ?? $this->car->number($track)) !== null) {
                $slack = ($this->car->ofRear($play) ?? $this->car->number($play) ?? 0.0) / 2;
                if ($trackM <= $width + 1e-9) {
                    $faults[] = new Fault("{$which}-track", "The chassis ({$this->body($width)}) is wider than the {$which} track ({$this->body($trackM)}). Make it narrower, or the axle longer.", true, $spot);
                } elseif ($this->knows(Choice::WheelThickness) && $gap - $slack <= 1e-9) {
                    $faults[] = new Fault("{$which}-wheels-rub", $gap <= 0.0
                        ? "The {$which} wheels rub on the chassis: the track leaves {$this->body($trackM - $this->layout->wheelThickness)} between them, and the chassis is {$this->body($width)} wide."
                        : "The {$which} wheels rub on the chassis when the axle slides to one side: there are {$this->part($gap)} on each side and the end play is {$this->part(2 * $slack)}.", true, $spot);
                }
            }
        }
        if ($this->knows(Choice::Wheelbase, Choice::WheelDiameter) && $this->layout->wheelbase <= $this->layout->wheelDiameter) {
            $faults[] = new Fault('wheels-meet', "Front and rear wheels touch: the wheelbase ({$this->body($this->layout->wheelbase)}) is no longer than a wheel is across ({$this->part($this->layout->wheelDiameter)}).", true, Spot::FrontWheels);
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function chassis(): array
    {
        $faults = [];
        if ($this->knows(Choice::Wheelbase, Choice::ChassisLength) && $this->layout->wheelbase > $this->layout->chassisLength) {
            $faults[] = new Fault('off-the-chassis', "The axles don’t fit on the chassis: the wheelbase is {$this->body($this->layout->wheelbase)}, the chassis {$this->body($this->layout->chassisLength)} long.", true, Spot::Chassis);
        } elseif ($this->knows(Choice::Wheelbase, Choice::ChassisLength, Choice::RearAxlePlace) && $this->layout->frontAxle() > $this->layout->chassisLength) {
            $faults[] = new Fault('off-the-chassis', "The front axle lies {$this->body($this->layout->frontAxle() - $this->layout->chassisLength)} in front of the chassis. Check where the rear axle is.", true, Spot::FrontAxle);
        }
        if ($this->knows(Choice::WheelDiameter, Choice::BearingBore) && $this->layout->groundClearance() <= 0.0) {
            $faults[] = new Fault('no-clearance', 'The bearings touch the floor: the wheels are too small for them.', true, Spot::FrontAxle);
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function balloon(): array
    {
        $faults = [];
        if ($this->knows(Choice::BalloonSize, Choice::WheelDiameter)) {
            $clear = $this->layout->balloonClearance();
            if ($clear <= 0.0) {
                $faults[] = new Fault('balloon-drags', "At full size the balloon drags on the floor: its underside would be {$this->part(-$clear)} below it. Raise the nozzle, move the balloon back over the chassis, or fill it less.", true, Spot::Balloon);
            } elseif ($clear < self::CLEAR_OF_THE_FLOOR) {
                $faults[] = new Fault('balloon-low', "At full size the balloon clears the floor by only {$this->part($clear)}. Aim for {$this->part(self::CLEAR_OF_THE_FLOOR)} or more.", false, Spot::Balloon);
            }
            if ($this->layout->wheelClearance() < 0.0) {
                $faults[] = new Fault('balloon-rubs', 'At full size the balloon touches the wheels. Raise it, or fill it less.', false, Spot::Balloon);
            }
        }
        if ($this->knows(Choice::JointWidth, Choice::NeckWidth)) {
            $joint = $this->car->number(Choice::JointWidth) ?? 0.0;
            $neck = $this->car->number(Choice::NeckWidth) ?? 0.0;
            if ($joint > $neck + 1e-9) {
                $faults[] = new Fault('joint-too-wide', "The joint ({$this->part($joint)}) is wider than the balloon’s neck ({$this->part($neck)}): the balloon flies off. Use a thinner tube at the neck, or fewer straws.", true, Spot::Neck);
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function nozzle(): array
    {
        $faults = [];
        $angle = $this->car->number(Choice::NozzleAngle);
        if ($angle !== null && abs($angle) >= 90.0) {
            $faults[] = new Fault('points-forward', abs($angle) > 90.0
                ? 'The nozzle points forward: the jet would push the car back. Turn it to the rear.'
                : 'The nozzle points straight up or down: the jet does not push the car along. Turn it to the rear.', true, Spot::Nozzle);
        }
        if ($this->knows(Choice::WheelDiameter) && ($this->knows(Choice::NozzleHeight) || ($angle ?? 0.0) > 0.0) && $this->layout->nozzleClearance() <= 0.0) {
            $faults[] = new Fault('nozzle-drags', 'The nozzle’s end drags on the floor. Raise it, shorten what sticks out, or point it down less.', true, Spot::Nozzle);
        }
        $narrower = array_filter([[Choice::NozzleBore, Choice::WiderBore], [Choice::WiderBore, Choice::WidestBore]], fn(array $pair): bool => $this->knows(...$pair) && $this->car->number($pair[0]) >= $this->car->number($pair[1]));
        if ($narrower !== []) {
            $faults[] = new Fault('tubes-out-of-order', 'The tubes don’t fit into each other: each one towards the balloon must be wider than the one behind it.', true, Spot::Nozzle);
        }

        return $faults;
    }

    /** How thick a wheel is at its hub (m), as recorded or as its kind has it; null where neither says. */
    private function hub(): ?float
    {
        return $this->car->number(Choice::WheelHub) !== null || $this->isListed ? $this->layout->hubThickness : null;
    }

    /** By how much the rim of a wheel whose hollow faces the car reaches in beyond its hub (m); 0 for others. */
    private function rimReachesIn(): float
    {
        return $this->car->kind(Choice::WheelHollow) === Hollow::Inwards->value && $this->knows(Choice::WheelThickness) && $this->hub() !== null
            ? max(0.0, $this->layout->wheelThickness - $this->layout->hubThickness) : 0.0;
    }

    private function knows(Choice ...$choices): bool
    {
        return array_filter($choices, fn(Choice $choice): bool => $this->car->number($choice) === null) === [];
    }

    private function part(float $metres): string
    {
        return $this->units->show($metres, Scale::Part);
    }

    private function body(float $metres): string
    {
        return $this->units->show($metres, Scale::Body);
    }
}
