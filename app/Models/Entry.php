<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\MadeBySomebody;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Notebook\Sketch;

/**
 * Something in a group's notebook, by an id that its tablet gave it.
 *
 * @property string $id
 * @property int $group_id
 * @property int|null $car_id the version that it was made at
 * @property string|null $run_id
 * @property EntryKind $kind
 * @property array<string, mixed> $payload
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $hidden_at
 * @property CarbonImmutable|null $looked_at
 * @property-read Group $group
 * @property-read Picture|null $picture
 */
final class Entry extends Model
{
    use MadeBySomebody;

    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = [
        'id', 'group_id', 'car_id', 'run_id', 'user_id', 'device_id', 'kind', 'payload', 'made_at', 'hidden_at', 'looked_at',
    ];

    protected $casts = [
        'kind' => EntryKind::class, 'payload' => 'array', 'made_at' => 'immutable_datetime', 'hidden_at' => 'immutable_datetime',
        'looked_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    /** @return HasOne<Picture, $this> */
    public function picture(): HasOne
    {
        return $this->hasOne(Picture::class);
    }

    /** What was written of it; empty where nothing was. */
    public function text(string $of = 'text'): string
    {
        $said = $this->payload[$of] ?? '';

        return is_scalar($said) ? (string) $said : '';
    }

    public function sketch(): ?Sketch
    {
        return $this->kind === EntryKind::Sketch ? Sketch::read($this->payload['strokes'] ?? null) : null;
    }

    /** Whether it may stand on the board, in the report and in the archive: a picture only after an educator has looked at it. */
    public function mayLeaveTheNotebook(): bool
    {
        return $this->hidden_at === null && (!$this->kind->isPicture() || $this->looked_at !== null);
    }

    /** @param Builder<self> $query */
    public function scopeShown(Builder $query): void
    {
        $query->whereNull('hidden_at');
    }
}
