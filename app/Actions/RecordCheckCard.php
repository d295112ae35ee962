<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\CheckReading;
use App\Models\Device;
use App\Models\Group;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Reading;

/** Records the check card of the car that runs next. */
final class RecordCheckCard
{
    /**
     * @param array<string, Reading|null> $readings by the value of an item; null where nothing stands
     * @param string|null $seen which card in which edition was looked at, as edition() has it; null to change whatever is there
     *
     * @throws CarHasChangedException where somebody else changed it since
     */
    public function __invoke(Group $group, array $readings, User $by, ?string $seen = null): void
    {
        DB::transaction(static function () use ($group, $readings, $by, $seen): void {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $car = CarToRun::of($group);
            if ($seen !== null && $seen !== self::edition($car)) {
                throw new CarHasChangedException($car);
            }
            $car->update(['card_edition' => $car->card_edition + 1]);
            $held = $car->checkReadings()->get()->keyBy(static fn(CheckReading $reading): string => $reading->item->value);
            foreach ($readings as $item => $reading) {
                $row = $held->get($item);
                if ($reading === null) {
                    $row?->delete();
                    continue;
                }
                $row ??= $car->checkReadings()->make(['item' => CheckItem::from($item)]);
                $row->put($reading);
                if ($row->isDirty()) {
                    $row->user_id = $by->id;
                    $row->save();
                }
            }
        });
    }

    /** Records one test of the card of the car that runs next. */
    public function one(Group $group, Reading $reading, User|Device $by): void
    {
        DB::transaction(static function () use ($group, $reading, $by): void {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $car = CarToRun::of($group);
            $car->update(['card_edition' => $car->card_edition + 1]);
            $row = $car->checkReadings()->where('item', $reading->item)->first() ?? $car->checkReadings()->make(['item' => $reading->item]);
            $row->put($reading);
            $row->fill(CheckReading::madeBy($by))->save();
        });
    }

    /** What the card carries so that two who fill it in notice each other. */
    public static function edition(?Car $car): string
    {
        return $car === null ? '1.1' : "{$car->version}.{$car->card_edition}";
    }
}
