<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Car\Check\Tolerance;
use Skivo\Core\Car\Check\Tolerances;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Diagnosis\Cause;
use Skivo\Core\Diagnosis\Diagnosis;
use Skivo\Core\Diagnosis\Likelihood;
use Skivo\Core\Diagnosis\Symptom;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Physics\Steering;
use Skivo\Core\Simulation\CarModel;
use Tests\BuildsCars;
use Tests\Spoken;

final class CheckAndDiagnosisTest extends TestCase
{
    use BuildsCars;

    /** The worked case: 30 cm left over 2 m, wheelbase 100 mm, track 80 mm. By hand: R = 4.09/0.6 = 6.8167 m. */
    public function testADriftToTheLeftIsCuredAtTheRightEnd(): void
    {
        $steering = Steering::ofDrift(0.30, Side::Left, 2.0, 0.100, 0.080);

        self::assertEqualsWithDelta(6.816667, $steering->radiusM, 1e-6);
        self::assertEqualsWithDelta(0.8405, rad2deg($steering->angle), 1e-4);
        self::assertEqualsWithDelta(0.0011737, $steering->moveM, 1e-7);

        $said = $this->diagnose(['wheelbase' => 100, 'track' => 80])->of(Symptom::Veers, 0.30, 2.0)[0];
        self::assertStringContainsString("Drifts 30\u{00A0}cm left over 2\u{00A0}m", $said->reason);
        self::assertSame(
            "Axles 0.84° out of parallel on a 10\u{00A0}cm wheelbase: move the right end of the front axle back by 1.2\u{00A0}mm, on a 8\u{00A0}cm track.",
            $said->cure,
        );
        self::assertStringContainsString(
            'move the left end of the front axle back',
            $this->diagnose(['wheelbase' => 100, 'track' => 80])->of(Symptom::Veers, -0.30, 2.0)[0]->cure,
        );
    }

    /** Left 98.83, right 100.00 on a track of 80: the left is shorter, so it turns left, by 0.84°; and over 2 m it is 30 cm off again. */
    public function testAxlesMeasuredOnBothSidesTellTheSameStory(): void
    {
        $steering = Steering::ofAxles(0.0988263, 0.1, 0.08);

        self::assertNotNull($steering);
        self::assertSame(Side::Left, $steering->towards);
        self::assertEqualsWithDelta(0.8405, rad2deg($steering->angle), 1e-3);
        self::assertEqualsWithDelta(0.30, $steering->driftOver(2.0), 0.003);
        self::assertSame(Side::Right, Steering::ofAxles(0.101, 0.1, 0.08)?->towards);
        self::assertNull(Steering::ofAxles(0.1, 0.1, 0.08));
    }

    /** A car that moves so that its wheels roll on the circle, step by step, ends where the formula says. */
    public function testTheCircleIsWhereRollingLeads(): void
    {
        $steering = Steering::ofDrift(0.30, Side::Left, 2.0, 0.1, 0.08);
        [$x, $y, $heading] = [0.0, 0.0, 0.0];
        for ($step = 0; $x < 2.0; $step++) {
            $x += 1e-5 * cos($heading);
            $y += 1e-5 * sin($heading);
            $heading += 1e-5 * $steering->angle / 0.1;
        }

        self::assertEqualsWithDelta(0.30, $y, 1e-4);
        self::assertEqualsWithDelta(0.30, $steering->driftOver(2.0), 1e-12);
        self::assertSame($steering->radiusM, $steering->driftOver(100.0), 'it has turned back by then');
        // Wheels of 30 mm fast on one axle: ΔD = D·b/R.
        self::assertEqualsWithDelta(0.03 * 0.08 / 6.816667, $steering->asUnequalWheelsM(0.03, 0.08), 1e-9);
    }

    public function testADriftOfNothingHasNoCircle(): void
    {
        self::assertNull((new Diagnosis(new Car(), $this->card([]), Catalogue::standard()))->steering(0.0, 2.0));
        $this->expectException(\DomainException::class);
        Steering::ofDrift(0.0, Side::Left, 2.0, 0.1, 0.08);
    }

