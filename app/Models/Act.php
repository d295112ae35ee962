<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\MadeBySomebody;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something done at the lane: a run logged, corrected, taken back or put back, or a group skipped, repairing, withdrawn.
 * Its number says what came after what.
 *
 * @property int $id
 * @property int $challenge_id
 * @property int|null $group_id
 * @property string|null $run_id null where it was done to a group's place in the order
 * @property string|null $seat which browser of an educator
 * @property string $kind logged, edited, undone, restored or ordered
 * @property array<string, string|int|float|bool|null> $before the columns as they stood before
 * @property array<string, string|int|float|bool|null> $after the columns as it left them
 * @property CarbonImmutable $made_at
 * @property-read Run|null $run
 * @property-read Group|null $group
 */
final class Act extends Model
{
    use MadeBySomebody;

    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['challenge_id', 'group_id', 'run_id', 'user_id', 'device_id', 'seat', 'kind', 'before', 'after'];

    protected $casts = ['before' => 'array', 'after' => 'array', 'made_at' => 'immutable_datetime'];

    /** @return BelongsTo<Run, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(Run::class)->withTrashed();
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class)->withTrashed();
    }

    /** Whoever else did something to the same run or group since; null where it still stands as this left it. */
    public function overtakenBy(): ?self
    {
        return self::query()->where('challenge_id', $this->challenge_id)->where('id', '>', $this->id)
            ->where($this->run_id === null ? ['group_id' => $this->group_id, 'run_id' => null] : ['run_id' => $this->run_id])
            ->with(['user', 'device'])->orderByDesc('id')->first();
    }
}
