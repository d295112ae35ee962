<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An educator of a school.
 *
 * @property int $id
 * @property int $school_id
 * @property int $user_id
 * @property bool $is_head who invites to it, and takes educators out of it
 * @property CarbonImmutable $joined_at
 * @property-read User $user
 */
final class SchoolMember extends Model
{
    public const CREATED_AT = 'joined_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'is_head'];

    protected $casts = ['is_head' => 'boolean', 'joined_at' => 'immutable_datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
