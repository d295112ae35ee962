<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Race\Bracket;
use Skivo\Core\Race\EventKind;
use Skivo\Core\Race\Heat;
use Skivo\Core\Race\Lot;
use Skivo\Core\Race\RaceChances;
use Skivo\Core\Race\RaceEvent;
use Skivo\Core\Race\RaceKind;
use Skivo\Core\Race\RacePlan;
use Skivo\Core\Race\RaceState;
use Skivo\Core\Race\RaceTime;
use Skivo\Core\Race\RoundRobin;
use Skivo\Core\Statistics\Normal;

/** Races: fair schedules, lots that can be drawn again, replay from events, and what a race can't do. */
final class RaceTest extends TestCase
{
    private int $ids = 0;

    /** @return iterable<string, array{int}> */
    public static function sizes(): iterable
    {
        for ($n = 2; $n <= 40; $n++) {
            yield "{$n} cars" => [$n];
        }
    }

    /** Each pair once, nobody twice in a round, as few rounds as can be, and each lane about as often as the other. */
    #[DataProvider('sizes')]
    public function testEveryoneMeetsEveryoneOnce(int $n): void
    {
        $rounds = RoundRobin::rounds($n);
        self::assertCount($n % 2 === 0 ? $n - 1 : $n, $rounds);
        $met = [];
        $first = array_fill(0, $n, 0);
        foreach ($rounds as $pairs) {
            $seen = array_merge(...$pairs);
            self::assertSame(count($seen), count(array_unique($seen)));
            foreach ($pairs as [$a, $b]) {
                $met[min($a, $b) . '-' . max($a, $b)] = true;
                $first[$a]++;
            }
        }
        self::assertCount(intdiv($n * ($n - 1), 2), $met);
        self::assertSame(intdiv($n * ($n - 1), 2), array_sum(array_map(count(...), $rounds)));
        foreach ($first as $times) {
            self::assertEqualsWithDelta(($n - 1) / 2, $times, 1.0 + $n / 8);
        }
    }

    /**
     * All seeds once; no opponent only for the best ones; the best two only in the last heat, the best four only in the last two rounds.
     */
    #[DataProvider('sizes')]
    public function testABracketIsFair(int $n): void
    {
        $pairs = Bracket::firstRound($n);
        $all = array_filter(array_merge(...$pairs), static fn(?int $seed): bool => $seed !== null);
        sort($all);
        self::assertSame(range(0, $n - 1), $all);
        $byes = array_column(array_filter($pairs, static fn(array $pair): bool => $pair[1] === null), 0);
        sort($byes);
        self::assertSame($byes === [] ? [] : range(0, count($byes) - 1), $byes);
        self::assertSame(2 ** Bracket::rounds($n) - $n, count($byes));
        // When the better seed always wins, the best k are the last k.
        $in = array_map(static fn(array $pair): int => $pair[0], $pairs);
        while (count($in) > 1) {
            self::assertEqualsCanonicalizing(range(0, count($in) - 1), $in);
            $in = array_map(min(...), array_chunk($in, 2));
        }
    }

    /** Whatever happens, a race of any kind comes to its end, in as many heats as it should. */
    #[DataProvider('sizes')]
    public function testEveryRaceEnds(int $n): void
    {
        $entrants = array_map(strval(...), range(101, 100 + $n));
        foreach ([RaceKind::Knockout, RaceKind::RoundRobin, RaceKind::StaysOn] as $kind) {
            foreach ([1, 3] as $bestOf) {
                if ($n > 12 && ($bestOf === 3 || $kind === RaceKind::RoundRobin)) {
                    continue;
                }
                $plan = new RacePlan($kind, $entrants, $bestOf, lanes: 4);
                $chance = new Randomizer(new Xoshiro256StarStar($n));
                $events = [];
                for ($state = RaceState::replay($plan, []); !$state->isOver(); $state = RaceState::replay($plan, $events)) {
                    self::assertNotSame([], $state->now);
                    $busy = array_merge(...array_map(static fn(Heat $heat): array => [$heat->a, $heat->b], $state->now));
                    self::assertSame(count($busy), count(array_unique($busy)), 'nobody is on two lanes');
                    $heat = $state->now[0];
                    $events[] = $chance->getInt(0, 1) === 0 ? $this->won($heat, $heat->a) : $this->won($heat, $heat->b);
                }
                $pairs = $kind === RaceKind::RoundRobin ? intdiv($n * ($n - 1), 2) : $n - 1;
                self::assertGreaterThanOrEqual($pairs * (new RacePlan($kind, $entrants, $bestOf))->winsNeeded(), count($events));
                self::assertLessThanOrEqual($pairs * $bestOf, count($events));
                self::assertSame([], $state->unfit);
                self::assertCount($n, $state->ranking);
                if ($kind !== RaceKind::RoundRobin) {
                    self::assertNotNull($state->winner);
                    self::assertSame(1, $state->places[$state->winner]);
                }
            }
        }
    }

