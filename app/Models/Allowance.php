<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A breach of the rules that the educator allowed one car.
 *
 * @property int $id
 * @property int $car_id
 * @property string $rule as Challenge\Breach names it
 * @property string $reason
 * @property CarbonImmutable $made_at
 */
final class Allowance extends Model
{
    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'rule', 'reason'];

    protected $casts = ['made_at' => 'immutable_datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
