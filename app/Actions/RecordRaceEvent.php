<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\Actor;
use App\Models\Group;
use App\Models\Race;
use App\Models\RaceEvent;
use App\Models\Run;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Race\EventKind;
use Skivo\Core\Race\Heat;
use Skivo\Core\Race\RaceEvent as CoreEvent;

/** Records what happened in a race, once, whatever is sent how often; with the runs that were measured in a heat. */
final class RecordRaceEvent
{
    public function __construct(private readonly LogRun $log, private readonly ChangeRun $change) {}

    /**
     * @param int $seen how often the heat had been run when somebody looked at it
     * @param array<int, RunRecord> $runs what was measured, by the id of the group
     *
     * @throws HeatHasMovedOnException where it stands otherwise by now
     * @throws IdIsTakenException where something else has the event's id
     */
    public function __invoke(
        Race $race,
        CoreEvent $event,
        ?string $why,
        int $seen,
        CarbonImmutable $madeAt,
        Actor $by,
        array $runs = [],
    ): RaceEvent {
        return DB::transaction(function () use ($race, $event, $why, $seen, $madeAt, $by, $runs): RaceEvent {
            $held = Race::query()->with('events')->whereKey($race->id)->lock(Lock::ROW)->firstOrFail();
            $already = $held->events->firstWhere('event_id', $event->id) ?? $this->sameTap($held, $event, $seen);
            if ($already !== null) {
                return $already;
            }
            if (RaceEvent::query()->where('event_id', $event->id)->exists()) {
                throw new IdIsTakenException();
            }
            $recorded = new RaceEvent(array_diff_key($by->columns(), ['seat' => true]) + [
                'event_id' => $event->id, 'challenge_id' => $held->challenge_id, 'kind' => $event->kind, 'heat' => $event->heat,
                'entrant' => $event->entrant, 'against' => $event->against, 'undoes' => $event->undoes, 'why' => $why, 'made_at' => $madeAt,
            ]);
            $held->events()->save($recorded);
            $this->logRuns($held, $event, $runs, $by);
            if ($event->kind === EventKind::Undone) {
                $this->follow($held, (string) $event->undoes, $by);
            }

            return $recorded;
        });
    }

    /** Two adults who saw the same heat tap the same: that is one result. */
    private function sameTap(Race $race, CoreEvent $event, int $seen): ?RaceEvent
    {
        if ($event->kind !== EventKind::Won && $event->kind !== EventKind::Again) {
            return null;
        }
        $heat = $race->state()->heats[$event->heat ?? ''] ?? null;
        $isOpen = $heat?->isOpen() === true && $heat->has((string) $event->entrant) && $heat->has((string) $event->against);
        if ($isOpen && self::timesRun($heat) === $seen) {
            return null;
        }
        $same = $heat === null ? null : $this->results($race, $heat)[$seen] ?? null;

        return $same !== null
            && $same->kind === $event->kind
            && ($same->kind === EventKind::Again || (string) $same->entrant === $event->entrant)
            ? $same : throw new HeatHasMovedOnException($heat);
    }

    public static function timesRun(Heat $heat): int
    {
        return $heat->winsA + $heat->winsB + $heat->again;
    }

    /** @return list<RaceEvent> what came of the runs of a heat between its two, in order */
    private function results(Race $race, Heat $heat): array
    {
        return array_values(array_filter($race->happened(), static fn(RaceEvent $event): bool => $event->heat === $heat->key
            && $heat->has((string) $event->entrant) && $heat->has((string) $event->against)));
    }

    /** @param array<int, RunRecord> $runs */
    private function logRuns(Race $race, CoreEvent $event, array $runs, Actor $by): void
    {
        foreach ($runs as $id => $record) {
            $group = Group::query()->where('challenge_id', $race->challenge_id)->find($id);
            if ($group !== null) {
                $run = ($this->log)($group->setRelation('challenge', $race->challenge), RaceEvent::runId($event->id, $id), $record, $by);
                $run->race_id = $race->id;
                $run->save();
            }
        }
    }

    /** The runs of an event that did not happen go with it, and come back when it did after all. */
    private function follow(Race $race, string $event, Actor $by): void
    {
        $race->load('events');
        $stands = array_map(static fn(RaceEvent $each): string => $each->event_id, $race->happened());
        $undone = $race->events->firstWhere('event_id', $event);
        $about = $undone?->kind === EventKind::Undone ? (string) $undone->undoes : $event;
        foreach ($race->entrants as $group) {
            $run = Run::query()->withTrashed()->find(RaceEvent::runId($about, $group));
            if ($run !== null && $run->trashed() === in_array($about, $stands, true)) {
                $run->trashed() ? $this->change->restore($run, $by) : $this->change->undo($run, $by);
            }
        }
    }
}
