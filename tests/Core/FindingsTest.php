<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Statistics\Holm;
use Skivo\Core\Statistics\LeadingGroup;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\Verdict;

/** What a class's cars say of its choices. */
final class FindingsTest extends TestCase
{
    /** Four p-values by hand: 0.005 ≤ 0.05/4, 0.01 ≤ 0.05/3, 0.03 > 0.05/2, and so 0.04 does not hold either. */
    public function testSeveralClaimsShareOneChanceOfBeingWrong(): void
    {
        $holds = Holm::holds(['a' => 0.01, 'b' => 0.04, 'c' => 0.03, 'd' => 0.005]);
        self::assertSame(['d' => true, 'a' => true, 'c' => false, 'b' => false], $holds);
        self::assertSame([], Holm::holds([]));
        self::assertSame(['a' => true], Holm::holds(['a' => 0.05]));
        self::assertSame(['a' => true, 'b' => true], Holm::holds(['a' => 0.02, 'b' => 0.02]));
    }

    public function testAnAnswerAgreesWithWhatWasExpected(): void
    {
        foreach (
            [
                [Answer::More, true, false], [Answer::Less, false, true], [Answer::HardlyMatters, false, false],
                [Answer::CannotTell, null, null], [Answer::Hint, null, null], [Answer::LooksMore, null, null],
                [Answer::LooksLess, null, null],
            ] as [$answer, $more, $less]
        ) {
            self::assertSame([$more, $less], [$answer->agrees(1), $answer->agrees(-1)]);
        }
        // A better car goes farther, in less time, and strays less.
        self::assertSame([1, -1], [(new Question(CarAttribute::NozzleBore))->direction(), (new Question(CarAttribute::Mass))->direction()]);
        self::assertSame(
            [-1, 1],
            [
                (new Question(CarAttribute::NozzleBore, Outcome::Time))->direction(),
                (new Question(CarAttribute::Mass, Outcome::Straightness))->direction(),
            ],
        );
    }

