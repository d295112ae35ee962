<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\PartName;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\AllowedFor;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ClassData;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Contributions;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\NextTest;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Statistics\Sample;

/** One analysis for every class, held by classes whose answer anybody sees. */
final class ComparisonTest extends TestCase
{
    /** What most educators have: three kinds of wheels that differ in size and mass at once; mass goes along, distances stand in order. */
    private const NATURAL = [
        ['bottle caps', 0.03, 0.058, 2.51], ['bottle caps', 0.03, 0.072, 2.80], ['bottle caps', 0.03, 0.066, 2.95],
        ['jar lids', 0.07, 0.081, 3.60], ['jar lids', 0.07, 0.092, 3.95], ['jar lids', 0.07, 0.088, 4.10],
        ['discs', 0.12, 0.124, 5.50], ['discs', 0.12, 0.110, 6.00], ['discs', 0.12, 0.118, 6.36],
    ];

    public function testANaturalClassIsAnswered(): void
    {
        $found = $this->natural();
        self::assertSame(Answer::More, $found->answer);
        self::assertCount(9, $found->asked?->cars() ?? [], 'nobody is left out');
        self::assertSame(
            [CarAttribute::Mass],
            array_map(static fn(AllowedFor $each): CarAttribute => $each->attribute, $found->asked->together()),
        );
        $shares = $found->asked->shares();
        self::assertNotNull($shares);
        self::assertEqualsWithDelta(5.953 - 2.753, $shares->total(), 0.01);
        $parts = array_sum(array_map(static fn(AllowedFor $each): float => $each->makes, $shares->others));
        self::assertEqualsWithDelta($shares->total(), $shares->own + $parts + $shares->hands, 1e-9, 'they add up');
        self::assertGreaterThan(0.5 * $shares->total(), $shares->own);
        self::assertNotNull($found->byPush);
        self::assertLessThan(0.5, $found->byPush, 'wheels roll, they do not push');
    }

    public function testAFreeDesignNamesTheWheels(): void
    {
        $found = $this->natural(asks: null);
        self::assertNull($found->answer);
        self::assertContains($found->foremost()[0]->factor, [CarAttribute::WheelDiameter, CarAttribute::WheelKind]);
        self::assertTrue($found->claims->verdict($found->foremost()[0])->isTold());
        self::assertCount(1, $found->foremost(), 'the kind of wheels and their diameter say the same');
    }

    public function testMassesThatNobodyRecordedWidenTheAnswerAndSilenceNobody(): void
    {
        $known = $this->natural()->asked;
        $unknown = $this->natural(without: [0, 1, 2, 3, 4, 5, 6, 7, 8]);
        self::assertCount(9, $unknown->asked?->cars() ?? []);
        self::assertNotNull($unknown->asked->interval);
        self::assertNotNull($known?->interval);
        self::assertContains($unknown->answer, [Answer::More, Answer::LooksMore]);
        $width = static fn(Effect $effect): float => log($effect->intervalAt(0.95)?->high ?? 0.0) - log($effect->mean);
        self::assertGreaterThan($width($known), $width($unknown->asked));
    }

    /** Whoever wrote “bottle caps” and no size is compared by the size of bottle caps in the list of parts, give or take. */
    public function testSizesThatNobodyTypedAreThoseOfTheirParts(): void
    {
        $typed = $this->natural()->asked;
        $found = $this->natural(unsized: true);
        self::assertSame(Answer::More, $found->answer);
        self::assertCount(9, $found->asked?->cars() ?? []);
        self::assertSame([0.03, 0.12], [$found->asked->least, $found->asked->most]);
        self::assertEqualsWithDelta($typed?->mean, $found->asked->mean, 0.25 * ($typed->mean ?? 0.0));
        // Of a part that no list has, nobody knows the size.
        $rows = self::NATURAL;
        $rows[8][0] = 'wooden wheels';
        $found = $this->natural($rows, unsized: true);
        self::assertNotContains('g8-1', $found->asked?->cars() ?? []);
        self::assertContains('g8-1', array_map(static fn(ComparedCar $car): string => $car->id, $found->asked->left ?? []));
    }

    /** Nobody typed more than the wheels: what the rest must be like for these cars to run so far is enough to compare them by. */
    public function testWhoTypedHardlyAnythingIsAnsweredTheSame(): void
    {
        $cars = [];
        foreach (self::NATURAL as $index => [$wheels, , $mass, $mean]) {
            $runs = array_map(
                static fn(int $try, float $times): Run => new Run("{$index}-{$try}", $try, $times * $mean),
                [1, 2, 3],
                [0.96, 1.0, 1.04],
            );
            $name = $wheels === 'discs' ? 'CDs' : $wheels;
            $car = $this->car([CarAttribute::Mass->value => $mass], $name);
            $cars[] = new RecordedCar("g{$index}-1", "g{$index}", 1, $car, new Tries($runs, 3));
        }
        $found = Findings::of(
            new ClassData($cars, new Question(CarAttribute::WheelDiameter, Outcome::Distance), catalogue: Catalogue::standard()),
            draws: 100,
        );
        self::assertCount(9, $found->asked?->cars() ?? []);
        self::assertSame(Answer::More, $found->answer);
        self::assertSame([], $found->forecast->forecasts, 'and nothing is forecast of them');
    }

