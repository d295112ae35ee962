<?php

declare(strict_types=1);

namespace Skivo\Core\Diagnosis;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Geometry\MassSum;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Physics\Steering;
use Skivo\Core\Physics\WheelMount;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;

/**
 * What could be behind something that was seen, ranked by what the car's own measures and checks say, with what to
 * measure and what to do. The table of causes and cures is common practice, no source; the figures are computed.
 */
final readonly class Diagnosis
{
    /** Less room than this around an axle and it binds; more and it rattles. Common practice, no source. */
    private const LEAST_ROOM_M = 0.0005;
    private const GREATEST_ROOM_M = 0.003;

    /** Three or four turns hold a neck; more squeeze a straw. Common practice, no source. */
    private const FEWEST_TURNS = 3;
    private const MOST_TURNS = 4;

    /** Filled beyond this share of its nominal size a balloon is near bursting. Common practice, no source. */
    private const NEAR_BURSTING = 0.9;

    /** An axle slides by one to two millimetres where it runs well; beyond four it is loose (m). Common practice, no source. */
    private const LEAST_END_PLAY_M = 0.001;
    private const GOOD_END_PLAY_M = 0.0015;
    private const GREATEST_END_PLAY_M = 0.002;
    private const LOOSE_END_PLAY_M = 0.004;

    /** How deep a tube sits in a neck, and how far a full balloon clears the floor (m). Common practice, no source. */
    private const JOINT_DEPTH_M = 0.025;
    private const CLEAR_OF_THE_FLOOR_M = 0.01;

    /** Narrower bores (m), heavier cars (kg) and thicker axles (of the wheel) are worth a look. Common practice, no source. */
    private const NARROW_BORE_M = 0.005;
    private const HEAVY_KG = 0.09;
    private const THICK_AXLE = 0.12;

    /** Axles that steer by this share of what the drift asks for explain it. */
    private const EXPLAINS = 0.4;

    /** From this share of the mass that could just start, a car is nearly too heavy. */
    private const NEARLY_TOO_HEAVY = 0.6;

    private Layout $layout;

    /** Null where the model can say nothing of the car. */
    private ?CarModel $model;

    /** What its forces are known from: "parts", or "bench" where something of them was measured. */
    private string $basis;

    /** @param CarModel|null $model with what the bench measured; from the parts, as far as the model can say anything of them, where null */
    public function __construct(
        private Car $car,
        private CheckCard $card,
        private Catalogue $catalogue,
        private ?string $surface = null,
        Kit $kit = new Kit(),
        ?CarModel $model = null,
    ) {
        $this->layout = Layout::of($car, $catalogue, $kit);
        try {
            $this->model = $model ?? CarModel::of($car, $catalogue, $surface);
        } catch (BeyondModelException) {
            $this->model = null;
        }
        $measured = array_filter(
            [
                CarAttribute::RollingCoefficient, CarAttribute::BalloonPressure, CarAttribute::BandStiffness, CarAttribute::Grip,
                CarAttribute::DrivenLoadShare,
            ],
            fn(CarAttribute $setting): bool => ($this->model->origins[$setting->value] ?? null) === Origin::Measured,
        );
        $this->basis = $measured === [] ? 'parts' : 'bench';
    }

    /**
     * @param float|null $driftM to the left of the line; below zero to the right: for a car that veers
     * @param float|null $overM after which distance it was so far off
     *
     * @return list<Cause> likeliest first
     */
    public function of(Symptom $symptom, ?float $driftM = null, ?float $overM = null): array
    {
        $causes = match ($symptom) {
            Symptom::Veers => $this->veers($driftM, $overM),
            Symptom::Wobbles => $this->wobbles(),
            Symptom::WheelsStop => $this->wheelsStop(),
            Symptom::Wanders => $this->wanders(),
            Symptom::DoesNotStart => $this->doesNotStart(),
            Symptom::Hisses => $this->hisses(),
            Symptom::BalloonOff => $this->balloonOff(),
            Symptom::AirTooSlow => $this->airTooSlow(),
            Symptom::BalloonDrags => $this->balloonDrags(),
            Symptom::WheelOff => $this->wheelOff(),
            Symptom::TipsOver => [
                new Cause('too_tall', $this->byCheck(CheckItem::Height)), new Cause('load_to_one_side'), new Cause('track_too_narrow'),
            ],
            Symptom::PartOff => [
                new Cause('not_stuck_firmly', $this->byCheck(CheckItem::Firm)), new Cause('glue_not_set'), new Cause('knocked_off'),
            ],
            Symptom::ShortRun => $this->shortRun(),
            Symptom::Bursts => $this->bursts(),
            Symptom::Moist => [new Cause('filled_by_mouth')],
            Symptom::WheelsSpin => $this->band()->wheelsSpin(),
            Symptom::BandBrakes => $this->band()->brakes(),
            Symptom::BandSlack => $this->band()->slack(),
        };
        // Stable: causes that nothing tells apart keep the order in which they usually turn out true.
        usort($causes, static fn(Cause $a, Cause $b): int => $b->likelihood->value <=> $a->likelihood->value);

        return $causes;
    }

    /** The steering that would explain a drift, by this car's wheelbase and track. */
    public function steering(float $driftM, float $overM): ?Steering
    {
        return $driftM === 0.0 || $overM <= 0.0 ? null : Steering::ofDrift(
            abs($driftM),
            $driftM > 0.0 ? Side::Left : Side::Right,
            $overM,
            $this->layout->axles->wheelbase,
            $this->layout->axles->frontTrack,
        );
    }

    /** By how much to turn the front axle, for a car that steers so. */
    public function correction(Steering $steering): Remark
    {
        $isKnown = $this->car->number(CarAttribute::Wheelbase) !== null && $this->car->number(CarAttribute::Track) !== null;

        return new Remark($isKnown ? 'diagnosis.turn_axle' : 'diagnosis.turn_axle_roughly', [
            'angle' => $this->degrees($steering->angle),
            'wheelbase' => $this->body($this->layout->axles->wheelbase),
            'side' => $steering->towards === Side::Left ? Side::Right : Side::Left,
            'by' => $this->part($steering->moveM),
            'track' => $this->body($this->layout->axles->frontTrack),
        ]);
    }

    /** @return list<Cause> */
    private function veers(?float $driftM, ?float $overM): array
    {
        $drift = $this->card->reading(CheckItem::Drift);
        if ($driftM === null && $drift?->first !== null && $drift->second !== null) {
            $driftM = $drift->first->quantity->si() * ($drift->side ?? Side::Left)->sign();
            $overM = $drift->second->quantity->si();
        }
        $steering = $driftM === null || $overM === null ? null : $this->steering($driftM, $overM);
        $turning = $this->car->kind(CarAttribute::WheelMount) !== WheelMount::Spinning->value;

        return [
            $this->notParallel($steering, abs($driftM ?? 0.0), $overM ?? 0.0),
            new Cause(
                'wheel_rubs',
                $this->rubs(),
                found: $this->gap(),
                cure: new Remark(
                    'diagnosis.end_play',
                    ['least' => $this->part(self::LEAST_END_PLAY_M), 'greatest' => $this->part(self::GREATEST_END_PLAY_M)],
                ),
            ),
            new Cause(
                $turning ? 'wheel_smaller_on_turning_axle' : 'wheel_smaller_on_fixed_axle',
                $turning ? Likelihood::Possible : Likelihood::Unlikely,
                found: $steering === null
                    ? null
                    : new Remark(
                        'diagnosis.found.unequal_wheels',
                        [
                            'difference' => new Shown(
                                $steering->asUnequalWheelsM($this->layout->wheels->diameter, $this->layout->axles->frontTrack),
                                Scale::Part,
                                1,
                            ),
                        ],
                    ),
            ),
            new Cause('wheel_not_square', $this->byCheck(CheckItem::Wobble)),
            ...($this->winds() ? [$this->band()->hookToOneSide()] : []),
            ...($this->car->blows() ? [new Cause('nozzle_sideways', $this->byCheck(CheckItem::NozzleStraight))] : []),
        ];
    }

    /** Axles out of parallel, beside what was measured between them. */
    private function notParallel(?Steering $steering, float $driftM, float $overM): Cause
    {
        $sides = $this->card->reading(CheckItem::Parallel);
        $isRead = $sides?->first !== null && $sides->second !== null;
        // As on the check card: without the track between them sides that differ tell no angle.
        $isMeasured = $isRead && $this->card->value(CheckItem::Parallel) !== null;
        $measured = $isMeasured
            ? Steering::ofAxles($sides->first->quantity->si(), $sides->second->quantity->si(), $this->layout->axles->frontTrack)
            : null;
        $explains = $measured !== null
            && (
                $steering === null
                || (
                    $measured->towards === $steering->towards
                    && $measured->angle >= self::EXPLAINS * $steering->angle
                    && $measured->angle <= $steering->angle / self::EXPLAINS
                )
            );
        $likelihood = $isMeasured
            ? ($explains ? Likelihood::Shown : Likelihood::Unlikely)
            : ($isRead ? Likelihood::Hinted : Likelihood::Possible);

        return new Cause(
            'not_parallel',
            $likelihood,
            seen: $steering === null ? null : new Remark('diagnosis.found.drift', [
                'drift' => new Shown($driftM, Scale::Distance), 'side' => $steering->towards, 'over' => new Shown($overM, Scale::Lane),
            ]),
            found: match (true) {
                !$isRead => null,
                !$isMeasured => new Remark(
                    'diagnosis.found.sides_differ',
                    ['by' => $this->part(abs($sides->second->quantity->si() - $sides->first->quantity->si()))],
                ),
                $measured === null => new Remark('diagnosis.found.parallel'),
                default => new Remark(
                    match (true) {
                        $steering === null => 'diagnosis.found.out_of_parallel',
                        $explains => 'diagnosis.found.out_of_parallel_as_it_ran',
                        default => 'diagnosis.found.out_of_parallel_otherwise',
                    },
                    ['angle' => $this->degrees($measured->angle), 'side' => $measured->towards],
                ),
            },
            cure: match (true) {
                $steering !== null && $likelihood !== Likelihood::Unlikely => $this->correction($steering),
                $measured !== null => $this->correction($measured),
                default => null,
            },
        );
    }

    /** @return list<Cause> */
    private function wobbles(): array
    {
        $wobble = $this->card->value(CheckItem::Wobble);

        return [
            new Cause(
                'wheel_wobbles',
                $this->byCheck(CheckItem::Wobble),
                found: $wobble === null ? null : new Remark('diagnosis.found.out_of_square', [
                    'wobble' => $this->part($wobble), 'wheel' => $this->part($this->layout->wheels->diameter),
                    'angle' => $this->degrees(atan($wobble / $this->layout->wheels->diameter)),
                ]),
            ),
            new Cause('hole_off_centre'),
            new Cause('wheel_loose'),
        ];
    }

    /** @return list<Cause> */
    private function wheelsStop(): array
    {
        $play = $this->endPlay();
        $room = $this->room();

        return [
            new Cause(
                'no_end_play',
                match (true) {
                    $play === null => Likelihood::Possible,
                    $play < self::LEAST_END_PLAY_M => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $this->slides($play),
                cure: new Remark(
                    'diagnosis.pull_apart',
                    ['least' => $this->part(self::LEAST_END_PLAY_M), 'greatest' => $this->part(self::GREATEST_END_PLAY_M)],
                ),
            ),
            new Cause(
                'axle_too_thick',
                match (true) {
                    $room === null => Likelihood::Possible,
                    $room < self::LEAST_ROOM_M => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $this->roomFound($room),
            ),
            new Cause('glue_on_axle'),
            new Cause('crushed_bearing'),
        ];
    }

    /** @return list<Cause> */
    private function wanders(): array
    {
        $play = $this->endPlay();
        $room = $this->room();
        $isLong = $play !== null && $play > self::GREATEST_END_PLAY_M;

        return [
            new Cause(
                'axle_too_long',
                match (true) {
                    $play === null => Likelihood::Possible,
                    $play > self::LOOSE_END_PLAY_M => Likelihood::Shown,
                    $isLong => Likelihood::Hinted,
                    default => Likelihood::Unlikely,
                },
                found: $this->slides($play),
                cure: $isLong
                ? new Remark('diagnosis.closer_together', ['by' => $this->part($play - self::GOOD_END_PLAY_M)])
                : null,
            ),
            new Cause(
                'bearing_too_wide',
                match (true) {
                    $room === null => Likelihood::Possible,
                    $room > self::GREATEST_ROOM_M => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $this->roomFound($room),
            ),
            new Cause('bearing_loose'),
        ];
    }

    /** @return list<Cause> */
    private function doesNotStart(): array
    {
        $ratio = $this->layout->axles->diameter / $this->layout->wheels->diameter;
        $binds = new Cause('wheels_bind', $this->byCheck(CheckItem::Spin));
        $small = new Cause(
            'small_wheels',
            $ratio > self::THICK_AXLE ? Likelihood::Hinted : Likelihood::Possible,
            found: new Remark('diagnosis.found.axle_over_wheel', ['ratio' => round($ratio, 2)]),
        );
        if ($this->winds()) {
            return [$binds, ...$this->band()->doesNotStart(), $small];
        }
        if (!$this->car->blows() || $this->model === null) {
            return [
                $binds,
                ...($this->car->blows()
                    ? [new Cause('nozzle_pinched', $this->byCheck(CheckItem::NozzleStraight)), new Cause('too_heavy')] : []),
                ...($this->car->source()?->rollsDown() === true ? [$this->rampTooLow()] : []),
                $small,
            ];
        }
        $settings = $this->model->settings;
        $thrust = $settings->design()->firstThrustN() * cos($this->layout->nozzle->angle);
        $needed = $settings->rollingCoefficient() * $settings->get(CarAttribute::BreakawayRatio) * Constants::GRAVITY_M_S2;
        $mass = $settings->get(CarAttribute::Mass);
        $could = $needed > 0.0 ? $thrust / $needed : INF;
        $forces = new Remark(
            "diagnosis.found.forces_{$this->basis}",
            ['push' => self::millinewtons($thrust), 'needed' => self::millinewtons($needed * $mass)],
        );

        return [
            $binds,
            new Cause('nozzle_pinched', $this->byCheck(CheckItem::NozzleStraight)),
            new Cause(
                'too_heavy',
                match (true) {
                    $mass > $could => Likelihood::Shown,
                    $mass > self::NEARLY_TOO_HEAVY * $could => Likelihood::Hinted,
                    default => Likelihood::Unlikely,
                },
                found: $forces,
                cure: is_finite($could)
                ? new Remark("diagnosis.starts_below_{$this->basis}", ['mass' => new Shown($could, Scale::Weight)])
                : null,
            ),
            new Cause('nozzle_too_narrow_to_start', $this->hasNarrowBore() ? Likelihood::Hinted : Likelihood::Possible, found: $forces),
            $small,
        ];
    }

    /** @return list<Cause> */
    private function hisses(): array
    {
        $outlets = (int) ($this->car->number(CarAttribute::NozzleOutlets) ?? 1);
        $lost = $this->card->value(CheckItem::Airtight);

        return [
            new Cause(
                'leak_at_neck',
                $this->byCheck(CheckItem::Airtight),
                found: $lost === null ? null : new Remark('diagnosis.found.lost', ['lost' => $this->part($lost)]),
            ),
            new Cause(
                'gaps_between_straws',
                $outlets > 1 ? Likelihood::Hinted : Likelihood::Unlikely,
                found: $outlets > 1
                    ? new Remark('diagnosis.found.channels', ['outlets' => $outlets])
                    : new Remark('diagnosis.found.single_tube'),
            ),
            new Cause('pinhole'),
        ];
    }

    /** @return list<Cause> */
    private function balloonOff(): array
    {
        $joint = $this->car->number(CarAttribute::JointWidth);
        $neck = $this->car->number(CarAttribute::NeckWidth);
        $turns = $this->car->number(CarAttribute::BandTurns);

        return [
            new Cause(
                'joint_too_loose',
                match (true) {
                    $turns === null => Likelihood::Possible,
                    $turns < self::FEWEST_TURNS => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $this->turnsFound($turns),
                cure: new Remark('diagnosis.push_in', ['depth' => $this->body(self::JOINT_DEPTH_M)]),
            ),
            new Cause(
                'joint_too_wide',
                match (true) {
                    $joint === null || $neck === null => Likelihood::Possible,
                    $joint > $neck => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $joint === null || $neck === null
                ? null
                : new Remark('diagnosis.found.joint_and_neck', ['joint' => $this->part($joint), 'neck' => $this->part($neck)]),
            ),
            new Cause('rolled_lip'),
        ];
    }

    /** @return list<Cause> */
    private function airTooSlow(): array
    {
        $turns = $this->car->number(CarAttribute::BandTurns);
        $bore = $this->car->number(CarAttribute::NozzleBore);

        return [
            new Cause('nozzle_crushed', $this->byCheck(CheckItem::NozzleStraight)),
            new Cause(
                'band_too_tight',
                match (true) {
                    $turns === null => Likelihood::Possible,
                    $turns > self::MOST_TURNS => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $this->turnsFound($turns),
            ),
            new Cause(
                'nozzle_too_narrow',
                $bore !== null && $this->hasNarrowBore() ? Likelihood::Hinted : Likelihood::Possible,
                found: $bore === null ? null : new Remark('diagnosis.found.bore', ['bore' => $this->part($bore)]),
            ),
        ];
    }

    /** @return list<Cause> */
    private function balloonDrags(): array
    {
        $clear = $this->layout->balloonClearance();
        $recorded = $this->car->number(CarAttribute::BalloonSize) !== null;
        $raise = max(0.0, self::CLEAR_OF_THE_FLOOR_M - $clear);
        $beyond = $this->layout->balloonCentre()[0] - $this->layout->body->length;
        $hangs = $recorded && $beyond > 0.0;

        return [
            new Cause(
                'hangs_beyond_chassis',
                !$recorded ? Likelihood::Possible : ($hangs ? Likelihood::Hinted : Likelihood::Unlikely),
                found: $hangs ? new Remark('diagnosis.found.middle_beyond', ['by' => $this->body($beyond)]) : null,
                cure: $hangs ? new Remark('diagnosis.move_nozzle_back', ['by' => $this->body($beyond)]) : null,
            ),
            new Cause(
                'nozzle_too_low',
                $recorded && $clear < self::CLEAR_OF_THE_FLOOR_M ? Likelihood::Hinted : Likelihood::Possible,
                found: match (true) {
                    !$recorded => null,
                    $clear <= 0.0 => new Remark('diagnosis.found.below_floor', ['by' => $this->part(-$clear)]),
                    default => new Remark('diagnosis.found.clears_floor', ['by' => $this->part($clear)]),
                },
                cure: $raise > 0.0 ? new Remark('diagnosis.raise_nozzle', ['by' => $this->part($raise)]) : null,
            ),
            new Cause('filled_more_than_it_holds'),
        ];
    }

    /** @return list<Cause> */
    private function wheelOff(): array
    {
        $play = $this->endPlay();

        return [
            new Cause('hole_too_big'),
            new Cause('no_stop', $play !== null && $play > self::LOOSE_END_PLAY_M ? Likelihood::Hinted : Likelihood::Possible),
            new Cause('glue_not_set'),
            ...($this->winds() ? [$this->band()->loosened()] : []),
        ];
    }

    /** @return list<Cause> */
    private function shortRun(): array
    {
        $mass = $this->model?->settings->get(CarAttribute::Mass) ?? MassSum::of($this->car)->massKg();
        $extras = $this->car->number(CarAttribute::ExtrasMass);
        $crooked = in_array(Likelihood::Shown, [$this->byCheck(CheckItem::Wobble), $this->byCheck(CheckItem::Drift)], true);

        return [
            new Cause(
                'bearing_friction',
                $this->byCheck(CheckItem::Spin),
                found: $this->model?->missing === [] ? $this->shares($this->model) : null,
            ),
            ...($this->winds() ? [$this->band()->fewTurns()] : []),
            ...($this->car->blows() ? [new Cause('leak', $this->byCheck(CheckItem::Airtight))] : []),
            new Cause(
                'heavy_extras',
                $mass > self::HEAVY_KG ? Likelihood::Hinted : Likelihood::Possible,
                found: $extras === null || $mass === null ? null : new Remark(
                    'diagnosis.found.extras',
                    ['extras' => new Shown($extras, Scale::Weight), 'mass' => new Shown($mass, Scale::Weight)],
                ),
            ),
            new Cause(
                'soft_floor',
                $this->onSoftFloor() ? Likelihood::Shown : ($this->surface === null ? Likelihood::Possible : Likelihood::Unlikely),
            ),
            new Cause('sideways', $crooked ? Likelihood::Shown : Likelihood::Possible),
        ];
    }

    /** What rolling and the air each use up of a run. */
    private function shares(CarModel $model): Remark
    {
        $energy = $model->settings->run(1e-4)->energy;
        $spent = $energy->rolling + $energy->drag + $energy->slip;
        $rolling = $spent > 0.0 ? $energy->rolling / $spent : 1.0;
        $slip = $spent > 0.0 ? $energy->slip / $spent : 0.0;

        return new Remark($slip >= 0.005 ? "diagnosis.found.shares_with_slip_{$this->basis}" : "diagnosis.found.shares_{$this->basis}", [
            'rolling' => round(100 * $rolling), 'air' => round(100 * (1 - $rolling - $slip)), 'slip' => round(100 * $slip),
        ]);
    }

    /** A slope that the car does not roll down. */
    private function rampTooLow(): Cause
    {
        if ($this->model === null) {
            return new Cause('ramp_too_low');
        }
        $settings = $this->model->settings;
        $ramp = $settings->ramp();
        $needed = $settings->rollingCoefficient() * $settings->get(CarAttribute::BreakawayRatio) * ($ramp->lengthM ?? 0.0);

        return new Cause(
            'ramp_too_low',
            $ramp !== null && $ramp->heightM <= $needed ? Likelihood::Shown : Likelihood::Possible,
            cure: new Remark("diagnosis.rolls_from_{$this->basis}", ['height' => $this->body($needed)]),
        );
    }

    private function winds(): bool
    {
        return $this->car->source()?->winds() === true;
    }

    private function band(): BandCauses
    {
        return new BandCauses($this->car, $this->layout, $this->model, $this->basis);
    }

    /** @return list<Cause> */
    private function bursts(): array
    {
        $nominal = $this->car->number(CarAttribute::BalloonNominal);
        $filled = $this->car->balloonDiameterM();

        return [
            new Cause(
                'filled_too_far',
                match (true) {
                    $nominal === null || $filled === null => Likelihood::Possible,
                    $filled > self::NEAR_BURSTING * $nominal => Likelihood::Shown,
                    default => Likelihood::Unlikely,
                },
                found: $nominal === null || $filled === null
                    ? null
                    : new Remark('diagnosis.found.filled_to', ['percent' => round(100 * $filled / $nominal)]),
                cure: $nominal === null
                    ? null
                    : new Remark('diagnosis.stay_below', ['size' => $this->body(self::NEAR_BURSTING * $nominal)]),
            ),
            new Cause('sharp_edge', $this->byCheck(CheckItem::PointsOff)),
            new Cause('old_balloon'),
        ];
    }

    private function byCheck(CheckItem $item): Likelihood
    {
        return match ($this->card->verdict($item)) {
            CheckVerdict::Fix => Likelihood::Shown,
            CheckVerdict::Note => Likelihood::Hinted,
            CheckVerdict::Pass => Likelihood::Unlikely,
            null => Likelihood::Possible,
        };
    }

    private function rubs(): Likelihood
    {
        $known = $this->car->number(CarAttribute::Track) !== null
            && $this->car->number(CarAttribute::ChassisWidth) !== null
            && $this->car->number(CarAttribute::WheelThickness) !== null;

        return $known && min($this->layout->frontGap(), $this->layout->rearGap()) <= ($this->car->number(CarAttribute::EndPlay) ?? 0.0) / 2
            ? Likelihood::Shown
            : $this->byCheck(CheckItem::Spin);
    }

    /** Between wheel and chassis, on a side; null where it is not recorded. */
    private function gap(): ?Remark
    {
        return $this->car->number(CarAttribute::Track) === null || $this->car->number(CarAttribute::ChassisWidth) === null ? null
            : new Remark('diagnosis.found.gap', ['gap' => $this->part(max(0.0, min($this->layout->frontGap(), $this->layout->rearGap())))]);
    }

    private function slides(?float $play): ?Remark
    {
        return $play === null ? null : new Remark('diagnosis.found.slides', ['play' => $this->part($play)]);
    }

    private function roomFound(?float $room): ?Remark
    {
        return $room === null ? null : new Remark('diagnosis.found.room', ['room' => $this->part($room)]);
    }

    private function turnsFound(?float $turns): ?Remark
    {
        return $turns === null ? null : new Remark('diagnosis.found.turns', ['count' => (int) $turns]);
    }

    /** As checked, or as recorded (m); null where neither was. */
    private function endPlay(): ?float
    {
        return $this->card->value(CheckItem::EndPlay) ?? $this->car->number(CarAttribute::EndPlay);
    }

    private function hasNarrowBore(): bool
    {
        return ($this->car->number(CarAttribute::NozzleBore) ?? self::NARROW_BORE_M) < self::NARROW_BORE_M;
    }

    private function onSoftFloor(): bool
    {
        return $this->catalogue->named(
            PartKind::Surface,
            $this->car->kind(CarAttribute::Surface) ?? $this->surface,
        )?->is(PartTrait::Soft) === true;
    }

    /** Between axle and bearing, all round (m); null where it is not recorded. */
    private function room(): ?float
    {
        $axle = $this->car->number(CarAttribute::AxleDiameter);
        $bore = $this->car->number(CarAttribute::BearingBore);

        return $axle === null || $bore === null ? null : max(0.0, $bore - $axle);
    }

    private function degrees(float $radians): float
    {
        return round(rad2deg($radians), 2);
    }

    private static function millinewtons(float $newton): float
    {
        return round(1000 * $newton);
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