    /** @return iterable<string, array{CheckItem, float, float|null, CheckVerdict}> SI */
    public static function readings(): iterable
    {
        yield 'turns long' => [CheckItem::Spin, 5.0, null, CheckVerdict::Pass];
        yield 'turns a little' => [CheckItem::Spin, 1.5, null, CheckVerdict::Note];
        yield 'stops at once' => [CheckItem::Spin, 0.5, null, CheckVerdict::Fix];
        yield 'end play as usual' => [CheckItem::EndPlay, 0.0015, null, CheckVerdict::Pass];
        yield 'on the limit' => [CheckItem::EndPlay, 0.002, null, CheckVerdict::Pass];
        yield 'a little tight' => [CheckItem::EndPlay, 0.0005, null, CheckVerdict::Note];
        yield 'far too long' => [CheckItem::EndPlay, 0.006, null, CheckVerdict::Fix];
        yield 'round' => [CheckItem::Wobble, 0.0005, null, CheckVerdict::Pass];
        yield 'parallel' => [CheckItem::Parallel, 0.1, 0.1, CheckVerdict::Pass];
        yield 'half a degree and more' => [CheckItem::Parallel, 0.1, 0.101, CheckVerdict::Note];
        yield 'out of parallel' => [CheckItem::Parallel, 0.1, 0.097, CheckVerdict::Fix];
        yield 'straight' => [CheckItem::Drift, 0.05, 2.0, CheckVerdict::Pass];
        yield 'crooked' => [CheckItem::Drift, 0.40, 2.0, CheckVerdict::Fix];
        yield 'tight' => [CheckItem::Airtight, 0.0, null, CheckVerdict::Pass];
        yield 'leaks' => [CheckItem::Airtight, 0.02, null, CheckVerdict::Fix];
    }

    #[DataProvider('readings')]
    public function testAReadingIsJudgedByTheUsualLimits(CheckItem $item, float $first, ?float $second, CheckVerdict $expected): void
    {
        self::assertSame($expected, $this->reading($item, $first, $second)->verdict(new Tolerances(), 0.08));
    }

    public function testAnAngleNeedsTheTrackAndADriftItsDistance(): void
    {
        self::assertNull($this->reading(CheckItem::Parallel, 0.1, 0.097)->verdict(new Tolerances(), null));
        self::assertNull($this->reading(CheckItem::Drift, 0.1, null)->verdict(new Tolerances(), 0.08));
        self::assertSame(CheckVerdict::Note, (new Reading(CheckItem::Spin, note: 'squeaks'))->verdict(new Tolerances(), null));
        self::assertNull((new Reading(CheckItem::PointsOff))->verdict(new Tolerances(), null));
    }

    public function testAChallengeSetsItsOwnLimits(): void
    {
        $strict = new Tolerances(['wobble' => new Tolerance(null, 0.0002, null, 0.0004)]);

        self::assertSame(CheckVerdict::Fix, $this->reading(CheckItem::Wobble, 0.0005, null)->verdict($strict, null));
        self::assertSame(CheckVerdict::Pass, $this->reading(CheckItem::Spin, 5.0, null)->verdict($strict, null));
        self::assertTrue((new Tolerance(0.001, 0.002, 0.0003, 0.004))->isInOrder());
        self::assertFalse((new Tolerance(0.001, 0.002, 0.0015, 0.004))->isInOrder());
        foreach (CheckItem::cases() as $item) {
            self::assertSame($item->isQuestion(), $item->usualTolerance() === null);
            self::assertTrue($item->usualTolerance()?->isInOrder() ?? true);
        }
    }

    public function testACardKnowsWhatIsDoneAndWhatIsOpen(): void
    {
        $card = $this->card([
            $this->reading(CheckItem::Spin, 5.0, null), $this->reading(CheckItem::EndPlay, 0.006, null),
            new Reading(CheckItem::PointsOff, answer: false),
        ]);

        self::assertSame([3, false, false], [$card->done(), $card->isComplete(), $card->isReady()]);
        self::assertSame([CheckItem::EndPlay, CheckItem::PointsOff], $card->with(CheckVerdict::Fix));
        self::assertSame(CheckItem::Wobble, $card->next());
        self::assertSame([Symptom::Wanders], Symptom::ofCard($card), 'points that stick out make no run worse');

        $ready = array_map(
            fn(CheckItem $item): Reading => $item->isQuestion()
            ? new Reading($item, answer: true)
            : $this->reading(
                $item,
                ['spin' => 5.0, 'end-play' => 0.0015, 'parallel' => 0.1][$item->value] ?? 0.0,
                $item === CheckItem::Drift ? 2.0 : 0.1,
            ),
            CheckItem::cases(),
        );
        self::assertTrue($this->card($ready)->isReady());
        self::assertNull($this->card($ready)->next());
    }

