<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Models\Car;
use App\Models\Entry;
use App\Models\Group;
use App\Models\Prediction;
use App\Models\Run;
use Carbon\CarbonImmutable;
use Skivo\Core\Notebook\EntryKind;

/** A group's notebook: what it did and what it made, in the order of time. */
final readonly class Notebook
{
    /** @param list<array{at: CarbonImmutable, what: Car|Run|Prediction|Entry, before: Car|null}> $lines */
    private function __construct(public array $lines) {}

    public static function of(GroupsOwnPath $own): self
    {
        $lines = [];
        $own->group->cars->loadMissing(['runs', 'predictions']);
        $before = null;
        foreach ($own->group->cars as $car) {
            if (!$car->choices->isEmpty()) {
                $lines[] = ['at' => CarbonImmutable::instance($car->created_at ?? now()), 'what' => $car, 'before' => $before];
            }
            foreach ($car->runs as $run) {
                $run->setRelation('car', $car->setRelation('group', $own->group));
                $lines[] = ['at' => $run->logged_at, 'what' => $run, 'before' => null];
            }
            foreach ($car->predictions as $prediction) {
                $lines[] = ['at' => $prediction->made_at, 'what' => $prediction, 'before' => null];
            }
            $before = $car;
        }
        foreach ($own->entries as $entry) {
            if (($entry->kind->isWritten() || $entry->kind === EntryKind::Check) && $entry->hidden_at === null) {
                $lines[] = ['at' => $entry->made_at, 'what' => $entry, 'before' => null];
            }
        }
        usort($lines, static fn(array $one, array $other): int => $one['at'] <=> $other['at']);

        return new self($lines);
    }

    /** What a group wrote, drew and photographed, as it may leave the notebook: pictures only after an educator has looked at them. */
    public static function written(Group $group): self
    {
        $entries = $group->loadMissing('entries.picture')->entries->filter(
            static fn(Entry $entry): bool => $entry->kind->isWritten() && $entry->mayLeaveTheNotebook(),
        );

        return new self(
            array_values(
                $entries->map(static fn(Entry $entry): array => ['at' => $entry->made_at, 'what' => $entry, 'before' => null])->all(),
            ),
        );
    }
}