    public function testALotCanBeDrawnAgain(): void
    {
        $entrants = array_map(strval(...), range(1, 9));
        self::assertSame(Lot::order($entrants, 41782), Lot::order($entrants, 41782));
        self::assertEqualsCanonicalizing($entrants, Lot::order($entrants, 41782));
        $firsts = array_count_values(array_map(static fn(int $number): string => Lot::order($entrants, $number)[0], range(1, 9000)));
        foreach ($firsts as $times) {
            self::assertEqualsWithDelta(1000, $times, 130, 'each is as likely to be drawn first, within four standard deviations');
        }
    }

    /** Nine cars: byes, a repair, a withdrawal, a tie, and a result that is undone after later heats. */
    public function testAKnockoutOfNineIsReplayed(): void
    {
        $plan = new RacePlan(RaceKind::Knockout, ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i'], lanes: 4);
        $state = RaceState::replay($plan, []);
        // One heat in the first round, between the two last seeds; the other seven go on.
        self::assertSame(
            [['h', 'i']],
            array_map(
                static fn(Heat $heat): array => [$heat->a, $heat->b],
                array_values(array_filter($state->heats, static fn(Heat $heat): bool => $heat->round === 1 && !$heat->isWalkover)),
            ),
        );
        self::assertSame(['1-2', '2-2'], array_map(static fn(Heat $heat): string => $heat->key, $state->now), 'two at a time');

        $events = [$hi = $this->won($state->heats['1-2'], 'i'), $again = new RaceEvent('again', EventKind::Again, '2-2', 'd', 'e')];
        $state = RaceState::replay($plan, $events);
        self::assertSame(['a', 'i'], [$state->heats['2-1']->a, $state->heats['2-1']->b]);
        self::assertSame([1, 'open'], [$state->heats['2-2']->again, $state->heats['2-2']->isOpen() ? 'open' : 'over']);

        // d is mended: its heat waits, others run.
        $events[] = new RaceEvent('r', EventKind::Repair, entrant: 'd');
        $state = RaceState::replay($plan, $events);
        self::assertNotContains('2-2', array_map(static fn(Heat $heat): string => $heat->key, $state->now));
        self::assertSame(['d'], $state->repairing);
        $events[] = new RaceEvent('ok', EventKind::Ready, entrant: 'd');
        // i beats the first seed, d beats e, then i beats d.
        array_push(
            $events,
            new RaceEvent('w1', EventKind::Won, '2-1', 'i', 'a'),
            new RaceEvent('w2', EventKind::Won, '2-2', 'd', 'e'),
            $later = new RaceEvent('w3', EventKind::Won, '3-1', 'i', 'd'),
        );
        $state = RaceState::replay($plan, $events);
        self::assertSame('i', $state->heats['4-1']->a);
        self::assertSame(['h' => 9], $state->places, 'who lost where others are still to lose has no place yet');

        // The very first result is undone: all that i won since counts for nothing, but is not forgotten.
        $undo = new RaceEvent('u', EventKind::Undone, undoes: $hi->id);
        $state = RaceState::replay($plan, [...$events, $undo]);
        self::assertTrue($state->heats['1-2']->isOpen());
        self::assertNull($state->heats['2-1']->b);
        self::assertEqualsCanonicalizing(['w1', 'w3'], $state->unfit);
        self::assertSame('d', $state->heats['3-1']->b, 'what had nothing to do with it stands');
        // i wins it after all: everything is as it was.
        $state = RaceState::replay($plan, [...$events, $undo, new RaceEvent('w4', EventKind::Won, '1-2', 'i', 'h')]);
        self::assertSame([[], 'i'], [$state->unfit, $state->heats['4-1']->a]);
        // h wins it: the later results of i stay out.
        $state = RaceState::replay($plan, [...$events, $undo, new RaceEvent('w4', EventKind::Won, '1-2', 'h', 'i')]);
        self::assertSame(['a', 'h'], [$state->heats['2-1']->a, $state->heats['2-1']->b]);
        self::assertEqualsCanonicalizing(['w1', 'w3'], $state->unfit);
        // And the undoing undone.
        self::assertSame([], RaceState::replay($plan, [...$events, $undo, new RaceEvent('uu', EventKind::Undone, undoes: 'u')])->unfit);

        // b leaves: g goes on without a run. It comes back as long as nobody has run on account of it.
        $events[] = new RaceEvent('out', EventKind::Out, entrant: 'b');
        $state = RaceState::replay($plan, $events);
        self::assertSame(['g', true], [$state->heats['2-3']->winner, $state->heats['2-3']->isWalkover]);
        $back = new RaceEvent('back', EventKind::Back, entrant: 'b');
        self::assertTrue(RaceState::replay($plan, [...$events, $back])->heats['2-3']->isOpen());
        array_push($events, new RaceEvent('w5', EventKind::Won, '2-4', 'c', 'f'), new RaceEvent('w6', EventKind::Won, '3-2', 'g', 'c'));
        $state = RaceState::replay($plan, [...$events, $back]);
        self::assertSame(['back'], $state->unfit);
        self::assertSame(['b'], $state->out);

        $state = RaceState::replay($plan, [...$events, new RaceEvent('w7', EventKind::Won, '4-1', 'g', 'i')]);
        self::assertSame('g', $state->winner);
        self::assertSame(
            [1, 2, 3, 3, 5, 5, 5, 5, 9],
            array_map(static fn(string $entrant): int => $state->places[$entrant], $state->ranking),
        );
    }

    public function testBestOfThreeEndsWithTwoWins(): void
    {
        $plan = new RacePlan(RaceKind::SideBySide, ['a', 'b'], 3);
        $one = fn(string $who): RaceEvent => new RaceEvent('e' . $this->ids++, EventKind::Won, '1-1', $who, $who === 'a' ? 'b' : 'a');
        $events = [$one('a'), $one('b')];
        self::assertNull(RaceState::replay($plan, $events)->winner);
        $state = RaceState::replay($plan, [...$events, $one('b'), $one('a')]);
        self::assertSame(['b', 1], [$state->winner, count($state->unfit)], 'a fourth heat counts for nothing');
    }

    /** Who leaves a round robin is taken out of it altogether, or the others would not have met the same cars. */
    public function testWhoLeavesARoundRobinLeavesNoTrace(): void
    {
        $plan = new RacePlan(RaceKind::RoundRobin, ['a', 'b', 'c', 'd'], lanes: 2);
        $events = [];
        for ($state = RaceState::replay($plan, []); !$state->isOver(); $state = RaceState::replay($plan, $events)) {
            $heat = $state->now[0];
            // d beats everybody it meets, and leaves before its last heat.
            if ($heat->has('d') && count(array_filter($events, static fn(RaceEvent $event): bool => $event->entrant === 'd')) === 2) {
                $events[] = new RaceEvent('out', EventKind::Out, entrant: 'd');
            } else {
                $events[] = $this->won($heat, $heat->has('d') ? 'd' : min((string) $heat->a, (string) $heat->b));
            }
        }
        self::assertSame(['a', 'b', 'c'], $state->ranking);
        self::assertSame('a', $state->winner);
        self::assertCount(
            6 - 3 + 2,
            array_filter($events, static fn(RaceEvent $event): bool => $event->kind === EventKind::Won),
            'its last heat was not run',
        );
    }

    public function testTheWinnerStaysOn(): void
    {
        $plan = new RacePlan(RaceKind::StaysOn, ['a', 'b', 'c', 'd'], lanes: 2);
        $events = [new RaceEvent('1', EventKind::Won, '1-1', 'b', 'a'), new RaceEvent('2', EventKind::Won, '2-1', 'b', 'c')];
        $state = RaceState::replay($plan, $events);
        self::assertSame(['b', 'd'], [$state->heats['3-1']->a, $state->heats['3-1']->b]);
        $state = RaceState::replay($plan, [...$events, new RaceEvent('3', EventKind::Won, '3-1', 'd', 'b')]);
        self::assertSame(['d', 'b'], array_slice($state->ranking, 0, 2));
        // c has left before its turn: whoever stands goes on.
        $state = RaceState::replay($plan, [$events[0], new RaceEvent('o', EventKind::Out, entrant: 'c')]);
        self::assertSame(['b', 'd', true], [$state->heats['3-1']->a, $state->heats['3-1']->b, $state->heats['2-1']->isWalkover]);
    }

    /** A heat that lately ran rests: of one round, cars that waited longer go first. */
    public function testWhoRanRests(): void
    {
        $plan = new RacePlan(RaceKind::RoundRobin, ['a', 'b', 'c', 'd', 'e'], lanes: 2);
        $events = [];
        $last = [];
        for ($state = RaceState::replay($plan, []); !$state->isOver(); $state = RaceState::replay($plan, $events)) {
            $heat = $state->now[0];
            $last[] = [$heat->a, $heat->b];
            $events[] = $this->won($heat, $heat->a);
        }
        $inARow = 0;
        foreach ($last as $index => $pair) {
            $inARow += $index > 0 && array_intersect($pair, $last[$index - 1]) !== [] ? 1 : 0;
        }
        self::assertLessThanOrEqual(4, $inARow, 'of nine steps');
    }

    public function testHowLongARaceTakesIsSaidBefore(): void
    {
        self::assertSame(780, RaceTime::of(RaceKind::RoundRobin, 40, 1, 2, 2.0, 3.0)->pairs);
        self::assertEqualsWithDelta(1560.0, RaceTime::of(RaceKind::RoundRobin, 40, 1, 2, 2.0, 3.0)->minutes, 1e-9);
        // By hand: eight cars, two at a time on four lanes: 4 heats in 2 turns, 2 in 1, then the last with time to mend before it.
        self::assertEqualsWithDelta(2 * 2.0 + 2.0 + (2.0 + 3.0), RaceTime::of(RaceKind::Knockout, 8, 1, 4, 2.0, 3.0)->minutes, 1e-9);
        self::assertSame(8, RaceTime::of(RaceKind::Knockout, 9, 1, 2, 2.0, 3.0)->pairs);
        self::assertEqualsWithDelta(2.5 * 2.0, RaceTime::of(RaceKind::SideBySide, 2, 3, 2, 2.0, 3.0)->minutes, 1e-9);
        self::assertGreaterThan(
            RaceTime::of(RaceKind::Knockout, 9, 1, 2, 2.0, 3.0)->minutes,
            RaceTime::of(RaceKind::Knockout, 9, 1, 1, 2.0, 3.0)->minutes,
            'on one lane one after the other',
        );
    }

    /** Against every way in which a knockout of up to six cars can go. */
    public function testChancesOfAKnockoutAgainstBruteForce(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(7));
        for ($n = 2; $n <= 6; $n++) {
            $beats = [];
            for ($i = 0; $i < $n; $i++) {
                for ($j = 0; $j < $i; $j++) {
                    $beats[$i][$j] = $chance->getInt(5, 95) / 100;
                    $beats[$j][$i] = 1.0 - $beats[$i][$j];
                }
                $beats[$i][$i] = 0.5;
            }
            ksort($beats);
            $beats = array_map(static function (array $row): array {
                ksort($row);

                return array_values($row);
            }, array_values($beats));
            $brute = array_fill(0, $n, 0.0);
            $plan = new RacePlan(RaceKind::Knockout, array_map(static fn(int $i): string => "c{$i}", range(0, $n - 1)));
            $this->everyWay($plan, $beats, [], 1.0, $brute);
            $found = RaceChances::knockout($beats);
            self::assertEqualsWithDelta(1.0, array_sum($found), 1e-12);
            foreach ($brute as $i => $sum) {
                self::assertEqualsWithDelta($sum, $found[$i], 1e-12, "car {$i} of {$n}");
            }
        }
    }

