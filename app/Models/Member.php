<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Skivo\Core\People\MemberRole;

/**
 * An educator in a challenge that is another's.
 *
 * @property int $id
 * @property int $challenge_id
 * @property int $user_id
 * @property MemberRole $role
 * @property CarbonImmutable $joined_at
 * @property-read User $user
 */
final class Member extends Model
{
    public const CREATED_AT = 'joined_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'role'];

    protected $casts = ['role' => MemberRole::class, 'joined_at' => 'immutable_datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
