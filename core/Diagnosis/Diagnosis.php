<?php

declare(strict_types=1);

namespace Skivo\Core\Diagnosis;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\CheckCard;
use Skivo\Core\Car\CheckItem;
use Skivo\Core\Car\CheckVerdict;
use Skivo\Core\Car\Choice;
use Skivo\Core\Car\Kit;
use Skivo\Core\Car\Layout;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Steering;
use Skivo\Core\Physics\WheelMount;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;
use Skivo\Core\Simulation\Setting;
use Skivo\Core\Simulation\Simulator;

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

    private Layout $layout;

    private CarModel $model;

    /** What its forces are known from, as in "By its parts". */
    private string $basis;

    /** @param CarModel|null $model with what the bench measured; from the parts where null */
    public function __construct(
        private Car $car,
        private CheckCard $card,
        private UnitSystem $units,
        private Catalogue $catalogue,
        private ?string $surface = null,
        Kit $kit = new Kit(),
        ?CarModel $model = null,
    ) {
        $this->layout = Layout::of($car, $catalogue, $kit);
        $this->model = $model ?? CarModel::of($car, $catalogue, $surface);
        $measured = array_filter([Setting::MeasuredFriction, Setting::Pressure], fn(Setting $setting): bool => $this->model->origins[$setting->value] === Origin::Measured);
        $this->basis = $measured === [] ? 'By its parts' : 'By its parts and what the bench measured';
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
            Symptom::ShortRun => $this->shortRun(),
            Symptom::Bursts => $this->bursts(),
            Symptom::Moist => [new Cause('Filled by mouth', 'Breath is damp, and water makes the rubber heavy and the tube narrow.', 'Look into the tube: is it wet?', 'Dry the tube, take a fresh balloon, and fill it with a pump.')],
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
            $this->layout->wheelbase,
            $this->layout->frontTrack,
        );
    }

    /** "Drifts 30 cm left over 2 m: axles 0.84° out of parallel on a 10 cm wheelbase; move …". */
    public function correction(Steering $steering): string
    {
        $other = $steering->towards === Side::Left ? Side::Right : Side::Left;

        return "Axles {$this->degrees($steering->angle)} out of parallel on a {$this->body($this->layout->wheelbase)} wheelbase: move the {$other->value} end of the front axle back by {$this->part($steering->moveM)}"
            . ", on a {$this->body($this->layout->frontTrack)} track" . ($this->car->number(Choice::Wheelbase) === null || $this->car->number(Choice::Track) === null ? ' (wheelbase or track not recorded: measure them for a sure figure)' : '') . '.';
    }

    /** @return list<Cause> */
    private function veers(?float $driftM, ?float $overM): array
    {
        $drift = $this->card->reading(CheckItem::Drift);
        if ($driftM === null && $drift?->first !== null && $drift->second !== null) {
            $driftM = $drift->first->quantity->si() * ($drift->side ?? Side::Left)->sign();
            $overM = $drift->second->quantity->si();
        }
        [$steering, $seen] = $driftM === null || $overM === null ? [null, ''] : $this->seen($driftM, $overM);
        $sides = $this->card->reading(CheckItem::Parallel);
        $measured = $sides?->first === null || $sides->second === null ? null
            : Steering::ofAxles($sides->first->quantity->si(), $sides->second->quantity->si(), $this->layout->frontTrack);
        $explains = $measured !== null && ($steering === null || ($measured->towards === $steering->towards && $measured->angle >= 0.4 * $steering->angle));
        $parallel = match (true) {
            $sides?->first === null || $sides->second === null => Likelihood::Possible,
            $explains => Likelihood::Shown,
            default => Likelihood::Unlikely,
        };
        $found = match (true) {
            $sides?->first === null || $sides->second === null => '',
            $measured === null => ' Measured, they are parallel.',
            default => " Measured, they are {$this->degrees($measured->angle)} out of parallel and steer {$measured->towards->value}" . ($steering === null ? '.' : ($explains ? ', as it ran.' : ', which does not explain the run.')),
        };
        $cure = match (true) {
            $steering !== null && $parallel !== Likelihood::Unlikely => $this->correction($steering),
            $measured !== null => $this->correction($measured),
            default => 'Measure the drift over a known distance; then the amount to turn an axle by can be computed.',
        };
        $unequal = $steering === null ? '' : " A difference of {$this->part($steering->asUnequalWheelsM($this->layout->wheelDiameter, $this->layout->frontTrack), 1)} between left and right would make this drift.";
        $turning = $this->car->kind(Choice::WheelMount) !== WheelMount::Spinning->value;

        return [
            new Cause('Axles not parallel', $seen . 'Two axles that are not parallel roll on a circle, towards the side where they lie closer together.' . $found, 'Measure from axle to axle on the left and on the right.', $cure, $parallel),
            new Cause('A wheel rubs', 'A wheel that touches the chassis or its bearing is braked, and the car turns towards it.' . $this->gapInWords(), 'Spin each wheel by itself and listen; slide the axles from side to side while the car rolls.', "Give each wheel {$this->part(0.001)} to {$this->part(0.002)} of end play, and let the bearing stand out beyond the chassis.", $this->rubs()),
            new Cause('One wheel smaller', ($turning ? 'Two wheels fast on one axle turn together: the smaller one is left behind, and the car turns towards it.' : 'Wheels that spin by themselves may differ in size without steering; a smaller one still tilts the car.') . $unequal, 'Measure across all four wheels.', 'Swap in a wheel of the same size, or trim the larger one.', $turning ? Likelihood::Possible : Likelihood::Unlikely),
            new Cause('A wheel not square', 'A wheel that stands at an angle steers a little to and fro, and to one side if it slips.', 'Turn each wheel past a fingertip.', 'Seat it again, square to the axle.', $this->byCheck(CheckItem::Wobble)),
        ];
    }

    /** @return array{Steering|null, string} what would explain a drift, and the drift in words */
    private function seen(float $driftM, float $overM): array
    {
        $steering = $this->steering($driftM, $overM);

        return [$steering, $steering === null ? '' : "Drifts {$this->distance(abs($driftM))} {$steering->towards->value} over {$this->lane($overM)}. "];
    }

    /** @return list<Cause> */
    private function wobbles(): array
    {
        $wobble = $this->card->value(CheckItem::Wobble);
        $angle = $wobble === null ? '' : " {$this->part($wobble)} at the rim of a {$this->part($this->layout->wheelDiameter)} wheel is " . $this->degrees(atan($wobble / $this->layout->wheelDiameter)) . ' out of square.';

        return [
            new Cause('Wheel not square to its axle', 'The rim comes and goes once a turn, and lifts the car each time.' . $angle, 'Turn the wheel past a fingertip held at its face.', 'Seat it again with a hub of card or putty on both sides, and let it set upright.', $this->byCheck(CheckItem::Wobble)),
            new Cause('Hole off centre', 'The rim rises and falls once a turn; the car hops.', 'Turn the wheel past a fingertip held at its tread.', 'Find the centre by two crossing diameters, and pierce again through a patch.'),
            new Cause('Wheel loose on its axle', 'A loose wheel takes another angle at each turn.', 'Hold the axle and try to tilt the wheel.', 'Fill the hole with a sleeve of tape or straw, or glue the wheel on its outside.'),
        ];
    }

    /** @return list<Cause> */
    private function wheelsStop(): array
    {
        $play = $this->card->value(CheckItem::EndPlay) ?? $this->car->number(Choice::EndPlay);
        $room = $this->room();

        return [
            new Cause('No end play', 'The wheel presses on the bearing and is braked.' . ($play === null ? '' : " It slides {$this->part($play)}."), 'Push the axle from side to side: does it slide?', "Pull the wheels apart until the axle slides {$this->part(0.001)} to {$this->part(0.002)}.", match (true) {
                $play === null => Likelihood::Possible,
                $play < 0.001 => Likelihood::Shown,
                default => Likelihood::Unlikely,
            }),
            new Cause('Axle too thick for its bearing', 'Without room around it an axle drags on the straw.' . ($room === null ? '' : " There is {$this->part($room)} of room."), 'Push the axle alone through a piece of the straw: does it fall through?', 'Take a wider straw or a thinner axle.', match (true) {
                $room === null => Likelihood::Possible,
                $room < self::LEAST_ROOM_M => Likelihood::Shown,
                default => Likelihood::Unlikely,
            }),
            new Cause('Glue or tape on the axle', 'What holds the straw has caught the axle too.', 'Turn the axle slowly: does it stick in one place?', 'Free the axle; tape and glue touch only the straw.'),
            new Cause('Crushed or bent bearing', 'A straw pressed flat, or two that are not in line, pinch the axle.', 'Look through the bearing along the axle.', 'Replace the straw; tape it down without pressing.'),
        ];
    }

    /** @return list<Cause> */
    private function wanders(): array
    {
        $play = $this->card->value(CheckItem::EndPlay) ?? $this->car->number(Choice::EndPlay);
        $room = $this->room();

        return [
            new Cause('Axle too long', 'The axle slides to and fro in its bearing and steers as it goes.' . ($play === null ? '' : " It slides {$this->part($play)}."), 'Push the axle from side to side and measure how far it slides.', $play !== null && $play > 0.002 ? "Bring the wheels {$this->part($play - 0.0015)} closer together, or put on stops." : 'Shorten the axle, or put a stop on it at each side.', match (true) {
                $play === null => Likelihood::Possible,
                $play > 0.004 => Likelihood::Shown,
                $play > 0.002 => Likelihood::Hinted,
                default => Likelihood::Unlikely,
            }),
            new Cause('Bearing too wide for the axle', 'The axle takes another angle with every bump.' . ($room === null ? '' : " There is {$this->part($room)} of room."), 'Hold the car and rock a wheel forward and back.', 'Take a narrower straw, or a thicker axle.', match (true) {
                $room === null => Likelihood::Possible,
                $room > self::GREATEST_ROOM_M => Likelihood::Shown,
                default => Likelihood::Unlikely,
            }),
            new Cause('Bearing loose on the chassis', 'The whole axle turns a little on the chassis.', 'Try to turn the straw by hand.', 'Tape or glue the straw along its whole length.'),
        ];
    }

    /** @return list<Cause> */
    private function doesNotStart(): array
    {
        $settings = $this->model->settings;
        $design = $settings->design();
        $run = Simulator::run($design, 1e-4);
        $thrust = $run->initialThrustN * cos($this->layout->angle);
        $f = $settings->rollingCoefficient();
        $needed = $f * $settings->get(Setting::Breakaway) * 9.80665;
        $mass = $settings->get(Setting::Mass);
        $could = $needed > 0.0 ? $thrust / $needed : INF;
        $forces = " {$this->basis} it pushes with " . $this->newton($thrust) . ', and needs ' . $this->newton($needed * $mass) . ' to start.';
        $tooHeavy = $mass > $could;

        return [
            new Cause('Wheels bind', 'What rubs must be overcome before anything moves.', 'Tilt a board until the car just rolls: the slope is its friction.', 'See “Its wheels stop at once when spun”.', $this->byCheck(CheckItem::Spin)),
            new Cause('Nozzle pinched or closed', 'A dent in the straw or a band too tight takes most of the flow.', 'Blow through the nozzle without the balloon.', 'Straighten or replace the tube; loosen the band.', $this->byCheck(CheckItem::NozzleStraight)),
            new Cause('Too heavy for its thrust', 'Rolling resistance grows with the mass, thrust does not.' . $forces, 'Weigh the car; take off what comes off and try again.', is_finite($could) ? "{$this->basis} it should start below {$this->units->show($could, Scale::Weight)}." : 'Take off what comes off.', $tooHeavy ? Likelihood::Shown : ($mass > 0.6 * $could ? Likelihood::Hinted : Likelihood::Unlikely)),
            new Cause('Nozzle too narrow', 'Thrust grows with the area of the outlet.' . $forces, 'Try a wider straw on the same balloon.', 'Double the bore and the push is about four times as large, for a quarter of the time.', ($this->car->number(Choice::NozzleBore) ?? 0.006) < 0.005 ? Likelihood::Hinted : Likelihood::Possible),
            new Cause('Small wheels on thick axles', 'Bearing friction counts by axle over wheel: here ' . number_format($this->layout->axleDiameter / $this->layout->wheelDiameter, 2) . '.', 'Compare with a car on larger wheels.', 'Larger wheels on the same axles lower the friction.', $this->layout->axleDiameter / $this->layout->wheelDiameter > 0.12 ? Likelihood::Hinted : Likelihood::Possible),
        ];
    }

    /** @return list<Cause> */
    private function hisses(): array
    {
        $outlets = (int) ($this->car->number(Choice::NozzleOutlets) ?? 1);
        $lost = $this->card->value(CheckItem::Airtight);

        return [
            new Cause('Leak at the neck', 'Air that escapes beside the tube does not push.' . ($lost === null ? '' : " It lost {$this->part($lost)} in ten seconds."), 'Fill it, close the nozzle with a fingertip, and listen along the neck.', 'Seal again: tape smooth around the neck, band on top of it.', $this->byCheck(CheckItem::Airtight)),
            new Cause('Gaps between bundled straws', $outlets > 1 ? "Between {$outlets} straws there are channels to the outside." : 'A single tube has none.', 'Close all outlets and listen where they enter the neck.', 'Press soft tape or putty into the gaps before the neck goes on.', $outlets > 1 ? Likelihood::Hinted : Likelihood::Unlikely),
            new Cause('A pinhole in the balloon', 'A worn or pierced balloon leaks everywhere alike.', 'Hold the full balloon under water or to the cheek.', 'Take a fresh balloon.'),
        ];
    }

    /** @return list<Cause> */
    private function balloonOff(): array
    {
        $joint = $this->car->number(Choice::JointWidth);
        $neck = $this->car->number(Choice::NeckWidth);
        $turns = $this->car->number(Choice::BandTurns);

        return [
            new Cause('Joint too loose', 'Pressure pushes the neck off a tube that nothing grips.' . ($turns === null ? '' : ' The band goes round ' . (int) $turns . ' times.'), 'Pull at the neck: does it slide?', 'Push the tube in about ' . $this->body(0.025) . ' and take the band round three or four times.', match (true) {
                $turns === null => Likelihood::Possible,
                $turns < self::FEWEST_TURNS => Likelihood::Shown,
                default => Likelihood::Unlikely,
            }),
            new Cause('Joint too wide', 'A neck stretched over a wide joint slides off it.' . ($joint === null || $neck === null ? '' : " The joint is {$this->part($joint)}, the neck {$this->part($neck)}."), 'Compare the neck with the tube or bundle that it sits on.', 'Use fewer straws, or a thinner tube at the neck.', match (true) {
                $joint === null || $neck === null => Likelihood::Possible,
                $joint > $neck => Likelihood::Shown,
                default => Likelihood::Unlikely,
            }),
            new Cause('Rolled lip in the way', 'The lip rolls back and takes the neck with it.', 'Look at the neck while the balloon fills.', 'Cut the lip off, or put the band behind it.'),
        ];
    }

    /** @return list<Cause> */
    private function airTooSlow(): array
    {
        $turns = $this->car->number(Choice::BandTurns);
        $bore = $this->car->number(Choice::NozzleBore);

        return [
            new Cause('Nozzle crushed or bent', 'A dent leaves a slit.', 'Look through the tube.', 'Replace it, and close it with a fingertip, not by pinching.', $this->byCheck(CheckItem::NozzleStraight)),
            new Cause('Band too tight', 'A band squeezes a straw flat under the neck.' . ($turns === null ? '' : ' It goes round ' . (int) $turns . ' times.'), 'Blow through the joint with the band off, then on.', 'Three or four turns are enough; put a stiffer tube inside.', match (true) {
                $turns === null => Likelihood::Possible,
                $turns > self::MOST_TURNS => Likelihood::Shown,
                default => Likelihood::Unlikely,
            }),
            new Cause('Nozzle too narrow', 'Flow grows with the area of the bore.' . ($bore === null ? '' : " The bore is {$this->part($bore)}."), 'Time how long the balloon takes to empty.', 'Take a wider tube, or several side by side.', $bore !== null && $bore < 0.005 ? Likelihood::Hinted : Likelihood::Possible),
        ];
    }

    /** @return list<Cause> */
    private function balloonDrags(): array
    {
        $clear = $this->layout->balloonClearance();
        $recorded = $this->car->number(Choice::BalloonSize) !== null;
        $raise = max(0.0, 0.01 - $clear);
        [$x] = $this->layout->balloonCentre();
        $beyond = $x - $this->layout->chassisLength;

        return [
            new Cause('It hangs beyond the chassis', $recorded && $beyond > 0.0 ? "Its middle is {$this->body($beyond)} in front of the chassis, where nothing holds it up." : 'Beyond the chassis nothing holds it up.', 'Fill it and look from the side.', $recorded && $beyond > 0.0 ? "Move the nozzle back by {$this->body($beyond)}, so that the balloon lies on the chassis." : 'Move the nozzle back until the balloon lies on the chassis.', !$recorded ? Likelihood::Possible : ($beyond > 0.0 ? Likelihood::Hinted : Likelihood::Unlikely)),
            new Cause('Nozzle too low', $recorded ? ($clear <= 0.0 ? "At full size it would reach {$this->part(-$clear)} below the floor." : "At full size it clears the floor by {$this->part($clear)}.") : 'A balloon in line with a low nozzle reaches the floor.', 'Measure from the floor to the nozzle.', $raise > 0.0 ? "Raise the nozzle by {$this->part($raise)}, on a post or a folded card." : 'Raise the nozzle on a post or a folded card.', $recorded && $clear < 0.01 ? Likelihood::Hinted : Likelihood::Possible),
            new Cause('Filled more than the car can hold', 'A larger balloon sinks lower beside the chassis.', 'Compare with the size it was built for.', 'Fill it less, to the same size each time.'),
        ];
    }

    /** @return list<Cause> */
    private function wheelOff(): array
    {
        $play = $this->card->value(CheckItem::EndPlay) ?? $this->car->number(Choice::EndPlay);

        return [
            new Cause('Hole too big', 'The wheel slides off a thin axle.', 'Pull the wheel gently along the axle.', 'Glue it on its outside, or wrap the axle with tape first.'),
            new Cause('No stop outside the wheel', 'Nothing keeps the wheel on when it knocks.', 'Look at the axle’s end.', 'Put a ring of elastic band, or a bead, on both sides of the wheel.', $play !== null && $play > 0.004 ? Likelihood::Hinted : Likelihood::Possible),
            new Cause('Glue had not set', 'A soft joint opens at the first knock.', 'Is the glue still soft?', 'Let it set before the car runs.'),
        ];
    }

    /** @return list<Cause> */
    private function shortRun(): array
    {
        $model = $this->model->settings;
        $run = Simulator::run($model->design(), 1e-4);
        $spent = $run->energy->rolling + $run->energy->drag;
        $rolling = $spent > 0.0 ? $run->energy->rolling / $spent : 1.0;
        $share = " {$this->basis} " . number_format(100 * $rolling) . ' % of the push goes into rolling, ' . number_format(100 * (1 - $rolling)) . ' % into air.';
        $carpet = str_contains(($this->car->kind(Choice::Surface) ?? $this->surface) ?? '', 'carpet');

        return [
            new Cause('Friction in the bearings', 'What rubs eats the push from the first centimetre.' . $share, 'Let it roll off a low ramp: height over distance is its friction.', 'Free the axles, then larger wheels on the same axles.', $this->byCheck(CheckItem::Spin)),
            new Cause('A leak', 'Half the air may leave beside the nozzle.', 'Close the nozzle and watch the balloon for ten seconds.', 'Seal the joint again.', $this->byCheck(CheckItem::Airtight)),
            new Cause('Heavy extras', 'Rolling resistance grows with every gram.' . ($this->car->number(Choice::ExtrasMass) === null ? '' : " Extras weigh {$this->units->show($this->car->number(Choice::ExtrasMass), Scale::Weight)} of {$this->units->show($model->get(Setting::Mass), Scale::Weight)}."), 'Weigh it with and without what comes off.', 'Take off what does no work.', $model->get(Setting::Mass) > 0.09 ? Likelihood::Hinted : Likelihood::Possible),
            new Cause('Carpet or rough floor', 'A soft floor takes several times the push of a hard one.', 'Roll the same car by hand on a hard floor.', 'Run on a hard, smooth floor, or on large wheels.', $carpet ? Likelihood::Shown : ($this->surface === null ? Likelihood::Possible : Likelihood::Unlikely)),
            new Cause('It wobbles or veers', 'Sideways motion is push that is lost.', 'Watch the run from behind.', 'See “It wobbles” and “It veers or circles”.', max($this->byCheck(CheckItem::Wobble)->value, $this->byCheck(CheckItem::Drift)->value) === Likelihood::Shown->value ? Likelihood::Shown : Likelihood::Possible),
        ];
    }

    /** @return list<Cause> */
    private function bursts(): array
    {
        $nominal = $this->car->number(Choice::BalloonNominal);
        $filled = $this->car->number(Choice::BalloonSize) === null ? null : $this->layout->balloonDiameter;

        return [
            new Cause('Filled too far', 'Near its nominal size a balloon bursts at the least touch.' . ($nominal === null || $filled === null ? '' : ' It is filled to ' . number_format(100 * $filled / $nominal) . ' % of it.'), 'Measure it filled.', $nominal === null ? 'Fill it less; wear eye protection while filling.' : "Stay below {$this->body(self::NEAR_BURSTING * $nominal)}; wear eye protection while filling.", match (true) {
                $nominal === null || $filled === null => Likelihood::Possible,
                $filled > self::NEAR_BURSTING * $nominal => Likelihood::Shown,
                default => Likelihood::Unlikely,
            }),
            new Cause('A sharp edge', 'A staple, a skewer’s end or the rim of a tube cuts stretched rubber.', 'Run a finger along everything that the full balloon touches.', 'Cut off points, and cover edges with tape.', $this->byCheck(CheckItem::PointsOff)),
            new Cause('An old balloon', 'Rubber that was filled many times or lay in the sun is weak.', 'Look for pale, streaky patches.', 'Take a fresh balloon; stretch it by hand first.'),
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
        $known = $this->car->number(Choice::Track) !== null && $this->car->number(Choice::ChassisWidth) !== null && $this->car->number(Choice::WheelThickness) !== null;

        return $known && min($this->layout->frontGap(), $this->layout->rearGap()) <= ($this->car->number(Choice::EndPlay) ?? 0.0) / 2 ? Likelihood::Shown : $this->byCheck(CheckItem::Spin);
    }

    private function gapInWords(): string
    {
        return $this->car->number(Choice::Track) === null || $this->car->number(Choice::ChassisWidth) === null ? ''
            : ' Between wheel and chassis there are ' . $this->part(max(0.0, min($this->layout->frontGap(), $this->layout->rearGap()))) . ' on a side.';
    }

    /** Between axle and bearing, all round (m); null where it is not recorded. */
    private function room(): ?float
    {
        $axle = $this->car->number(Choice::AxleDiameter);
        $bore = $this->car->number(Choice::BearingBore);

        return $axle === null || $bore === null ? null : max(0.0, $bore - $axle);
    }

    private function degrees(float $radians): string
    {
        return number_format(rad2deg($radians), 2) . '°';
    }

    private function newton(float $newton): string
    {
        return number_format(1000 * $newton) . "\u{00A0}mN";
    }

    private function part(float $metres, int $more = 0): string
    {
        return $this->units->show($metres, Scale::Part, $more);
    }

    private function body(float $metres): string
    {
        return $this->units->show($metres, Scale::Body);
    }

    private function distance(float $metres): string
    {
        return $this->units->show($metres, Scale::Distance);
    }

    private function lane(float $metres): string
    {
        return $this->units->show($metres, Scale::Lane);
    }
}
