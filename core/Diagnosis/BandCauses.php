<?php

declare(strict_types=1);

namespace Skivo\Core\Diagnosis;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Attribute\WheelHold;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\ElasticDesign;

/** What goes wrong with a wound band: common practice, no source; the figures are computed. */
final readonly class BandCauses
{
    /** A hook farther beside the middle than this share of the track pulls to a side. Common practice, no source. */
    private const BESIDE_THE_MIDDLE = 0.1;

    /** A chain longer than its space by more than this takes turns that pull nothing (share of the space). */
    private const TOO_LONG = 1.05;

    /** Nobody winds fewer than this without noticing that it does little. */
    private const FEW_TURNS = 6.0;

    /** Null where chain and turns are not known, or the model does not compute with them, so that no figure of them may be said. */
    private ?ElasticDesign $design;

    /** @param string $basis what the car's forces are known from: "parts" or "bench" */
    public function __construct(
        private Car $car,
        private Layout $layout,
        private ?CarModel $model,
        private string $basis,
    ) {
        $this->design = $model?->missing === [] ? $model->settings->elasticDesign() : null;
    }

    /** @return list<Cause> */
    public function wheelsSpin(): array
    {
        $slips = $this->design?->slipsAtFirst() === true;
        $ballast = $slips ? $this->design->ballastToHoldKg() : null;
        $turns = $slips ? $this->design->turnsThatHold() : null;
        $tyre = Tyre::tryFrom($this->car->kind(CarAttribute::Tyre) ?? '') ?? Tyre::None;

        return [
            new Cause(
                'too_little_weight',
                $this->design === null ? Likelihood::Possible : ($slips ? Likelihood::Shown : Likelihood::Unlikely),
                found: $this->grip(),
                cure
                    : $ballast === null
                    ? null
                    : new Remark("diagnosis.ballast_{$this->basis}", ['ballast' => new Shown($ballast, Scale::Weight)]),
            ),
            new Cause('smooth_rims', match (true) {
                $tyre !== Tyre::None => Likelihood::Unlikely,
                $slips => Likelihood::Hinted,
                default => Likelihood::Possible,
            }, cure: $this->withRubber($slips)),
            new Cause(
                'too_many_turns',
                $slips ? Likelihood::Hinted : Likelihood::Possible,
                cure
                    : $turns === null
                    ? null
                    : new Remark("diagnosis.turns_that_hold_{$this->basis}", ['turns' => max(1, (int) floor($turns))]),
            ),
            $this->loosened(),
        ];
    }

    /** @return list<Cause> */
    public function brakes(): array
    {
        $end = BandEnd::tryFrom($this->car->kind(CarAttribute::BandEnd) ?? '');

        return [
            new Cause('band_tied', match ($end) {
                BandEnd::Tied => Likelihood::Shown,
                BandEnd::Free => Likelihood::Unlikely,
                null => Likelihood::Possible,
            }),
            new Cause('knot_catches', $end === BandEnd::Free ? Likelihood::Hinted : Likelihood::Possible),
            $this->rubsOnAxle(),
        ];
    }

    /** @return list<Cause> */
    public function slack(): array
    {
        return [$this->tooLong(), new Cause('hook_gives'), $this->rubsOnAxle()];
    }

    /** @return list<Cause> */
    public function doesNotStart(): array
    {
        $push = $this->design === null ? 0.0 : $this->design->bandForceN() * $this->design->drive->gear();
        $settings = $this->model?->settings;
        $needed = $settings === null
            ? 0.0
            : $settings->rollingCoefficient() * $settings->get(CarAttribute::BreakawayRatio) * Constants::GRAVITY_M_S2;
        $could = $needed > 0.0 ? $push / $needed : INF;
        $mass = $settings?->get(CarAttribute::Mass) ?? 0.0;
        $forces = $this->design === null ? null : new Remark(
            "diagnosis.found.forces_{$this->basis}",
            ['push' => round(1000 * $push), 'needed' => round(1000 * $needed * $mass)],
        );

        return [
            $this->tooLong(),
            $this->fewTurns(),
            new Cause(
                'too_heavy_for_band',
                match (true) {
                    $this->design === null => Likelihood::Possible,
                    $mass > $could => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $forces,
                cure
                    : $this->design !== null && is_finite($could)
                    ? new Remark("diagnosis.starts_below_{$this->basis}", ['mass' => new Shown($could, Scale::Weight)])
                    : null,
            ),
            $this->wheelsSpin()[0],
        ];
    }

    public function fewTurns(): Cause
    {
        $turns = $this->car->number(CarAttribute::TurnsWound);

        return new Cause(
            'few_turns',
            $turns === null ? Likelihood::Possible : ($turns < self::FEW_TURNS ? Likelihood::Hinted : Likelihood::Unlikely),
            found: $turns === null ? null : new Remark('diagnosis.found.wound', ['turns' => (int) $turns]),
            cure: $this->design === null || $this->model === null ? null
                : new Remark('diagnosis.most_turns', ['turns' => (int) floor($this->model->settings->greatestTurns() / 2)]),
        );
    }

    public function hookToOneSide(): Cause
    {
        $offset = $this->car->number(CarAttribute::HookOffset);

        return new Cause(
            'hook_to_one_side',
            match (true) {
                $offset === null => Likelihood::Possible,
                $offset > self::BESIDE_THE_MIDDLE * $this->layout->axles->rearTrack => Likelihood::Shown,
                default => Likelihood::Unlikely,
            },
            found: $offset === null ? null : new Remark('diagnosis.found.hook_offset', ['offset' => new Shown($offset, Scale::Part)]),
        );
    }

    public function loosened(): Cause
    {
        return new Cause(
            'loosened_by_winding',
            $this->car->kind(CarAttribute::WheelHold) === WheelHold::TightHole->value ? Likelihood::Hinted : Likelihood::Possible,
        );
    }

    private function tooLong(): Cause
    {
        $chain = $this->car->chainLengthM();
        $space = $this->layout->installedLength();
        $slackTurns = $chain === null || $chain <= $space
            ? 0.0
            : ($chain - $space) / ($this->model?->settings->elasticDesign()->drive->woundM(1.0) ?? INF);

        return new Cause(
            'chain_too_long',
            match (true) {
                $chain === null => Likelihood::Possible,
                $chain > self::TOO_LONG * $space => Likelihood::Shown,
                default => Likelihood::Unlikely,
            },
            found: $chain === null ? null : new Remark($slackTurns > 0.0 ? 'diagnosis.found.chain_longer' : 'diagnosis.found.chain', [
                'chain' => new Shown($chain, Scale::Body), 'space' => new Shown($space, Scale::Body), 'count' => (int) ceil($slackTurns),
            ]),
        );
    }

    private function rubsOnAxle(): Cause
    {
        return new Cause('band_rubs_axle', $this->layout->bandPassesFreeAxle() ? Likelihood::Hinted : Likelihood::Unlikely);
    }

    /** What the driven rims need of the floor, and what it gives. */
    private function grip(): ?Remark
    {
        return $this->design === null ? null : new Remark("diagnosis.found.grip_{$this->basis}", [
            'needed' => round(1000 * $this->design->neededOfFloorN()),
            'holds' => round(1000 * $this->design->floorHoldsN()),
            'load' => new Shown($this->design->drivenLoadN() / Constants::GRAVITY_M_S2, Scale::Weight),
        ]);
    }

    /** What rubber on the rims would do, where they slip without. */
    private function withRubber(bool $slips): ?Remark
    {
        if (!$slips || $this->model === null) {
            return null;
        }
        $rubber = $this->model->settings->with(CarAttribute::Grip, Tyre::RubberBand->grip() ?? 0.0)->elasticDesign();

        return new Remark($rubber->slipsAtFirst() ? 'diagnosis.rubber_helps' : 'diagnosis.rubber_holds', [
            'holds' => round(1000 * $rubber->floorHoldsN()), 'needed' => round(1000 * $rubber->neededOfFloorN()),
        ]);
    }
}