    public function testAMeasuredAngleThatExplainsTheDriftComesFirst(): void
    {
        $axles = $this->reading(CheckItem::Parallel, 0.0988, 0.1);
        $left = $this->diagnose(['wheelbase' => 100, 'track' => 80], [$axles])->of(Symptom::Veers, 0.30, 2.0)[0];
        self::assertSame(['Axles not parallel', Likelihood::Shown], [$left->title, $left->likelihood]);
        self::assertStringContainsString('steer left, as it ran', $left->reason);

        $right = $this->diagnose(['wheelbase' => 100, 'track' => 80], [$axles])->of(Symptom::Veers, -0.30, 2.0);
        self::assertNotSame('Axles not parallel', $right[0]->title, 'they steer the other way');
        self::assertSame(Likelihood::Unlikely, $this->named('Axles not parallel', $right)->likelihood);
    }

    public function testTheHandsDriftServesWhereTheRunsWasNotMeasured(): void
    {
        $cause = $this->diagnose(
            ['wheelbase' => 100, 'track' => 80],
            [$this->reading(CheckItem::Drift, 0.3, 2.0, Side::Right)],
        )->of(Symptom::Veers)[0];

        self::assertStringContainsString("Drifts 30\u{00A0}cm right over 2\u{00A0}m", $cause->reason);
        self::assertStringContainsString('move the left end', $cause->cure);
        self::assertStringContainsString('Measure the drift', $this->diagnose([])->of(Symptom::Veers)[0]->cure);
    }

