<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Educators who share plans and parts.
 *
 * @property int $id
 * @property string $name
 * @property CarbonImmutable $created_at
 * @property-read Collection<int, SchoolMember> $members
 * @property-read Collection<int, Challenge> $plans
 */
final class School extends Model
{
    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['name'];

    protected $casts = ['created_at' => 'immutable_datetime'];

    /** @return HasMany<SchoolMember, $this> in the order in which they came */
    public function members(): HasMany
    {
        return $this->hasMany(SchoolMember::class)->orderBy('id');
    }

    /** @return BelongsToMany<Challenge, $this> whose plans and parts are shared */
    public function plans(): BelongsToMany
    {
        return $this->belongsToMany(Challenge::class, 'school_plans')->withPivot('shared_at')->orderByDesc('school_plans.id');
    }

    /** @return HasMany<Invitation, $this> that still open */
    public function invitations(): HasMany
    {
        return $this->hasMany(Invitation::class)->whereNull('revoked_at')->where('expires_at', '>', now())->orderBy('id');
    }

    public function memberFor(User $user): ?SchoolMember
    {
        return $this->members->firstWhere('user_id', $user->id);
    }
}
