<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/**
 * Who is at which lane, who is next and who waits, as a run day goes on.
 *
 * The planned order holds: what has been run drops out of it. A group that repairs is passed over and keeps its
 * place, so that its turn comes as soon as it is ready. A group that was skipped goes behind the others of its round. A
 * group that came late has its missed tries first, but never two in a row while others wait. Who has withdrawn is out.
 */
final readonly class FloorOrder
{
    /** @var list<Turn> still to come, in order; of the groups that repair as well */
    public array $coming;

    /** @var array<int, Turn|null> by lane, from 1: who is to run there now */
    public array $atLane;

    /** @var list<Turn> who comes after those at the lanes, each group once */
    public array $next;

    /** @var list<int> the groups that repair, by their place in the order */
    public array $repairing;

    /**
     * @param RunOrder $plan of all groups that ever were, withdrawn ones too
     * @param list<Runner> $runners in the groups' order
     * @param int|null $lastGroup that ran last, by its place in the order
     * @param array<int, int> $usedAt when each lane was last run on, as numbers that go up; a lane that was not is left out
     */
    public function __construct(RunOrder $plan, array $runners, ?int $lastGroup = null, private array $usedAt = [])
    {
        $coming = array_values(array_filter($plan->turns, static fn(Turn $turn): bool => ($runners[$turn->group] ?? null) !== null
            && !$runners[$turn->group]->isWithdrawn && $turn->try > $runners[$turn->group]->made && $turn->try <= (
                $runners[$turn->group]->turns ?? PHP_INT_MAX
            )));
        $isSkipped = static fn(Turn $turn): bool => $runners[$turn->group]->skippedTry === $turn->try;
        usort($coming, static fn(Turn $a, Turn $b): int => [
            $a->try, $isSkipped($a), $isSkipped($a) ? $runners[$a->group]->skippedAt : 0, $a->heat, $a->lane,
        ]
            <=> [$b->try, $isSkipped($b), $isSkipped($b) ? $runners[$b->group]->skippedAt : 0, $b->heat, $b->lane]);
        $this->coming = $coming;
        $repairing = [];
        foreach ($runners as $group => $runner) {
            if ($runner->isRepairing && !$runner->isWithdrawn) {
                $repairing[] = $group;
            }
        }
        $this->repairing = $repairing;

        // Each group's next turn only, those who can run now.
        $ready = [];
        foreach ($coming as $turn) {
            if (!isset($ready[$turn->group]) && !$runners[$turn->group]->isRepairing) {
                $ready[$turn->group] = $turn;
            }
        }
        $queue = array_values($ready);
        if ($lastGroup !== null && count($queue) > 1 && $queue[0]->group === $lastGroup) {
            // Not twice in a row: the next one goes first.
            [$queue[0], $queue[1]] = [$queue[1], $queue[0]];
        }
        $atLane = array_fill(1, $plan->lanes, null);
        foreach ([true, false] as $onItsLane) {
            foreach ($atLane as $lane => $taken) {
                if ($taken !== null) {
                    continue;
                }
                // Of the few whose turn it is first the one that is planned for this lane; then whoever is left.
                foreach (array_slice($queue, 0, $onItsLane ? $plan->lanes - count(array_filter($atLane)) : null, true) as $place => $turn) {
                    if (!$onItsLane || $turn->lane === $lane) {
                        $atLane[$lane] = new Turn($turn->group, $turn->try, $turn->heat, $lane);
                        unset($queue[$place]);
                        break;
                    }
                }
            }
        }
        $this->atLane = $atLane;
        $this->next = array_values($queue);
    }

    public function isOver(): bool
    {
        return $this->coming === [];
    }

    /** Who should run next: at the lane that has waited longest of those where somebody stands. */
    public function proposed(): ?Turn
    {
        $standing = array_filter($this->atLane);
        usort(
            $standing,
            fn(Turn $a, Turn $b): int => [$this->usedAt[$a->lane] ?? 0, $a->lane] <=> [$this->usedAt[$b->lane] ?? 0, $b->lane],
        );

        return $standing[0] ?? null;
    }
}
