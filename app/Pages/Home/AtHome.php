<?php

declare(strict_types=1);

namespace App\Pages\Home;

use App\Language\Text;
use App\Models\Group;
use App\Models\HomeItem;
use App\Models\HomeLink;
use App\Record\ClassRecord;
use Illuminate\Database\Eloquent\Collection;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnreadableQuantityException;

/** What groups' cars did at home, beside what they did in class; nothing of it counts there. */
final readonly class AtHome
{
    /** @param Collection<int, HomeLink> $links with their items */
    public function __construct(private ClassRecord $record, private Collection $links) {}

    /** @return Collection<int, HomeLink> the newest first */
    public function linksOf(Group $group): Collection
    {
        return $this->links->where('group_id', $group->id);
    }

    /** @return array{mean: string, count: string, class: string}|null null where nothing was accepted that compares */
    public function of(Group $group): ?array
    {
        $units = $this->record->challenge->units;
        $unit = $units->unit(Scale::Distance) ?? Unit::Centimetre;
        $distances = [];
        foreach ($this->linksOf($group)->flatMap(static fn(HomeLink $link) => $link->items) as $item) {
            /** @var HomeItem $item */
            if ($item->accepted_at === null || !isset($item->payload['distance'])) {
                continue;
            }
            try {
                $distances[] = (new QuantityReader())->read($item->payload['distance'], $unit)->quantity->si();
            } catch (UnreadableQuantityException) {
                continue;
            }
        }
        $car = $group->currentCar();
        $class = $car === null ? null : $this->record->tries($car)->distances()?->mean();

        return $distances === [] || $class === null ? null : [
            'mean' => $units->show(array_sum($distances) / count($distances), Scale::Distance),
            'count' => Text::plural('home.class.runs', count($distances)),
            'class' => $units->show($class, Scale::Distance),
        ];
    }
}
