<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Models\Group;
use App\Record\AskedChange;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Skivo\Core\Session\FloorOrder;
use Skivo\Core\Session\Runner;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Turn;

/** Who is at which lane, who is next, who repairs and who has withdrawn. */
final readonly class Floor
{
    /** @var array<int, array{Group, Turn}|null> by lane */
    public array $lanes;

    /** @var list<array{Group, Turn}> */
    public array $next;

    /** @var list<Group> */
    public array $repairing;

    /** @var list<Group> */
    public array $withdrawn;

    /** Whose turn it is; null when all tries are in, or nobody can run just now. */
    public ?Turn $proposed;

    /** @var list<Group> that run again once a change that they are asked for is on record */
    public array $changing;

    public bool $isOver;

    /** @var array<int, NextRun> by the id of the group */
    public array $nextRuns;

    /** @var list<int> */
    private array $coming;

    public function __construct(ClassRecord $record)
    {
        $groups = array_values($record->groups->all());
        $this->changing = self::changing($record, $groups);
        $this->withdrawn = array_values(array_filter($groups, static fn(Group $group): bool => $group->is_withdrawn));
        if ($groups === []) {
            $this->lanes = array_fill(1, $record->challenge->lanes, null);
            $this->next = $this->repairing = [];
            $this->proposed = null;
            $this->isOver = true;
            $this->coming = $this->nextRuns = [];

            return;
        }
        $nextRuns = array_map(static fn(Group $group): NextRun => NextRun::of($record, $group), $groups);
        $runners = array_map(
            static fn(Group $group, NextRun $next): Runner => new Runner(
                $next->made,
                $group->is_repairing,
                $group->is_withdrawn,
                $group->skipped_try,
                $group->skipped_at?->getTimestamp() ?? 0,
                $next->turns,
            ),
            $groups,
            $nextRuns,
        );
        $this->nextRuns = array_combine(array_map(static fn(Group $group): int => $group->id, $groups), $nextRuns);
        $lastGroup = $record->lastGroup();
        $last = $lastGroup === null
            ? null
            : array_search($lastGroup->id, array_map(static fn(Group $group): int => $group->id, $groups), true);
        $order = new FloorOrder(
            new RunOrder(
                count($groups),
                max(array_map(static fn(NextRun $next): int => $next->turns, $nextRuns)),
                $record->challenge->lanes,
            ),
            $runners,
            $last === false ? null : $last,
            $record->lanesUsedAt(),
        );
        $with = static fn(Turn $turn): array => [$groups[$turn->group], $turn];
        $this->lanes = array_map(static fn(?Turn $turn): ?array => $turn === null ? null : $with($turn), $order->atLane);
        $this->next = array_map($with, $order->next);
        $this->repairing = array_map(static fn(int $group): Group => $groups[$group], $order->repairing);
        $this->proposed = $order->proposed();
        $this->isOver = $order->isOver();
        // Whose turn it is, who stands at the other lanes, who is next; then the rounds after that.
        $first = array_map(
            static fn(Turn $turn): int => $turn->group,
            array_filter([$this->proposed, ...array_values($order->atLane), ...$order->next]),
        );
        $rest = array_map(static fn(Turn $turn): int => $turn->group, $order->coming);
        foreach ($first = array_values(array_unique($first)) as $group) {
            unset($rest[array_search($group, $rest, true)]);
        }
        $this->coming = array_map(static fn(int $group): int => $groups[$group]->id, [...$first, ...array_values($rest)]);
    }

    /**
     * @param list<Group> $groups
     *
     * @return list<Group>
     */
    private static function changing(ClassRecord $record, array $groups): array
    {
        $isAsked = $record->challenge->way()->isRebuilt()
            || array_filter($groups, static fn(Group $group): bool => $group->asked_attribute !== null) !== [];
        $design = $isAsked ? ClassPlan::of($record->challenge)->design : null;

        return $design === null ? [] : array_values(array_filter(
            $groups,
            static fn(Group $group): bool => !$group->is_withdrawn && AskedChange::of($record, $group, $design) !== null,
        ));
    }

    public function proposedGroup(): ?Group
    {
        return $this->proposed === null ? null : ($this->lanes[$this->proposed->lane][0] ?? null);
    }

    /** @return list<int> the groups of the turns that are still to come, those at the lanes first */
    public function coming(): array
    {
        return $this->coming;
    }

    /** At which lane a group stands; null where it stands at none. */
    public function laneOf(Group $group): ?int
    {
        foreach ($this->lanes as $lane => $standing) {
            if ($standing !== null && $standing[0]->id === $group->id) {
                return $lane;
            }
        }

        return null;
    }
}
