<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\PooledEffect;
use Skivo\Core\Library\LessonPlan;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Statistics\Sample;

/**
 * Several simulated classes at once: how often what is said over all of them is wrong, and whether the library's plans come to their
 * answers. Groups differ by a tenth of their distance, rebuilding by 3 %, tries by 5 %.
 */
final class PooledClassesTest extends TestCase
{
    use DrawsNormals;

    private const GROUPS = 0.10;
    private const REBUILT = 0.03;
    private const TRIES = 0.05;

    protected function setUp(): void
    {
        $this->seed(20261127);
    }

    /** @return iterable<string, array{int, float}> how many classes, and by how much their true effects differ (m) */
    public static function classes(): iterable
    {
        yield 'two' => [2, 0.0];
        yield 'three' => [3, 0.0];
        yield 'six' => [6, 0.0];
        yield 'four that differ' => [4, 0.4];
    }

    #[DataProvider('classes')]
    public function testIntervalsCoverWhatTheseClassesDoOnAverage(int $classes, float $apart): void
    {
        $trials = self::many(540);
        $covered = $seen = $wrong = $differ = $changed = 0;
        for ($trial = 0; $trial < $trials; $trial++) {
            $true = $effects = $null = [];
            for ($class = 0; $class < $classes; $class++) {
                $true[] = $own = 0.4 + $apart * $this->normal();
                $rebuilt = 3 + $class % 4;
                $effects[] = $this->effect($own, $rebuilt);
                $null[] = $this->effect(0.0, $rebuilt);
            }
            $pooled = PooledEffect::of($effects);
            self::assertNotNull($pooled);
            $groups = array_map(static fn(?Effect $effect): int => $effect?->groups() ?? 0, $effects);
            $mean = array_sum(array_map(static fn(float $own, int $count): float => $own * $count, $true, $groups)) / array_sum($groups);
            $covered += (int) $pooled->interval->contains($mean);
            $seen += (int) !$pooled->interval->contains(0.0);
            $differ += (int) $pooled->classesDiffer();
            $nothing = PooledEffect::of($null);
            self::assertNotNull($nothing);
            $wrong += (int) in_array($nothing->answer(3.0), [Answer::More, Answer::Less], true);
            $changed += (int) ($nothing->against(PooledEffect::of([$this->effect(0.0, 4), $this->effect(0.0, 5)]) ?? $nothing)[2] < 0.05);
        }
        $error = 2 * sqrt(0.05 * 0.95 / $trials);
        self::assertGreaterThan(0.95 - 0.015 - $error, $covered / $trials, 'covered');
        self::assertGreaterThan(0.7, $seen / $trials, 'nor so wide that it says nothing');
        self::assertLessThan(0.05 + $error, $wrong / $trials, 'a wrong answer');
        self::assertLessThan(0.05 + 0.01 + $error, $changed / $trials, 'a change from year to year where there is none');
        $apart === 0.0
            ? self::assertLessThan(0.05 + $error, $differ / $trials, 'classes that do not differ')
            : self::assertGreaterThan(0.5, $differ / $trials);
    }

    public function testOneClassSaysWhatItSaysAlone(): void
    {
        $effect = $this->effect(0.4, 6);
        self::assertNotNull($effect?->interval);
        $pooled = PooledEffect::of([$effect, null]);
        self::assertNotNull($pooled);
        self::assertEqualsWithDelta($effect->mean, $pooled->mean, 1e-12);
        self::assertEqualsWithDelta($effect->interval->low, $pooled->interval->low, 1e-9);
        self::assertNull($pooled->differ);
        self::assertNull(PooledEffect::of([null, null]));
    }

    /** @return iterable<string, array{LessonPlan}> */
    public static function plans(): iterable
    {
        foreach (LessonPlan::cases() as $plan) {
            yield $plan->value => [$plan];
        }
    }

    /** From plan to answer: the run model's cars, built by groups as the plan has it. */
    #[DataProvider('plans')]
    public function testAPlanOfTheLibraryComesToItsAnswer(LessonPlan $plan): void
    {
        $question = $plan->question();
        [$one, $other] = array_map(fn(bool $isOther): float => $this->outcome($plan, $isOther), [false, true]);
        $says = $other > $one ? Answer::More : Answer::Less;
        $trials = self::many(150);
        $right = $wrong = $claimed = 0;
        for ($trial = 0; $trial < $trials; $trial++) {
            $answer = Answer::of(
                Effect::of($this->classOf($plan, $one, $other), $question->attribute, $question->outcome, self::kinds($plan)),
                ($one + $other) / 2,
            );
            $right += (int) ($answer === $says);
            $wrong += (int) in_array($answer, [$says === Answer::More ? Answer::Less : Answer::More, Answer::HardlyMatters], true);
            $nothing = Answer::of(
                Effect::of($this->classOf($plan, $one, $one), $question->attribute, $question->outcome, self::kinds($plan)),
                $one,
            );
            $claimed += (int) in_array($nothing, [Answer::More, Answer::Less], true);
        }
        self::assertGreaterThan(0.8, $right / $trials, "{$plan->value}: {$one} and {$other}");
        self::assertLessThan(0.03, $wrong / $trials);
        self::assertLessThan(0.05 + 2 * sqrt(0.05 * 0.95 / $trials), $claimed / $trials);
    }

