<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Language\GoalWords;
use App\Pages\Check\CheckWords;
use App\Pages\Check\ClassProgress;
use App\Pages\Check\ProgressWords;
use App\Pages\Plan\PlanWords;
use App\Record\ClassForces;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Tolerance;
use Skivo\Core\Car\Check\Tolerances;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\Remedy;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class PlanWordingTest extends FeatureTestCase
{
    /** @return iterable<string, array{Goal, string, string, string}> */
    public static function goals(): iterable
    {
        yield 'farthest' => [Goal::Farthest, 'Farthest', 'Distances (cm)', 'shorter'];
        yield 'fastest' => [Goal::Fastest, "Fastest over 2\u{00A0}m", 'Times (s)', 'slower'];
        yield 'straightest' => [Goal::Straightest, 'Straightest', 'Drift for the distance (cm/m)', 'less straight'];
        yield 'nearest' => [Goal::NearestMark, "Nearest the mark at 2\u{00A0}m", 'Distances from the mark (cm)', 'farther off'];
        yield 'load' => [Goal::HeaviestLoad, "Heaviest load over 2\u{00A0}m", 'Loads (g)', 'less loaded'];
    }

    #[DataProvider('goals')]
    public function testAGoalInWords(Goal $goal, string $award, string $figures, string $worse): void
    {
        self::assertSame(
            [$award, $figures, $worse],
            [
                GoalWords::award(new Award($goal, 2.0), UnitSystem::Metric), GoalWords::figures($goal, UnitSystem::Metric),
                GoalWords::worse($goal),
            ],
        );
        self::assertNotSame('', GoalWords::better($goal) . GoalWords::missing($goal));
        self::assertSame($goal === Goal::Farthest || $goal === Goal::NearestMark, GoalWords::needs($goal) === null);
    }

    public function testThePlanInWords(): void
    {
        $challenge = Scenario::challenge(
            $this->educator,
            [
                'lanes' => 2, 'free_steps' => ['nozzle', 'mass'], 'most_balloons' => 1, 'most_straws' => 4,
                'allowed' => ['wheel' => ['caps', 'lids']],
            ],
        );
        $plan = ClassPlan::of($challenge);
        $words = new PlanWords($plan, $plan->timetable(0), $plan->runOrder(0));

        self::assertSame(
            "8 groups, 3 tries each: the 2 lanes are filled 12 times, 24\u{00A0}min in all. Lanes change from try to try, so that each group meets each lane equally often, as far as it divides.",
            $words->order(),
        );
        self::assertSame(
            [
                'Each group has 3 tries; the mean counts.', 'The car must move by itself. A push makes a try void.',
                'Change only the nozzle and mass; everything else is as in the kit.',
                'At most 1 balloon.', 'At most 4 straws.', 'Wheels: caps, lids only.',
            ],
            $words->rules(),
        );
        self::assertSame(
            "Run on 3 lanes and give each group 2 tries: then it takes 80.5\u{00A0}min.",
            $words->remedy(new Remedy(80.5, lanes: 3, tries: 2)),
        );
        self::assertSame(
            "Leave out the change and the second round: then it takes 80\u{00A0}min.",
            $words->remedy(new Remedy(80.0, noSecondRound: true)),
        );
        self::assertSame(
            "Build for 10\u{00A0}min less: then it takes 80\u{00A0}min.",
            $words->remedy(new Remedy(80.0, shorterBuildMin: 10.0)),
        );
        self::assertStringContainsString('where the car stopped (cm from the start line)', $words->toMeasure());
        self::assertStringContainsString(
            "Between two tries a group has at least 6\u{00A0}min to repair.",
            implode(' ', array_map(static fn($sentence): string => $sentence->rest, $words->fit())),
        );
    }

    public function testLimitsInWordsOfEitherSystem(): void
    {
        $words = new CheckWords(UnitSystem::Imperial, new Tolerances(['airtight' => new Tolerance(null, 0.0254, null, null)]));

        self::assertSame(
            "Good from 0.039\u{00A0}in to 0.079\u{00A0}in; fix it below 0.012\u{00A0}in or above 0.157\u{00A0}in.",
            $words->limit(CheckItem::EndPlay),
        );
        self::assertSame("Good up to 1\u{00A0}in.", $words->limit(CheckItem::Airtight));
        self::assertSame('Good up to 0.50°; fix it above 1.00°.', $words->limit(CheckItem::Parallel));
        self::assertSame("Good from 2\u{00A0}s; fix it below 1\u{00A0}s.", $words->limit(CheckItem::Spin));
        self::assertSame('If not, fix it.', $words->limit(CheckItem::PointsOff));
    }

    public function testWhatAGroupHasToDoNext(): void
    {
        $record = ClassRecord::of(
            Scenario::withClass(Scenario::challenge($this->educator), "group,nozzle bore,try,distance\nKeel,6,1,300\nReef,,,\n"),
        );
        $progress = ClassProgress::of($record, new ClassForces($record));

        self::assertSame(
            'Not recorded: chassis, axles and 3 more',
            ProgressWords::next($progress->rows[0]['missing'], $progress->rows[0]['card'], false),
        );
        self::assertSame('Record the car', ProgressWords::next(Step::ofCar(), null, false));
        self::assertSame('Check the car', ProgressWords::next([], null, false));
        self::assertSame('0 of 9 looks done', ProgressWords::next([], null, true));
    }
}
