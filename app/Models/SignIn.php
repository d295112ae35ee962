<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A browser in which an educator is signed in.
 *
 * @property string $id
 * @property int $user_id
 * @property string $browser what it is, as far as it says
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable $seen_at
 * @property CarbonImmutable|null $ended_at
 */
final class SignIn extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['browser', 'seen_at', 'ended_at'];

    protected $casts = ['created_at' => 'immutable_datetime', 'seen_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime'];
}
