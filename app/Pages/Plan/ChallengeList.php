<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Models\Challenge;
use App\Models\User;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\RunKind;

/**
 * An educator's challenges and those of colleagues who let them in, newest first, with how far each is and where its groups' best runs
 * ended.
 */
final readonly class ChallengeList
{
    /**
     * @param Collection<int, Challenge> $challenges
     * @param array<int, list<array{mark: string, name: string, best: float|null, counted: int}>> $groups by challenge
     * @param Collection<int, Challenge> $removed
     */
    private function __construct(
        public Collection $challenges,
        private array $groups,
        public Collection $removed,
    ) {}

    public static function of(User $user): self
    {
        $all = $user->challenges()->withTrashed()->get()->toBase()->merge($user->sharedChallenges()->with('user')->get()->toBase())
            ->sortByDesc(
                static fn(Challenge $challenge): array => [(string) $challenge->created_at?->format('c'), $challenge->id],
            )->values();
        $rows = DB::table('groups')
            ->leftJoin('cars', 'cars.group_id', '=', 'groups.id')
            ->leftJoin(
                'runs',
                static fn($join) => $join->on('runs.car_id', '=', 'cars.id')->whereNull('runs.deleted_at')->whereNull('runs.void_reason')
                    ->where('runs.kind', '<>', RunKind::Practice),
            )
            ->whereIn('groups.challenge_id', $all->pluck('id'))
            ->whereNull('groups.deleted_at')
            ->groupBy('groups.id')
            ->orderBy('groups.position')
            ->select(['groups.challenge_id', 'groups.mark', 'groups.name'])
            ->selectRaw('max(runs.distance_m) AS best, count(runs.id) AS counted')
            ->get();
        $groups = [];
        foreach ($rows as $row) {
            $groups[(int) $row->challenge_id][] = [
                'mark' => (string) $row->mark,
                'name' => (string) $row->name,
                'best' => $row->best === null ? null : (float) $row->best,
                'counted' => (int) $row->counted,
            ];
        }

        return new self(
            $all->reject(static fn(Challenge $challenge): bool => $challenge->trashed())->values(),
            $groups,
            $all->filter(static fn(Challenge $challenge): bool => $challenge->trashed())->values(),
        );
    }

    /** @return list<array{mark: string, name: string, best: float|null, counted: int}> */
    public function groups(Challenge $challenge): array
    {
        return $this->groups[$challenge->id] ?? [];
    }

    public function runs(Challenge $challenge): int
    {
        return array_sum(array_column($this->groups($challenge), 'counted'));
    }
}