    /** @return iterable<string, array{Symptom, array<string, float|int>, array<int, array{CheckItem, float|bool}>, string, Likelihood, string}> */
    public static function cases(): iterable
    {
        yield 'no end play' => [
            Symptom::WheelsStop, [], [[CheckItem::EndPlay, 0.0001]], 'No end play', Likelihood::Shown,
            "apart until the axle slides 1\u{00A0}mm",
        ];
        yield 'thick axle' => [
            Symptom::WheelsStop, ['axle_diameter' => 4.8, 'bearing_bore' => 5], [[CheckItem::EndPlay, 0.0015]],
            'Axle too thick for its bearing', Likelihood::Shown, 'thinner axle',
        ];
        yield 'long axle' => [Symptom::Wanders, ['end_play' => 8], [], 'Axle too long', Likelihood::Shown, "6.5\u{00A0}mm closer"];
        yield 'wide bearing' => [
            Symptom::Wanders, ['end_play' => 1.5, 'axle_diameter' => 3, 'bearing_bore' => 8], [], 'Bearing too wide for the axle',
            Likelihood::Shown, 'narrower',
        ];
        yield 'wheel not square' => [
            Symptom::Wobbles, ['wheel_diameter' => 60], [[CheckItem::Wobble, 0.004]], 'Wheel not square to its axle', Likelihood::Shown,
            'hub',
        ];
        yield 'too heavy' => [
            Symptom::DoesNotStart, ['mass' => 390, 'nozzle_bore' => 3], [[CheckItem::Spin, 5.0], [CheckItem::NozzleStraight, true]],
            'Too heavy for its thrust', Likelihood::Shown, 'below',
        ];
        yield 'pinched' => [
            Symptom::DoesNotStart, ['mass' => 50], [[CheckItem::NozzleStraight, false]], 'Nozzle pinched or closed', Likelihood::Shown,
            'Straighten',
        ];
        yield 'leak' => [Symptom::Hisses, [], [[CheckItem::Airtight, 0.02]], 'Leak at the neck', Likelihood::Shown, 'Seal again'];
        yield 'bundle' => [
            Symptom::Hisses, ['nozzle_outlets' => 4], [[CheckItem::Airtight, 0.0]], 'Gaps between bundled straws', Likelihood::Hinted,
            'putty',
        ];
        yield 'loose band' => [Symptom::BalloonOff, ['band_turns' => 2], [], 'Joint too loose', Likelihood::Shown, 'three or four'];
        yield 'wide joint' => [
            Symptom::BalloonOff, ['band_turns' => 4, 'joint_width' => 20, 'neck_width' => 15], [], 'Joint too wide', Likelihood::Shown,
            'fewer straws',
        ];
        yield 'tight band' => [Symptom::AirTooSlow, ['band_turns' => 9], [], 'Band too tight', Likelihood::Shown, 'Three or four'];
        yield 'low nozzle' => [
            Symptom::BalloonDrags, ['balloon_size' => 260, 'nozzle_overhang' => 0, 'nozzle_length' => 180, 'chassis_length' => 150], [],
            'It hangs beyond the chassis', Likelihood::Hinted, 'Move the nozzle back by',
        ];
        yield 'no stops' => [Symptom::WheelOff, ['end_play' => 6], [], 'No stop outside the wheel', Likelihood::Hinted, 'elastic band'];
        yield 'friction' => [
            Symptom::ShortRun, ['mass' => 60], [[CheckItem::Spin, 0.3]], 'Friction in the bearings', Likelihood::Shown, 'larger wheels',
        ];
        yield 'overfilled' => [
            Symptom::Bursts, ['balloon_nominal' => 300, 'balloon_size' => 290], [], 'Filled too far', Likelihood::Shown, "27\u{00A0}cm",
        ];
        yield 'sharp edge' => [
            Symptom::Bursts, ['balloon_nominal' => 300, 'balloon_size' => 200], [[CheckItem::PointsOff, false]], 'A sharp edge',
            Likelihood::Shown, 'tape',
        ];
        yield 'damp' => [Symptom::Moist, [], [], 'Filled by mouth', Likelihood::Possible, 'pump'];
    }

    /**
     * @param array<string, float|int> $car
     * @param list<array{CheckItem, float|bool}> $checked
     */
    #[DataProvider('cases')]
    public function testTheCauseThatTheCarShowsComesFirst(
        Symptom $symptom,
        array $car,
        array $checked,
        string $title,
        Likelihood $likelihood,
        string $cure,
    ): void {
        $readings = array_map(
            fn(array $check): Reading => is_bool($check[1])
                ? new Reading($check[0], answer: $check[1])
                : $this->reading($check[0], $check[1], null),
            $checked,
        );
        $causes = $this->diagnose($car, $readings)->of($symptom);

        self::assertSame([$title, $likelihood], [$causes[0]->title, $causes[0]->likelihood]);
        self::assertStringContainsString($cure, $causes[0]->cure);
        self::assertSame($causes, array_values($causes));
        $ranks = array_map(static fn(object $cause): int => $cause->likelihood->value, $causes);
        $sorted = $ranks;
        rsort($sorted);
        self::assertSame($sorted, $ranks);
    }