    /** @return list<ComparedCar> */
    private function classOf(LessonPlan $plan, float $one, float $other): array
    {
        $cars = [];
        for ($group = 1; $group <= $plan->groups(); $group++) {
            $own = 1.0 + self::GROUPS * $this->normal();
            // Of a plan that rebuilds, half of the groups begin with each.
            foreach ($plan->design()->isRebuilt() ? ($group % 2 === 0 ? [0, 1] : [1, 0]) : [$group % 2] as $version => $which) {
                $true = ($which === 0 ? $one : $other) * $own * (1.0 + self::REBUILT * $this->normal());
                $cars[] = $this->car(
                    $group,
                    $plan->design()->isRebuilt() ? $version + 1 : 1,
                    $plan->question()->attribute,
                    $plan->contrast()->size($which === 1) ?? $plan->values()[$which],
                    $true,
                    $plan->tries(),
                    $plan->question()->outcome,
                );
            }
        }

        return $cars;
    }

    /** @return array{string, string}|null the two kinds that are asked about */
    private static function kinds(LessonPlan $plan): ?array
    {
        $question = $plan->question();

        return $question->from === null || $question->to === null ? null : [$question->from, $question->to];
    }

    /** What the run model has for a usual car of the kit with it (m, or s over the timed length). */
    private function outcome(LessonPlan $plan, bool $isOther): float
    {
        $contrast = $plan->contrast();
        $kit = $contrast->kit($isOther)->car(UnitSystem::Metric)->with(CarAttribute::Mass, 0.06)->with(CarAttribute::BalloonSize, 0.2)
            ->with(CarAttribute::TurnsWound, 20.0);
        $settings = CarModel::of($contrast->carOf($kit, $isOther), Catalogue::standard())->settings;
        $run = $settings->with(CarAttribute::Workmanship, 0.05)->run(1e-6, true);
        if ($plan->question()->outcome === Outcome::Distance) {
            return $run->distanceM;
        }
        foreach ($run->trajectory as $moment) {
            if ($moment->distanceM >= ($plan->timedM() ?? 0.0)) {
                return $moment->timeS;
            }
        }
        self::fail('It does not come so far.');
    }

    private function effect(float $true, int $rebuilt): ?Effect
    {
        $cars = [];
        for ($group = 1; $group <= $rebuilt; $group++) {
            $own = 3.0 + 0.3 * $this->normal();
            foreach ($group % 2 === 0 ? [0.006, 0.008] : [0.008, 0.006] as $version => $bore) {
                $which = $bore > 0.007 ? 1 : 0;
                $cars[] = $this->car(
                    $group,
                    $version + 1,
                    CarAttribute::NozzleBore,
                    $bore,
                    $own + $which * $true + 0.1 * $this->normal(),
                    3,
                    Outcome::Distance,
                );
            }
        }

        return Effect::of($cars, CarAttribute::NozzleBore, Outcome::Distance);
    }

    private function car(
        int $group,
        int $version,
        CarAttribute $attribute,
        float|string $value,
        float $true,
        int $tries,
        Outcome $outcome,
    ): ComparedCar {
        $entry = static fn(CarAttribute $of, float $si): Entry => new Entry(Quantity::fromSi($si, $of->dimension()), (string) $si);
        $sample = new Sample(array_map(fn(): float => $true * (1.0 + self::TRIES * $this->normal()), range(1, $tries)));
        $sizes = [
            CarAttribute::NozzleBore->value => 0.007, CarAttribute::Mass->value => 0.06, CarAttribute::BalloonSize->value => 0.2,
        ];

        return new ComparedCar(
            "{$group}-{$version}",
            (string) $group,
            $version,
            (new Car(
                array_combine(
                    array_keys($sizes),
                    array_map(
                        static fn(string $key, float $si): Entry => $entry(CarAttribute::from($key), $si),
                        array_keys($sizes),
                        $sizes,
                    ),
                ),
                [],
                [CarAttribute::WheelKind->value => 'bottle caps'],
            ))->with($attribute, $value),
            $outcome === Outcome::Distance ? $sample : new Sample(array_fill(0, $tries, 3.0)),
            $outcome === Outcome::Distance ? [] : [$outcome->value => $sample],
        );
    }
}
