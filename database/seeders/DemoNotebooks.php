<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Challenge;
use App\Models\Entry;
use App\Models\Group;
use App\Models\GroupPlace;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Forecast\Direction;
use Skivo\Core\Forecast\WarmUp;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Notebook\Sketch;
use Skivo\Core\Notebook\Station;

/** What the groups of the made-up class wrote, drew and tapped on their own path, and where they are at the end of the morning. */
final class DemoNotebooks
{
    /** By group: what was written, as kind and words. */
    private const WRITTEN = [
        'Bowline' => [
            [EntryKind::Note, 'It goes straight now. We turned the straw a little.'], [EntryKind::Wish, 'A wider straw, like Halyard'],
        ],
        'Halyard' => [
            [EntryKind::Note, 'The balloon is empty after about a metre. It rolls on alone.'], [EntryKind::Wish, 'Thinner axles'],
        ],
        'Cleat' => [[EntryKind::Note, 'It turned left and met the bench.']],
        'Fender' => [[EntryKind::Note, 'Tape on the neck holds better than the band.']],
        'Reef' => [
            [EntryKind::Note, 'One wheel came off. More glue, and wait longer.'], [EntryKind::Note, 'Three straws leak where they meet.'],
            [EntryKind::Wish, 'Wheels that don’t wobble'],
        ],
        'Keel' => [[EntryKind::Note, 'It is heavy, and a wheel rubs on the bottle.'], [EntryKind::Wish, 'A lighter body']],
    ];

    /** By group: how it draws its car: the colour of the balloon, and how large wheels and balloon are (of a thousand). */
    private const DRAWN = [
        'Halyard' => ['red', 60, 150], 'Reef' => ['blue', 105, 130], 'Keel' => ['yellow', 55, 120], 'Fender' => ['red', 62, 145],
    ];

    /** By group: its answers about a wider nozzle, larger wheels and a carpet. */
    private const GUESSED = [
        'Bowline' => [Direction::Farther, Direction::LessFar, Direction::Farther],
        'Halyard' => [Direction::Farther, Direction::LessFar, Direction::Farther],
        'Cleat' => [Direction::Farther, Direction::Same, Direction::LessFar],
        'Fender' => [Direction::Farther, Direction::LessFar, Direction::LessFar],
        'Reef' => [Direction::Farther, Direction::Farther, Direction::Same],
        'Keel' => [Direction::Same, Direction::LessFar, Direction::Farther],
    ];

    /** By group: where it is, and for how many minutes. */
    private const PLACES = [
        'Bowline' => [Station::Change, 4], 'Halyard' => [Station::Why, 2], 'Cleat' => [Station::Change, 6], 'Fender' => [Station::Guess, 1],
        'Reef' => [Station::Why, 3], 'Sheepshank' => [Station::Change, 9], 'Thimble' => [Station::Run, 7], 'Keel' => [Station::Check, 5],
    ];