    /** Against what two normal cars do, by hand, and against simulated heats. */
    public function testWhatARaceCantDo(): void
    {
        // Two cars a whole scatter apart: the worse wins one heat in Φ(−1/√2) = 0.2398.
        $chances = RaceChances::of([['a' => [1.0, 1.0], 'b' => [0.0, 1.0]]], 3);
        self::assertNotNull($chances);
        $once = Normal::cumulative(-1 / sqrt(2.0));
        self::assertEqualsWithDelta($once, $chances->betterLoses, 1e-12);
        self::assertEqualsWithDelta(0.239750, $chances->betterLoses, 1e-6);
        self::assertEqualsWithDelta($once ** 2 * (3 - 2 * $once), $chances->betterLosesOfThree, 1e-12);
        self::assertEqualsWithDelta(1.0 - $once, $chances->byKnockout, 1e-12);
        // The mean of three tries: Φ(√3/√2), by simulation of 8,000 classes.
        $many = RaceChances::of(array_fill(0, 8000, ['a' => [1.0, 1.0], 'b' => [0.0, 1.0]]), 3);
        self::assertEqualsWithDelta(Normal::cumulative(sqrt(1.5)), $many?->byMean, 0.015);
        self::assertEqualsWithDelta(1.0 - $once, $many->byRoundRobin, 0.02);
        // More runs find the best car more often; a coin finds nobody.
        $eight = [];
        foreach (range(1, 8) as $car) {
            $eight["c{$car}"] = [0.1 * $car, 0.2];
        }
        $of = RaceChances::of(array_fill(0, 600, $eight), 3);
        self::assertNotNull($of);
        self::assertGreaterThan($of->byKnockout, $of->byKnockoutOfThree);
        self::assertGreaterThan($of->byKnockout, $of->byMean);
        self::assertGreaterThan($of->byKnockout, $of->byRoundRobin);
        self::assertNull(RaceChances::of([], 3));
        self::assertNull(RaceChances::of([['a' => [1.0, 1.0]]], 3));
    }

