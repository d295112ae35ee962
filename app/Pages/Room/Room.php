<?php

declare(strict_types=1);

namespace App\Pages\Room;

use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Models\GroupPlace;
use App\Record\ClassRecord;
use Illuminate\Support\Collection;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Forecast\WarmUp;
use Skivo\Core\Notebook\Closing;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\People\DeviceRole;

/** All groups on one screen: where each is and since when, who waits for an adult, what is broken, what is new in the notebooks. */
final readonly class Room
{
    /** So many pictures are shown, the newest first. */
    private const PICTURES = 24;

    /**
     * @param list<array{group: Group, place: GroupPlace|null, fixes: int, hasGuessed: bool, hasTriesLeft: bool, runs: int, newest: Entry|null}> $rows
     * @param list<Device> $asking
     * @param Collection<int, Entry> $pictures
     * @param array<string, array<string, int>> $closing how many groups tapped which answer, by the value of the question
     * @param array<string, array<string, int>> $warmUps likewise, of the questions about the kit
     */
    private function __construct(
        public array $rows,
        public array $asking,
        public Collection $pictures,
        public array $closing,
        public array $warmUps,
    ) {}

    public static function of(ClassRecord $record): self
    {
        $groups = $record->teams();
        $ids = $groups->pluck('id');
        $places = GroupPlace::query()->whereIn('group_id', $ids)->get()->keyBy('group_id');
        $pictures = Entry::query()->whereIn('group_id', $ids)->whereIn('kind', [EntryKind::Photo, EntryKind::Sketch, EntryKind::Note])
            ->with(['picture', 'group'])->orderByDesc('made_at')->limit(self::PICTURES)->get();
        $guessed = \App\Models\Prediction::query()->whereIn(
            'car_id',
            $groups->map(static fn(Group $group): int => $group->currentCar()->id ?? 0),
        )
            ->get(['car_id', 'try'])->groupBy('car_id')->map(static fn($of) => $of->pluck('try')->all());
        $rows = [];
        foreach ($groups as $group) {
            $tries = $record->tries($group->currentCar());
            $rows[] = [
                'group' => $group,
                'place' => $places[$group->id] ?? null,
                'fixes' => count($record->card($group)?->with(CheckVerdict::Fix) ?? []),
                'hasGuessed' => in_array($tries->next(), $guessed[$group->currentCar()->id ?? 0] ?? [], true),
                'hasTriesLeft' => ! $tries->areComplete(),
                'runs' => $tries->made(),
                'newest' => $pictures->first(
                    static fn(Entry $entry): bool => $entry->group_id === $group->id
                        && $entry->kind->isPicture()
                        && $entry->hidden_at === null,
                ),
            ];
        }

        return new self(
            $rows,
            array_values(
                $record->challenge->devices()
                    ->where('role', DeviceRole::Group)
                    ->where('is_waiting', true)
                    ->whereNull('revoked_at')
                    ->with('group')
                    ->get()
                    ->all(),
            ),
            $pictures->toBase(),
            self::tally($ids, EntryKind::Closing, array_column(Closing::cases(), 'value')),
            self::tally($ids, EntryKind::WarmUp, array_column(WarmUp::cases(), 'value')),
        );
    }

    /**
     * The last tap of each group to each question, counted; nobody's name stands at it.
     *
     * @param Collection<int, int> $groups
     * @param list<string> $questions
     *
     * @return array<string, array<string, int>>
     */
    public static function tally(Collection $groups, EntryKind $kind, array $questions): array
    {
        $last = [];
        foreach (
            Entry::query()->whereIn('group_id', $groups)
                ->where('kind', $kind)
                ->orderBy('made_at')
                ->get(['group_id', 'payload', 'kind']) as $entry
        ) {
            $last[$entry->text('question')][$entry->group_id] = $entry->text('answer');
        }

        return array_map(static function (array $answers): array {
            $counts = array_count_values($answers);
            arsort($counts);

            return $counts;
        }, array_intersect_key($last, array_flip($questions)));
    }
}