    public function fill(Challenge $challenge, User $educator, CarbonImmutable $morning, CarbonImmutable $end): void
    {
        $asked = [WarmUp::WiderNozzle, WarmUp::LargerWheels, WarmUp::Carpet];
        foreach ($challenge->groups()->with('cars.runs')->get() as $group) {
            foreach ($group->cars as $car) {
                $first = $car->runs->min('logged_at');
                $car->created_at = $car->version === 1 || !$first instanceof CarbonImmutable
                    ? $morning->subMinutes(30)
                    : $first->subMinutes(2);
                $car->saveQuietly();
            }
            foreach (self::GUESSED[$group->name] ?? [] as $index => $answer) {
                $this->enter(
                    $group,
                    $educator,
                    EntryKind::WarmUp,
                    ['question' => $asked[$index]->value, 'answer' => $answer->value],
                    $morning->subMinutes(50)->addSeconds(40 * $index),
                );
            }
            foreach (BuildStep::cases() as $index => $step) {
                $this->enter(
                    $group,
                    $educator,
                    EntryKind::Tick,
                    ['step' => $step->value, 'done' => true],
                    $morning->subMinutes(45)->addMinutes($index),
                );
            }
            if (isset(self::DRAWN[$group->name])) {
                $drawing = $this->enter(
                    $group,
                    $educator,
                    EntryKind::Sketch,
                    ['strokes' => self::car(...self::DRAWN[$group->name])],
                    $morning->addMinutes(5),
                );
                $drawing->update(['looked_at' => $group->name === 'Fender' ? null : $end]);
            }
            foreach (self::WRITTEN[$group->name] ?? [] as $index => [$kind, $text]) {
                $this->enter($group, $educator, $kind, ['text' => $text], $morning->addMinutes(70 + 5 * $index));
            }
            [$station, $since] = self::PLACES[$group->name];
            $runs = $group->newestCar()?->runs->sortBy('logged_at');
            if ($station === Station::Change && $runs?->last() !== null) {
                $this->enter($group, $educator, EntryKind::Why, ['run' => $runs->last()->id], $end->subMinutes($since));
            }
            GroupPlace::query()->create([
                'group_id' => $group->id, 'station' => $station, 'since' => $end->subMinutes($since),
                'wants_adult_at' => $group->name === 'Keel'
                    ? $end->subMinute()
                    : null,
            ]);
        }
    }

    /** @param array<string, mixed> $payload */
    private function enter(Group $group, User $educator, EntryKind $kind, array $payload, CarbonImmutable $at): Entry
    {
        $entry = new Entry(
            ['id' => (string) Str::uuid7($at), 'kind' => $kind, 'payload' => $payload, 'made_at' => $at] + Entry::madeBy($educator),
        );
        $entry->group()->associate($group);
        $entry->car_id = $group->newestCar()?->id;
        $entry->run_id = is_string($payload['run'] ?? null) ? $payload['run'] : null;
        $entry->save();

        return $entry;
    }

    /** @return list<array{pen: string, points: list<array{int, int}>}> a car from the side, by a hand that does not draw with a ruler */
    private static function car(string $pen, int $wheel, int $balloon): array
    {
        $hand = static fn(float $along, float $size): int => (int) round($size * sin(7.0 * $along) / 60);
        $round = static function (int $x, int $y, int $wide, int $high) use ($hand): array {
            $points = [];
            for ($turn = 0; $turn <= 24; $turn++) {
                $angle = 2 * M_PI * $turn / 24 + 0.1;
                $points[] = [
                    $x + (int) round($wide * cos($angle)) + $hand($angle, $wide),
                    $y + (int) round($high * sin($angle)) + $hand($angle + 1, $high),
                ];
            }

            return $points;
        };
        $ground = 560;
        $deck = $ground - $wheel;

        return [
            [
                'pen' => 'ink',
                'points' => [
                    [220, $deck - 22], [480, $deck - 26], [760, $deck - 20], [764, $deck + 6], [500, $deck + 3], [218, $deck + 8],
                    [220, $deck - 22],
                ],
            ],
            ['pen' => 'ink', 'points' => $round(320, $ground - $wheel, $wheel, $wheel)],
            ['pen' => 'ink', 'points' => $round(660, $ground - $wheel, $wheel, $wheel)],
            ['pen' => $pen, 'points' => $round(560, $deck - 40 - $balloon, (int) (1.15 * $balloon), $balloon)],
            [
                'pen' => 'ink',
                'points' => [
                    [210, $deck - 62], [400, $deck - 60], [430, $deck - 76], [420, $deck - 36], [400, $deck - 44], [210, $deck - 46],
                ],
            ],
            ['pen' => 'blue', 'points' => [[180, $deck - 54], [90, $deck - 50], [118, $deck - 72]]],
            ['pen' => 'blue', 'points' => [[90, $deck - 50], [122, $deck - 32]]],
            ['pen' => 'ink', 'points' => [[60, $ground + 2], [400, $ground + 6], [Sketch::WIDTH - 60, $ground]]],
        ];
    }
}
