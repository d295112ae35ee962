<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * An educator.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property bool $is_administrator of the whole installation
 */
final class User extends Authenticatable
{
    protected $fillable = ['name', 'email', 'password'];

    protected $attributes = ['is_administrator' => false, 'remember_token' => null];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'is_administrator' => 'boolean'];

    /** @return HasMany<Challenge, $this> their own */
    public function challenges(): HasMany
    {
        return $this->hasMany(Challenge::class);
    }

    /** @return BelongsToMany<Challenge, $this> of colleagues, who let them in */
    public function sharedChallenges(): BelongsToMany
    {
        return $this->belongsToMany(Challenge::class, 'members');
    }

    /** @return BelongsToMany<School, $this> */
    public function schools(): BelongsToMany
    {
        return $this->belongsToMany(School::class, 'school_members')->orderBy('name');
    }

    /** @return HasMany<ApiToken, $this> that open something, in the order in which they were made */
    public function apiTokens(): HasMany
    {
        return $this->hasMany(ApiToken::class)->whereNull('revoked_at')->orderBy('id');
    }

    /** @return HasMany<SignIn, $this> that are not ended, the last seen first */
    public function signIns(): HasMany
    {
        return $this->hasMany(SignIn::class)->whereNull('ended_at')->orderByDesc('seen_at');
    }
}