    /** Whose friction a bench measured is compared as if all rubbed alike; but not where the question is what rubs. */
    public function testMeasuredFrictionIsAllowedFor(): void
    {
        $found = [];
        foreach ([false, true] as $isMeasured) {
            $cars = [];
            foreach ([0.05, 0.07, 0.06, 0.09, 0.08, 0.055, 0.075, 0.065] as $index => $friction) {
                $sizes = [
                    CarAttribute::NozzleBore->value => $index % 2 === 0 ? 0.006 : 0.008, CarAttribute::BalloonSize->value => 0.2,
                    CarAttribute::Mass->value => 0.06, CarAttribute::WheelDiameter->value => $index % 4 < 2 ? 0.03 : 0.04,
                ];
                $far = Settings::of($sizes)->with(CarAttribute::RollingCoefficient, $friction)->run()->distanceM;
                $runs = array_map(
                    static fn(int $try, float $times): Run => new Run("{$index}-{$try}", $try, $times * $far),
                    [1, 2, 3],
                    [0.96, 1.0, 1.04],
                );
                $bench = $isMeasured ? [BenchTest::Ramp->value => array_fill(0, 3, [0.1, 0.1 / $friction])] : [];
                $cars[] = new RecordedCar("g{$index}-1", "g{$index}", 1, $this->car($sizes, 'bottle caps'), new Tries($runs, 3), $bench);
            }
            $found[] = Findings::of(
                new ClassData($cars, new Question(CarAttribute::NozzleBore, Outcome::Distance), catalogue: Catalogue::standard()),
                draws: 100,
            );
        }
        [$without, $with] = $found;
        $width = static fn(?Effect $effect): float => ($effect?->interval?->high ?? INF) - ($effect?->interval?->low ?? -INF);
        self::assertLessThan(0.6 * $width($without->asked), $width($with->asked));
        self::assertContains(CarAttribute::Workmanship, array_column($with->asked->allowed ?? [], 'attribute'));
        $ofWheels = array_values(array_filter(
            $with->effects,
            static fn(Effect $effect): bool => $effect->factor === CarAttribute::WheelDiameter && $effect->outcome === Outcome::Distance,
        ));
        self::assertNotContains(CarAttribute::Workmanship, array_column($ofWheels[0]->allowed ?? [], 'attribute'));
    }

    public function testACarOfItsOwnKindIsComparedAsWell(): void
    {
        $rows = self::NATURAL;
        $rows[8][0] = 'wooden wheels';
        $found = $this->natural($rows);
        self::assertContains('g8-1', $found->asked?->cars() ?? []);
        self::assertSame(Answer::More, $found->answer);
    }

    /** Three ways to spell one part are one kind, and a plural of a listed one is the listed one. */
    public function testSpellingsAreNoKinds(): void
    {
        $rows = self::NATURAL;
        foreach (['Bottle cap', 'bottle  caps', 'botle caps', 'jar lid', 'Jar-lids', 'jar lids', 'CD', 'CDs', 'cds'] as $index => $name) {
            $rows[$index][0] = $name;
        }
        $found = $this->natural($rows);
        self::assertSame(Answer::More, $found->answer);
        $kinds = [];
        foreach ($found->effects as $effect) {
            if ($effect->factor === CarAttribute::WheelKind) {
                array_push($kinds, $effect->from, $effect->to);
            }
        }
        self::assertEqualsCanonicalizing(['bottle caps', 'jar lids', 'optical discs'], array_values(array_unique($kinds)));
        foreach (
            [
                ['CDs', 'CD', true], ['straw', 'staw', true], ['foam board', 'Foamboards', true], ['caps', 'cups', false],
                ['round 30 cm', 'round 25 cm', false], ['lid', 'lip', false], ['bottle caps', 'jar lids', false], ['', '', false],
            ] as [$one, $other, $isOne]
        ) {
            self::assertSame($isOne, PartName::isNearly($one, $other), "{$one} and {$other}");
        }
        self::assertNull(PartName::among('stray', ['straw', 'strap']), 'nearly two is neither');
    }