    public function testRacesThatAreNoneAreRefused(): void
    {
        foreach (
            [
                [RaceKind::Knockout, ['a']], [RaceKind::Knockout, ['a', 'a']], [RaceKind::SideBySide, ['a', 'b', 'c']],
                [RaceKind::RoundRobin, array_map(strval(...), range(1, 41))],
            ] as [$kind, $entrants]
        ) {
            try {
                new RacePlan($kind, $entrants);
                self::fail($kind->value);
            } catch (\DomainException $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
        $this->expectException(\DomainException::class);
        new RacePlan(RaceKind::Knockout, ['a', 'b'], 2);
    }

    /**
     * @param list<list<float>> $beats
     * @param list<RaceEvent> $events
     * @param array<int, float> $sums
     */
    private function everyWay(RacePlan $plan, array $beats, array $events, float $chance, array &$sums): void
    {
        $state = RaceState::replay($plan, $events);
        if ($state->winner !== null) {
            $sums[(int) substr($state->winner, 1)] += $chance;

            return;
        }
        $heat = $state->now[0];
        [$a, $b] = [(int) substr((string) $heat->a, 1), (int) substr((string) $heat->b, 1)];
        $this->everyWay($plan, $beats, [...$events, $this->won($heat, $heat->a)], $chance * $beats[$a][$b], $sums);
        $this->everyWay($plan, $beats, [...$events, $this->won($heat, $heat->b)], $chance * $beats[$b][$a], $sums);
    }

    private function won(Heat $heat, ?string $who): RaceEvent
    {
        return new RaceEvent('e' . $this->ids++, EventKind::Won, $heat->key, $who, $who === $heat->a ? $heat->b : $heat->a);
    }
}