    /** @return iterable<string, array{Symptom, string, array<string, float|int>, string, float, Likelihood, float, Likelihood}> what is known besides, the measure, and what it says on this side of the limit and on that */
    public static function causesAtTheirLimits(): iterable
    {
        $axle = ['axle_diameter' => 3.0];
        yield 'end play that binds' => [
            Symptom::WheelsStop, 'no_end_play', [], 'end_play', 0.99, Likelihood::Shown, 1.0, Likelihood::Unlikely,
        ];
        yield 'end play that wanders' => [
            Symptom::Wanders, 'axle_too_long', [], 'end_play', 2.0, Likelihood::Unlikely, 2.01, Likelihood::Hinted,
        ];
        yield 'end play that is loose' => [
            Symptom::Wanders, 'axle_too_long', [], 'end_play', 4.0, Likelihood::Hinted, 4.01, Likelihood::Shown,
        ];
        yield 'a wheel that may come off' => [
            Symptom::WheelOff, 'no_stop', [], 'end_play', 4.0, Likelihood::Possible, 4.01, Likelihood::Hinted,
        ];
        yield 'a tight bearing' => [
            Symptom::WheelsStop, 'axle_too_thick', $axle, 'bearing_bore', 3.49, Likelihood::Shown, 3.51, Likelihood::Unlikely,
        ];
        yield 'a wide bearing' => [
            Symptom::Wanders, 'bearing_too_wide', $axle, 'bearing_bore', 5.99, Likelihood::Unlikely, 6.01, Likelihood::Shown,
        ];
        yield 'few turns' => [Symptom::BalloonOff, 'joint_too_loose', [], 'band_turns', 2, Likelihood::Shown, 3, Likelihood::Unlikely];
        yield 'many turns' => [Symptom::AirTooSlow, 'band_too_tight', [], 'band_turns', 4, Likelihood::Unlikely, 5, Likelihood::Shown];
        yield 'a wide joint' => [
            Symptom::BalloonOff, 'joint_too_wide', ['neck_width' => 15], 'joint_width', 15, Likelihood::Unlikely, 15.1, Likelihood::Shown,
        ];
        yield 'a narrow bore' => [
            Symptom::AirTooSlow, 'nozzle_too_narrow', [], 'nozzle_bore', 4.99, Likelihood::Hinted, 5.0, Likelihood::Possible,
        ];
        yield 'a thick axle' => [
            Symptom::DoesNotStart, 'small_wheels', ['wheel_diameter' => 50], 'axle_diameter', 6.0, Likelihood::Possible, 6.01,
            Likelihood::Hinted,
        ];
        yield 'a heavy car' => [Symptom::ShortRun, 'heavy_extras', [], 'mass', 90, Likelihood::Possible, 90.1, Likelihood::Hinted];
        yield 'near bursting' => [
            Symptom::Bursts, 'filled_too_far', ['balloon_nominal' => 300], 'balloon_size', 269.9, Likelihood::Unlikely, 270.1,
            Likelihood::Shown,
        ];
        yield 'one outlet or more' => [
            Symptom::Hisses, 'gaps_between_straws', [], 'nozzle_outlets', 1, Likelihood::Unlikely, 2, Likelihood::Hinted,
        ];
        yield 'wheels that rub' => [Symptom::WheelsStop, 'no_end_play', [], 'end_play', 0.0, Likelihood::Shown, 1.5, Likelihood::Unlikely];
    }

    /** @param array<string, float|int> $car */
    #[DataProvider('causesAtTheirLimits')]
    public function testACauseBeginsAtItsLimit(
        Symptom $symptom,
        string $key,
        array $car,
        string $measure,
        float|int $before,
        Likelihood $isThen,
        float|int $beyond,
        Likelihood $becomes,
    ): void {
        $likelihood = function (float|int $value) use ($symptom, $key, $car, $measure): Likelihood {
            $causes = (
                new Diagnosis($this->car([$measure => $value] + $car), new CheckCard([]), Catalogue::standard(), 'varnished wood')
            )->of($symptom);

            return array_column($causes, 'likelihood', 'key')[$key];
        };

        self::assertSame([$isThen, $becomes], [$likelihood($before), $likelihood($beyond)]);
    }

    public function testACarIsNearlyTooHeavyBeforeItIs(): void
    {
        $car = fn(float $kg): Car => $this->car(['nozzle_angle' => 0, 'mass' => 1000 * $kg]);
        // What its push could just start: T cos θ over f·b·g. The load presses on the axles, so f goes with the mass.
        $could = static function (float $kg) use ($car): float {
            $settings = CarModel::of($car($kg), Catalogue::standard(), 'varnished wood')->settings;

            return $settings->design()->firstThrustN() / (
                $settings->rollingCoefficient() * $settings->get(CarAttribute::BreakawayRatio) * Constants::GRAVITY_M_S2
            );
        };
        $likelihood = static function (float $share) use ($car, $could): Likelihood {
            $kg = 0.1;
            for ($i = 0; $i < 40; $i++) {
                $kg = $share * $could($kg);
            }
            $causes = (new Diagnosis($car($kg), new CheckCard([]), Catalogue::standard(), 'varnished wood'))->of(Symptom::DoesNotStart);

            return array_column($causes, 'likelihood', 'key')['too_heavy'];
        };

        self::assertSame(
            [Likelihood::Unlikely, Likelihood::Hinted, Likelihood::Hinted, Likelihood::Shown],
            array_map($likelihood, [0.599, 0.601, 0.999, 1.001]),
        );
    }

