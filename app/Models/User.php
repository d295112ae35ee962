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
 */
final class User extends Authenticatable
{
    protected $fillable = ['name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed'];

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

    /** @return HasMany<SignIn, $this> that are not ended, the last seen first */
    public function signIns(): HasMany
    {
        return $this->hasMany(SignIn::class)->whereNull('ended_at')->orderByDesc('seen_at');
    }
}
