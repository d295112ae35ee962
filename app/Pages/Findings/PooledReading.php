<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Models\Challenge;
use App\Models\User;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\PooledEffect;

/** What several classes that asked the same found, each and together, and this year's against last year's. */
final readonly class PooledReading
{
    /** So many classes are put together at most: the newest. */
    private const MOST = 24;

    private const KEEP_SECONDS = 86_400;

    /**
     * @param Collection<int, Challenge> $classes that asked the same and that this educator sees, the newest first
     * @param list<int> $chosen of them, by id
     * @param array<int, Effect|null> $effects of those that were chosen
     * @param array<int, int> $years in which each met, by id
     * @param float $typical what a car of these classes does
     */
    private function __construct(
        public Collection $classes,
        public array $chosen,
        public array $effects,
        public array $years,
        public ?PooledEffect $pooled,
        private float $typical,
    ) {}

    /** @param list<int> $chosen by id; all where none is */
    public static function of(User $user, Challenge $challenge, array $chosen): self
    {
        $classes = self::askedTheSame($user, $challenge);
        $ids = array_values($classes->pluck('id')->all());
        $chosen = array_values(array_intersect($ids, $chosen === [] ? $ids : $chosen));
        $revisions = DB::table('revisions')->whereIn('challenge_id', $chosen)->pluck('number', 'challenge_id');
        $effects = $typical = [];
        foreach ($classes as $class) {
            if (in_array($class->id, $chosen, true)) {
                [$effects[$class->id], $typical[]] = self::found($class, (int) ($revisions[$class->id] ?? 0));
            }
        }
        $typical = array_filter($typical);

        return new self(
            $classes,
            $chosen,
            $effects,
            $classes->mapWithKeys(static fn(Challenge $class): array => [$class->id => $class->day()->year])->all(),
            PooledEffect::of($effects),
            $typical === [] ? 0.0 : array_sum($typical) / count($typical),
        );
    }

    public function typical(): float
    {
        return $this->typical;
    }

    /**
     * The newest year's classes and those of the year before it that is on record; null where all are of one year, or one can't speak.
     *
     * @return array{int, PooledEffect, int, PooledEffect}|null
     */
    public function years(): ?array
    {
        $byYear = [];
        foreach ($this->pooled->effects ?? [] as $id => $effect) {
            $byYear[$this->years[$id]][$id] = $effect;
        }
        krsort($byYear);
        $years = array_keys($byYear);
        $now = isset($years[1]) ? PooledEffect::of($byYear[$years[0]]) : null;
        $before = isset($years[1]) ? PooledEffect::of($byYear[$years[1]]) : null;

        return $now === null || $before === null ? null : [$years[0], $now, $years[1], $before];
    }

    /** @return Collection<int, Challenge> */
    private static function askedTheSame(User $user, Challenge $challenge): Collection
    {
        $same = [
            'asks' => $challenge->asks?->value, 'asks_outcome' => $challenge->asks_outcome?->value, 'asks_from' => $challenge->asks_from,
            'asks_to' => $challenge->asks_to,
        ];
        if ($challenge->asks === null) {
            return new Collection();
        }

        return Challenge::query()->where($same)->where(static fn($mine) => $mine->where('user_id', $user->id)
            ->orWhereHas('members', static fn($members) => $members->where('user_id', $user->id)))
            ->with(['user', 'plan'])->orderByDesc('created_at')->orderByDesc('id')->limit(self::MOST)->get()->toBase();
    }

    /** @return array{Effect|null, float} what its own cars say, and what they typically do */
    private static function found(Challenge $class, int $revision): array
    {
        $key = "asked:{$class->id}:{$revision}:" . config('skivo.build');
        /** @var array{Effect|null, float}|null $held */
        $held = Cache::get($key);
        if ($held !== null) {
            return $held;
        }
        $findings = ClassFindings::of(ClassRecord::of(Challenge::query()->findOrFail($class->id)))->found;
        $found = [$findings->asked, $findings->asked === null ? 0.0 : $findings->claims->typical($findings->asked->outcome)];
        Cache::put($key, $found, self::KEEP_SECONDS);

        return $found;
    }
}
