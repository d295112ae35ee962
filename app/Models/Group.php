<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A group of learners, known by its name and mark alone.
 *
 * @property int $id
 * @property int $challenge_id
 * @property string $name
 * @property string $mark
 * @property int $position
 * @property-read Challenge $challenge
 * @property-read Collection<int, Car> $cars
 */
final class Group extends Model
{
    use SoftDeletes;

    protected $fillable = ['name', 'mark', 'position'];

    protected $casts = ['position' => 'integer'];

    /** @return BelongsTo<Challenge, $this> */
    public function challenge(): BelongsTo
    {
        return $this->belongsTo(Challenge::class);
    }

    /** @return HasMany<Car, $this> */
    public function cars(): HasMany
    {
        return $this->hasMany(Car::class)->orderBy('version');
    }

    /** @return HasManyThrough<Run, Car, $this> */
    public function runs(): HasManyThrough
    {
        return $this->hasManyThrough(Run::class, Car::class);
    }

    /** The car that a run is logged for: the newest version, or one of which nothing is recorded yet. */
    public function carToRun(): Car
    {
        return $this->newestCar() ?? $this->cars()->create(['version' => 1]);
    }

    /** The newest version as the database has it now. */
    public function newestCar(): ?Car
    {
        return $this->cars()->reorder('version', 'desc')->first();
    }

    /** The newest version of the group's car, as loaded; null before one is recorded. */
    public function currentCar(): ?Car
    {
        return $this->cars->last();
    }
}