    public function testCarsThatAreAllAlikeHaveNoGraphAndAGroupAloneHasNoSay(): void
    {
        $rows = array_map(static fn(array $row): array => ['bottle caps', 0.03, 0.06, $row[3]], self::NATURAL);
        $found = $this->natural($rows);
        self::assertNull($found->asked);
        self::assertSame(Answer::CannotTell, $found->answer);
        $few = $this->natural(array_slice(self::NATURAL, 2, 3));
        self::assertFalse($few->asked?->isPooled());
        self::assertSame(Answer::CannotTell, $few->answer);
    }

    /**
     * A car that went past the end is at least as far; one that never started is at most nowhere: neither is left out, nor taken as it
     * stands.
     */
    public function testBoundsAreBounds(): void
    {
        $past = $this->natural(pastEnd: [6, 7, 8], lane: 5.0);
        self::assertTrue($past->asked?->isBounded());
        self::assertSame(Answer::More, $past->answer);
        $rows = array_map(static fn(array $row): array => [$row[0], $row[1], $row[2], min(5.0, $row[3])], self::NATURAL);
        self::assertGreaterThan((float) $this->natural($rows)->asked?->mean, $past->asked->mean, 'more than the lane shows');
        $rows = array_map(static fn(array $row): array => [$row[0], $row[1], 0.06, 4.0 + $row[2]], self::NATURAL);
        $flat = $this->natural($rows, pastEnd: [0, 4, 8], lane: 4.0);
        self::assertNotSame(Answer::HardlyMatters, $flat->answer, 'nobody knows by how much they passed');
        $rows = self::NATURAL;
        $rows[0][3] = 0.0;
        $zero = $this->natural($rows);
        self::assertCount(9, $zero->asked?->cars() ?? []);
        self::assertTrue(is_finite($zero->asked->mean));
    }

    /** Balloons that lose 4 % from try to try make no answer, when some groups rebuilt and ran later. */
    public function testWearIsNoEffect(): void
    {
        $cars = [];
        for ($group = 0; $group < 8; $group++) {
            $own = 3.0 * (0.9 + 0.025 * (($group * 3) % 8));
            $tries = static fn(int $from): Sample => new Sample(
                array_map(static fn(int $try): float => $own * 0.96 ** ($from + $try), [0, 1, 2]),
            );
            $cars[] = $this->compared("{$group}", 1, 0.006, $tries(0));
            $cars[] = $this->compared("{$group}", 2, 0.008, $tries(3));
        }
        $effect = Effect::of($cars, CarAttribute::NozzleBore);
        self::assertFalse($effect?->isClear());
        self::assertSame(8, $effect->groups());
        self::assertCount(8, $effect->rebuilt());
        // The tries lost 11.5 % from the one version to the other, and next to nothing of that is the bore's.
        self::assertEqualsWithDelta(0.0, $effect->mean, 0.1);
    }

    /** A group that rebuilt four times is one witness. */
    public function testAGroupSpeaksOnceHoweverOftenItRebuilt(): void
    {
        $cars = array_map(
            fn(int $version): ComparedCar => $this->compared(
                'a',
                $version,
                0.005 + 0.001 * $version,
                new Sample([$version, $version + 0.1]),
            ),
            [1, 2, 3, 4],
        );
        $effect = Effect::of($cars, CarAttribute::NozzleBore);
        self::assertSame(1, $effect?->groups());
        self::assertNull($effect->interval);
    }

    /** What one group alone has can't be told from its hands, however far its car went. */
    public function testWhatOneGroupAloneHasIsNoClaim(): void
    {
        $cars = [];
        foreach ([3.0, 2.8, 3.1, 2.9, 3.0, 3.05, 6.5] as $index => $mean) {
            $cars[] = $this->compared("g{$index}", 1, $index === 6 ? 0.009 : 0.006, new Sample([0.99 * $mean, $mean, 1.01 * $mean]));
        }
        $effect = Effect::of($cars, CarAttribute::NozzleBore);
        self::assertTrue($effect?->hangsOnOneGroup());
        self::assertNull($effect->interval);
        $cars[] = $this->compared('g7', 1, 0.009, new Sample([6.2, 6.3, 6.4]));
        $two = Effect::of($cars, CarAttribute::NozzleBore);
        self::assertFalse($two?->hangsOnOneGroup());
        self::assertTrue($two->isClear());
    }