    public function testTheChanceOfBeingFirst(): void
    {
        $chances = ChanceOfFirst::of($this->standings(['A' => [2.0, 2.4, 2.2], 'B' => [1.9, 2.3, 2.1], 'C' => [1.0, 1.1, 1.2]]));
        self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-9);
        self::assertGreaterThan($chances['B'], $chances['A']);
        self::assertGreaterThan(0.2, $chances['B'], 'a few centimetres are no certainty');
        self::assertLessThan(0.01, $chances['C']);
        self::assertSame(
            $chances,
            ChanceOfFirst::of($this->standings(['A' => [2.0, 2.4, 2.2], 'B' => [1.9, 2.3, 2.1], 'C' => [1.0, 1.1, 1.2]])),
            'the same seed, the same draws',
        );
        self::assertSame(['A' => 1.0, 'B' => 0.0], ChanceOfFirst::of($this->standings(['A' => [5.0, 5.1], 'B' => [1.0, 1.02]])));
        $equal = ChanceOfFirst::of($this->standings(['A' => [2.0, 2.2], 'B' => [2.0, 2.2]]));
        self::assertEqualsWithDelta(0.5, $equal['A'], 0.04);
        // One try of A, by the scatter of the others: a guess, and no certainty.
        $once = ChanceOfFirst::of($this->standings(['A' => [2.2], 'B' => [1.9, 2.2], 'C' => [2.0, 2.3]]));
        self::assertGreaterThan(0.2, $once['A']);
        self::assertLessThan(0.7, $once['A']);
        self::assertSame([], ChanceOfFirst::of($this->standings(['A' => [2.0], 'B' => [1.0]])), 'nothing tells luck from a better car');
        self::assertSame([], ChanceOfFirst::of($this->standings([])));
    }

    public function testAClassThatDiffersByChanceAloneHasNobodyClearlyBehind(): void
    {
        $verdicts = fn(array $runs): array => array_map(
            static fn($place): ?Verdict => $place->againstLeader,
            $this->standings($runs)->places,
        );
        $loose = ['A' => [2.0, 2.2, 2.4], 'B' => [1.9, 2.1, 2.3], 'C' => [1.8, 2.1, 2.2], 'D' => [2.1, 1.9, 2.0], 'E' => [1.7, 2.0, 2.2]];
        self::assertNotContains(Verdict::ClearlyApart, $verdicts($loose));
        self::assertSame([null, Verdict::ClearlyApart], $verdicts(['A' => [2.0, 2.1, 2.2], 'B' => [1.0, 1.1, 1.2]]));
        self::assertSame([null, Verdict::NoSpreadYet], $verdicts(['A' => [2.0], 'B' => [1.0]]));
        // A car that ran once is judged by the spread of the others.
        self::assertSame(
            [null, Verdict::TooCloseToCall, Verdict::ClearlyApart],
            $verdicts(['A' => [2.0, 2.1, 2.2], 'B' => [2.05], 'C' => [1.0]]),
        );
    }

    /** The last of a set is tried against the range of the set, so whoever is nearly as good as the leader stays. */
    public function testTheLeadingGroupHoldsTogether(): void
    {
        $far = static fn(float $mean): Sample => new Sample([0.95 * $mean, $mean, 1.05 * $mean]);
        $size = static function (array $means) use ($far): int {
            $samples = array_map($far, $means);

            return LeadingGroup::size($samples, ModeratedScatter::of($samples, 0.0) ?? self::fail('It has spread.'), true);
        };
        self::assertSame(1, $size([3.0]));
        self::assertSame(2, $size([3.0, 2.9]));
        self::assertSame(1, $size([3.0, 2.0]));
        self::assertSame(3, $size([3.0, 2.95, 2.9, 1.5, 1.4]));
        $samples = array_map($far, [1.0, 1.02, 2.0]);
        self::assertSame(
            2,
            LeadingGroup::size($samples, ModeratedScatter::of($samples, 0.0) ?? self::fail('It has spread.'), false),
            'less is better',
        );
    }

    public function testAnOutlierIsNamedByTheScatterOfTheWholeClass(): void
    {
        $samples = [
            'a' => new Sample([2.0, 2.1, 1.9]), 'b' => new Sample([3.0, 3.1, 2.9]), 'c' => new Sample([1.0, 1.05, 0.95]),
            'd' => new Sample([4.0, 4.1, 2.2]),
        ];
        $found = Outlier::among($samples);
        self::assertSame(['d'], array_keys($found));
        self::assertSame([2, 2.2], [$found['d'][0]->index, $found['d'][0]->value]);
        self::assertLessThan(-$found['d'][0]->critical, $found['d'][0]->t);
        // Twice as far for all of a car: the scatter is a share, so nothing changes.
        $samples['d'] = new Sample([8.0, 8.2, 4.4]);
        self::assertEqualsWithDelta($found['d'][0]->t, Outlier::among($samples)['d'][0]->t, 1e-9);
        self::assertSame([], Outlier::among(['a' => new Sample([1.0, 9.0]), 'b' => new Sample([1.0])]), 'too few to tell');
        self::assertSame([], Outlier::among(array_fill(0, 5, new Sample([2.0, 2.0, 2.0]))), 'no scatter at all');
        $one = array_fill(0, 5, new Sample([2.0, 2.0, 2.0])) + [5 => new Sample([2.0, 2.0, 3.0])];
        self::assertSame([5], array_keys(Outlier::among($one)));
    }

    /** @param array<string, list<float>> $groups */
    private function standings(array $groups): Standings
    {
        $entrants = [];
        foreach ($groups as $id => $distances) {
            $entrants[] = new Entrant(
                $id,
                new Tries(
                    array_map(
                        static fn(int $try, float $distance): Run => new Run("{$id}{$try}", $try + 1, $distance),
                        array_keys($distances),
                        $distances,
                    ),
                    count($distances),
                ),
            );
        }

        return Standings::of($entrants, new Award(Goal::Farthest), Scoring::Mean);
    }
}
