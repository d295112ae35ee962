<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Contributions;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\NextTest;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Statistics\Sample;

/** A class that follows one next test after the other is looked at again after each: how often it is ever told something wrong. */
final class NextTestsRatesTest extends TestCase
{
    use DrawsNormals;

    private const GROUPS = 8;
    private const TRIES = 3;

    protected function setUp(): void
    {
        $this->seed(20261203);
    }

    /** @return iterable<string, array{int, float}> how many next tests are followed, and how often it may ever be wrong */
    public static function followed(): iterable
    {
        yield 'three' => [3, 0.08];
        yield 'eight' => [8, 0.10];
    }

    /** Nothing matters; hands differ by a fifth, rebuilding by 4 %, practice is 6 % one way, tries scatter by 8 %. */
    #[DataProvider('followed')]
    public function testWhoFollowsNextTestsIsSeldomEverToldWrongly(int $tests, float $most): void
    {
        $classes = self::many(600);
        $question = new Question(CarAttribute::NozzleBore);
        $answered = $claimed = $followed = 0;
        for ($class = 0; $class < $classes; $class++) {
            $hands = array_map(fn(): float => 0.2 * $this->normal(), range(1, self::GROUPS));
            $practice = 0.06 * $this->normal();
            $choices = array_map($this->design(...), range(1, self::GROUPS));
            $versions = array_fill(0, self::GROUPS, 1);
            $cars = array_map(fn(int $group): ComparedCar => $this->car($group, 1, $choices[$group], $hands[$group]), array_keys($hands));
            $wrong = [false, false];
            for ($round = 0; ; $round++) {
                $effects = Effect::all($cars, new Contributions(), Outcome::Distance, $question);
                $claims = Claims::of($effects, $question, ['distance' => 3.0]);
                foreach ($effects as $effect) {
                    $isWrong = in_array($claims->verdict($effect), [Answer::More, Answer::Less], true);
                    $wrong[(int) $question->isOf($effect)] = $wrong[(int) $question->isOf($effect)] || $isWrong;
                }
                // The model has more of anything go farther.
                $next = $round === $tests ? null : NextTest::propose(
                    $cars,
                    $effects,
                    $claims,
                    $question,
                    static fn(): bool => true,
                    static fn(ComparedCar $car, CarAttribute $factor, float|string $to): ?float => is_float($to) ? 0.3 : null,
                );
                if ($next === null) {
                    break;
                }
                $followed++;
                foreach ($next->changes as $change) {
                    $group = (int) $change->car->group;
                    $choices[$group] = [$next->factor->value => (float) $change->to] + $choices[$group];
                    $mean = $hands[$group] + $practice + 0.04 * $this->normal();
                    $cars[] = $this->car($group, ++$versions[$group], $choices[$group], $mean);
                }
            }
            $answered += (int) $wrong[1];
            $claimed += (int) $wrong[0];
        }
        $error = 2 * sqrt($most * (1 - $most) / $classes);
        self::assertLessThan($most + $error, $answered / $classes, 'the answer');
        self::assertLessThan($most + $error, $claimed / $classes, 'everything else');
        self::assertGreaterThan(0.5, $followed / $classes, 'and there were tests to follow');
    }

    /** @return array<string, float> sizes (SI), drawn without regard to each other */
    private function design(): array
    {
        $one = fn(float ...$of): float => array_values($of)[$this->chance->getInt(0, count($of) - 1)];

        return [
            CarAttribute::NozzleBore->value => $one(0.006, 0.008), CarAttribute::NozzleLength->value => $one(0.06, 0.12, 0.18),
            CarAttribute::WheelDiameter->value => $one(0.03, 0.06),
            CarAttribute::Mass->value => 0.05 + 0.0003 * $this->chance->getInt(0, 100),
        ];
    }

    /**
     * @param array<string, float> $sizes
     * @param float $mean ln of its distance over 3 m
     */
    private function car(int $group, int $version, array $sizes, float $mean): ComparedCar
    {
        $entries = [];
        foreach ($sizes as $key => $si) {
            $entries[$key] = new Entry(CarAttribute::from($key)->quantity($si), (string) $si);
        }

        return new ComparedCar(
            "{$group}-{$version}",
            (string) $group,
            $version,
            new Car($entries),
            new Sample(array_map(fn(): float => 3.0 * exp($mean) * (1.0 + 0.08 * $this->normal()), range(1, self::TRIES))),
        );
    }
}
