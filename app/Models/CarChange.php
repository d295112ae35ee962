<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A correction of a car's record: what stood there before.
 *
 * @property int $id
 * @property array<string, string|int|null> $before by choice, as typed
 * @property array<string, string|int|null> $after by choice, as typed
 * @property CarbonImmutable $made_at
 * @property-read User $user
 */
final class CarChange extends Model
{
    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'before', 'after'];

    protected $casts = ['before' => 'array', 'after' => 'array', 'made_at' => 'immutable_datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
