<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\DrivenEnd;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\ElasticBand;
use Skivo\Core\Physics\WheelMount;

/** What cannot work on the band of a car. */
final readonly class BandFaults
{
    /**
     * A chain this much longer than its space hangs, one stretched so many times is near snapping, and a hook closer to the edge than this
     * pulls out (m). Common practice, no source.
     */
    private const CHAIN_TOO_LONG = 1.05;
    private const NEAR_SNAPPING = 5.0;
    private const HOOK_FROM_THE_EDGE = 0.004;

    /** Farther beside the middle than this share of the track a hook pulls to a side. Common practice, no source. */
    private const HOOK_BESIDE = 0.1;

    public function __construct(private Measures $measures) {}

    /** @return list<Fault> */
    public function all(): array
    {
        $faults = [];
        $l = $this->measures->layout;
        $runsAlong = $l->bandPassesFreeAxle();
        $space = $l->installedLength();
        $chain = $l->band->chainLength;
        $knowsSpace = $this->measures->knows(CarAttribute::InstalledLength)
            || $this->measures->knows(CarAttribute::HookPlace, CarAttribute::ChassisLength)
            && (
                $this->measures->knows(CarAttribute::RearAxlePlace)
                || $this->measures->knows(CarAttribute::FrontAxlePlace)
                || $this->measures->knows(CarAttribute::Wheelbase)
            );
        if ($knowsSpace && $runsAlong && !$l->bandClearsFreeAxle()) {
            $faults[] = Fault::of('band-rubs', [], false, $l->band->driven === DrivenEnd::Rear ? Spot::FrontAxle : Spot::RearAxle);
        }
        if ($knowsSpace && $chain !== null && $chain > self::CHAIN_TOO_LONG * $space) {
            $faults[] = Fault::of(
                'chain-too-long',
                ['chain' => $this->measures->body($chain), 'space' => $this->measures->body($space)],
                false,
                Spot::Band,
            );
        }
        if ($knowsSpace && $chain !== null && $space > ElasticBand::GREATEST_STRETCH * $chain) {
            $faults[] = Fault::of(
                'chain-too-short',
                ['chain' => $this->measures->body($chain), 'space' => $this->measures->body($space)],
                true,
                Spot::Band,
            );
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
        if (BandEnd::tryFrom($this->measures->car->kind(CarAttribute::BandEnd) ?? '') === BandEnd::Tied) {
            $faults[] = Fault::of('band-tied', [], false, $l->band->driven === DrivenEnd::Rear ? Spot::RearAxle : Spot::FrontAxle);
        }
        if (
            $this->measures->knows(CarAttribute::HookPlace)
            && $this->measures->car->number(CarAttribute::HookPlace) < self::HOOK_FROM_THE_EDGE
            && !$l->body->form->isPierced()
        ) {
            $faults[] = Fault::of(
                'hook-pulls-out',
                [
                    'place' => $this->measures->part((float) $this->measures->car->number(CarAttribute::HookPlace)),
                    'aim' => $this->measures->part(self::HOOK_FROM_THE_EDGE),
                ],
                false,
                Spot::Hook,
            );
        }
        if ($this->measures->knows(CarAttribute::Track) && $l->band->hookOffset > self::HOOK_BESIDE * $l->axles->rearTrack) {
            $faults[] = Fault::of('hook-to-one-side', ['offset' => $this->measures->part($l->band->hookOffset)], false, Spot::Hook);
        }
        if ($this->measures->car->kind(CarAttribute::WheelMount) === WheelMount::Spinning->value) {
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
            max(0.0, $stretch * $chain - $space) / (
                M_PI * ($this->measures->layout->band->windingDiameter + $this->measures->layout->band->thickness)
            ),
        );
    }
}
