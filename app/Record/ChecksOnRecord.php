<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Forecast\CheckedCars;
use Skivo\Core\Forecast\CheckShifts;

/**
 * What an educator's classes say of failed checks to one of them: the others as they stand now, whoever looked at which of them
 * and when, and never itself, which its cars' frictions say already.
 */
final readonly class ChecksOnRecord
{
    /** @param list<CheckedCars> $classes */
    private function __construct(private array $classes) {}

    public static function besides(Challenge $challenge): self
    {
        // Only a class in which something was checked has anything to say.
        $others = DB::table('challenges')->leftJoin('revisions', 'revisions.challenge_id', 'challenges.id')
            ->leftJoin('check_lessons', 'check_lessons.challenge_id', 'challenges.id')
            ->where(
                'challenges.user_id',
                $challenge->user_id,
            )->where('challenges.id', '<>', $challenge->id)->whereNull('challenges.deleted_at')
            ->whereExists(static fn($checks) => $checks->from('check_readings')->join('cars', 'cars.id', 'check_readings.car_id')
                ->join(
                    'groups',
                    'groups.id',
                    'cars.group_id',
                )->whereColumn('groups.challenge_id', 'challenges.id')->whereNull('groups.deleted_at'))
            ->orderBy('challenges.id')
            ->get(['challenges.id', 'revisions.number', 'check_lessons.revision', 'check_lessons.build', 'check_lessons.rows']);
        $learn = app(TeachesByChecks::class);

        $build = (string) config('skivo.build');
        $isFresh = static fn(\stdClass $each): bool => $each->revision !== null
            && $each->revision === $each->number && $each->build === $build;

        return new self(array_values($others->map(static fn(\stdClass $each): CheckedCars => $isFresh($each)
            ? CheckedCars::ofRows(json_decode((string) $each->rows, true, 8, JSON_THROW_ON_ERROR))
            : $learn(Challenge::query()->whereKey((int) $each->id)->firstOrFail()))->all()));
    }

    public function shifts(): CheckShifts
    {
        return CheckShifts::over($this->classes);
    }

    /** The same for the same lessons: what is kept of a class is kept under it. */
    public function key(): string
    {
        return hash('xxh128', serialize(array_map(static fn(CheckedCars $class): array => $class->rows, $this->classes)));
    }
}
