<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Models\Group;
use App\Models\Prediction;
use App\Models\Run;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Foresight;

/** What groups expected before their runs, beside what happened. */
final readonly class PredictionsReading
{
    /**
     * @param list<array{group: Group, version: int, prediction: Prediction, measured: float|null}> $rows in the order of the groups and their tries
     * @param array<int, Foresight> $foresights by the id of the group; of those that foretold a try that was made since
     * @param array<int, Prediction> $open by the id of the group: what stands for its next try
     */
    private function __construct(
        public array $rows,
        public array $foresights,
        public array $open,
    ) {}

    public static function of(ClassRecord $record): self
    {
        $cars = $record->withRuns()->groups->flatMap(static fn(Group $group) => $group->cars);
        $predictions = Prediction::query()->whereIn('car_id', $cars->pluck('id'))->orderBy('try')->get()->groupBy('car_id');
        $rows = $foresights = $open = [];
        foreach ($record->groups as $group) {
            $misses = [];
            $made = 0;
            foreach ($group->cars as $car) {
                foreach ($predictions->get($car->id) ?? [] as $prediction) {
                    $made++;
                    // Only what was said before the run counts.
                    $run = $car->runs->first(
                        static fn(Run $run): bool => $run->try === $prediction->try
                            && $run->void_reason === null
                            && $run->logged_at->greaterThanOrEqualTo($prediction->made_at),
                    );
                    $measured = $run?->distance?->quantity->si();
                    $rows[] = ['group' => $group, 'version' => $car->version, 'prediction' => $prediction, 'measured' => $measured];
                    if ($measured !== null) {
                        $misses[$made] = $prediction->distance->quantity->si() - $measured;
                    } elseif ($car->id === $group->currentCar()?->id && $prediction->try === $record->tries($car)->next()) {
                        $open[$group->id] = $prediction;
                    }
                }
            }
            if ($misses !== []) {
                $foresights[$group->id] = new Foresight($misses);
            }
        }
        uasort($foresights, static fn(Foresight $a, Foresight $b): int => $a->typicalMiss() <=> $b->typicalMiss());

        return new self($rows, $foresights, $open);
    }
}