    public function testItLooksLikeItOnlyWhereTheCarsGoOneWay(): void
    {
        // Everything with wider bores is lighter as well, and the model has mass make as much: the cars go one way, and nobody can say by
        // what.
        $cars = $logs = [];
        foreach ([2.0, 2.3, 2.5, 2.9, 3.2, 3.6, 4.1] as $index => $mean) {
            $cars[] = $this->compared("g{$index}", 1, 0.005 + 0.0005 * $index, new Sample([0.97 * $mean, $mean, 1.03 * $mean]));
            $logs["g{$index}-1"] = 0.2 * ($index - 3);
        }
        $effect = Effect::of($cars, CarAttribute::NozzleBore, contributions: new Contributions(['mass' => $logs]));
        self::assertFalse($effect?->isClear());
        self::assertSame(1, $effect->looks());
        self::assertSame(Answer::LooksMore, Answer::of($effect, 3.0));
        self::assertSame(
            [CarAttribute::Mass],
            array_map(static fn(AllowedFor $each): CarAttribute => $each->attribute, $effect->together()),
        );
        // Without it, they tell.
        self::assertSame(Answer::More, Answer::of(Effect::of($cars, CarAttribute::NozzleBore), 3.0));
    }

    public function testTheNextTestCanShowWhatItLooksFor(): void
    {
        $cars = [];
        foreach ([3.0, 2.4, 2.7, 3.4, 2.6, 3.1] as $index => $mean) {
            $cars[] = $this->compared("g{$index}", 1, $index % 2 === 0 ? 0.006 : 0.008, new Sample([0.95 * $mean, $mean, 1.05 * $mean]));
        }
        $question = new Question(CarAttribute::NozzleBore);
        $effects = Effect::all($cars);
        $claims = Claims::of($effects, $question, ['distance' => 2.9]);
        $propose = static fn(?float $model, ?\Closure $mayBe = null): ?NextTest => NextTest::propose(
            $cars,
            $effects,
            $claims,
            $question,
            $mayBe ?? static fn(): bool => true,
            static fn(ComparedCar $car, CarAttribute $attribute, float|string $to): ?float => $model === null
                ? null
                : ((float) $to > 0.007 ? $model : -$model),
        );
        $test = $propose(0.5);
        self::assertSame(CarAttribute::NozzleBore, $test?->factor);
        self::assertGreaterThanOrEqual($test->showsM, abs($test->expectsM));
        self::assertLessThanOrEqual(3, count($test->changes));
        foreach ($test->changes as $change) {
            self::assertEqualsCanonicalizing([0.006, 0.008], [$change->from, $change->to]);
        }
        self::assertNull($propose(0.01), 'what can’t show is not proposed');
        self::assertNull($propose(0.5, static fn(): bool => false), 'no proposal breaks a rule');
    }

    /**
     * @param list<array{string, float, float, float}> $rows kind of wheels, their diameter (m), mass (kg), mean distance (m)
     * @param list<int> $without whose mass nobody recorded
     * @param list<int> $pastEnd whose tries all passed the end of the lane
     * @param bool $unsized whether nobody typed how large the wheels are
     */
    private function natural(
        array $rows = self::NATURAL,
        ?CarAttribute $asks = CarAttribute::WheelDiameter,
        array $without = [],
        array $pastEnd = [],
        float $lane = 8.0,
        bool $unsized = false,
    ): Findings {
        $cars = [];
        foreach ($rows as $index => [$wheels, $diameter, $mass, $mean]) {
            $sizes = [
                CarAttribute::NozzleBore->value => 0.007, CarAttribute::BalloonSize->value => 0.2,
            ] + ($unsized ? [] : [CarAttribute::WheelDiameter->value => $diameter])
                + (in_array($index, $without, true) ? [] : [CarAttribute::Mass->value => $mass]);
            $isPast = in_array($index, $pastEnd, true);
            $runs = array_map(
                static fn(int $try, float $times): Run => new Run(
                    "{$index}-{$try}",
                    $try,
                    $isPast ? $lane : $times * $mean,
                    pastEnd: $isPast,
                ),
                [1, 2, 3],
                [0.96, 1.0, 1.04],
            );
            $cars[] = new RecordedCar("g{$index}-1", "g{$index}", 1, $this->car($sizes, $wheels), new Tries($runs, 3));
        }

        return Findings::of(new ClassData(
            $cars,
            $asks === null ? null : new Question($asks, Outcome::Distance),
            catalogue: Catalogue::standard(),
        ), draws: 100);
    }

    private function compared(string $group, int $version, float $bore, Sample $sample): ComparedCar
    {
        return new ComparedCar(
            "{$group}-{$version}",
            $group,
            $version,
            $this->car([CarAttribute::NozzleBore->value => $bore], 'bottle caps'),
            $sample,
        );
    }

    /** @param array<string, float> $sizes */
    private function car(array $sizes, string $wheels): Car
    {
        $entries = [];
        foreach ($sizes as $key => $si) {
            $entries[$key] = new Entry(CarAttribute::from($key)->quantity($si), (string) $si);
        }

        return new Car($entries, [], [CarAttribute::WheelKind->value => $wheels]);
    }
}