    public function testEverySymptomHasCausesForACarOfWhichNothingIsKnown(): void
    {
        foreach (Symptom::cases() as $symptom) {
            foreach ((new Diagnosis(new Car(), new CheckCard([]), Catalogue::standard(), 'short carpet'))->of($symptom) as $found) {
                $cause = Spoken::cause($found, UnitSystem::Imperial);
                self::assertStringNotContainsString(
                    'diagnosis.',
                    "{$cause->title} {$cause->reason} {$cause->cure}",
                    'every cause has its words',
                );
                self::assertDoesNotMatchRegularExpression('/NAN|INF|\bcm\b|\bmm\b/', "{$cause->reason} {$cause->cure}", $symptom->value);
            }
        }
        self::assertSame(Symptom::DoesNotStart, Symptom::ofVoid(VoidReason::NoStart));
        self::assertNull(Symptom::ofVoid(VoidReason::Pushed));
    }

    public function testWhatTheBenchMeasuredDecidesWhetherACarIsTooHeavy(): void
    {
        $car = $this->car(['mass' => 60, 'nozzle_bore' => 6]);
        $card = $this->card([$this->reading(CheckItem::Spin, 5.0, null), new Reading(CheckItem::NozzleStraight, answer: true)]);
        $tooHeavy = static function (?CarModel $model) use ($car, $card): object {
            $causes = (new Diagnosis($car, $card, Catalogue::standard(), 'varnished wood', model: $model))->of(Symptom::DoesNotStart);

            return Spoken::cause(array_values(array_filter($causes, static fn(Cause $cause): bool => $cause->key === 'too_heavy'))[0]);
        };
        $parts = CarModel::of($car, Catalogue::standard(), 'varnished wood');
        self::assertNotSame(Likelihood::Shown, $tooHeavy(null)->likelihood, 'its parts would let it start');
        self::assertStringContainsString('it pushes with', $tooHeavy(null)->reason);
        $measured = $tooHeavy($parts->with(CarAttribute::RollingCoefficient, 0.3));
        self::assertSame(Likelihood::Shown, $measured->likelihood, 'its axles rub more than its parts say');
        self::assertStringContainsString('By what its parts and the bench say, it pushes with', $measured->reason);
    }

    /**
     * @param array<string, float|int> $car
     * @param list<Reading> $readings
     */
    private function diagnose(array $car, array $readings = []): object
    {
        return new class (new Diagnosis($this->car($car), $this->card($readings), Catalogue::standard(), 'varnished wood')) {
            public function __construct(private readonly Diagnosis $diagnosis) {}

            /** @return list<object> the causes in words */
            public function of(Symptom $symptom, ?float $driftM = null, ?float $overM = null): array
            {
                return array_map(Spoken::cause(...), $this->diagnosis->of($symptom, $driftM, $overM));
            }
        };
    }

    /** @param list<Reading> $readings */
    private function card(array $readings): CheckCard
    {
        return new CheckCard(
            array_column(array_map(static fn(Reading $reading): array => [$reading->item->value, $reading], $readings), 1, 0),
            new Tolerances(),
            0.08,
        );
    }

    private function reading(CheckItem $item, float $first, ?float $second, Side $side = Side::Left): Reading
    {
        $entry = static fn(float $si, Dimension $dimension): Entry => new Entry(Quantity::fromSi($si, $dimension), (string) $si);

        return new Reading(
            $item,
            $entry($first, $item->dimension()),
            $second === null || !$item->hasSecond() ? null : $entry($second, Dimension::Length),
            $side,
        );
    }

    /** @param list<object> $causes in words */
    private function named(string $title, array $causes): object
    {
        return array_values(array_filter($causes, static fn(object $cause): bool => $cause->title === $title))[0];
    }
}
