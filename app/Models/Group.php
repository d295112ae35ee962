<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;

/**
 * A group of learners, known by its name and mark alone.
 *
 * @property int $id
 * @property int $challenge_id
 * @property string $name
 * @property string $mark
 * @property int $position
 * @property bool $is_repairing
 * @property bool $is_withdrawn
 * @property int|null $skipped_try
 * @property CarbonImmutable|null $skipped_at
 * @property int|null $of_group_id the group whose further car this is; null where it is the group itself
 * @property bool $is_nominated whether it is the one of its group's cars that counts for awards
 * @property bool|null $builds_other of the two that the class compares; null where nobody said, and of a further car
 * @property CarAttribute|null $asked_attribute what it is asked to change next, by the educator; null where it chooses itself
 * @property string|null $asked_to to what: in SI, or the name of a kind
 * @property string|null $sweep over the fill, as JSON (FillSweep)
 * @property-read Challenge $challenge
 * @property-read Collection<int, Car> $cars
 */
final class Group extends Model
{
    use SoftDeletes;

    protected $fillable = [
        'name', 'mark', 'position', 'is_repairing', 'is_withdrawn', 'skipped_try', 'skipped_at', 'sweep', 'of_group_id', 'is_nominated',
        'builds_other', 'asked_attribute', 'asked_to',
    ];

    protected $casts = [
        'position' => 'integer', 'is_repairing' => 'boolean', 'is_withdrawn' => 'boolean', 'of_group_id' => 'integer',
        'is_nominated' => 'boolean', 'builds_other' => 'boolean',
        'asked_attribute' => CarAttribute::class, 'skipped_try' => 'integer', 'skipped_at' => 'immutable_datetime',
    ];

    protected $attributes = ['is_repairing' => false, 'is_withdrawn' => false, 'is_nominated' => true];

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    /** @return BelongsTo<Challenge, $this> */
    public function challenge(): BelongsTo
    {
        return $this->belongsTo(Challenge::class);
    }

    /** The id of the group itself, whichever of its cars this is. */
    public function team(): int
    {
        return $this->of_group_id ?? $this->id;
    }

    /** @return HasMany<Group, $this> its further cars, each with versions and runs of its own */
    public function furtherCars(): HasMany
    {
        return $this->hasMany(self::class, 'of_group_id')->orderBy('id');
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

    /** @return HasMany<Entry, $this> */
    public function entries(): HasMany
    {
        return $this->hasMany(Entry::class)->orderBy('made_at')->orderBy('id');
    }

    /** @return HasOne<GroupPlace, $this> */
    public function place(): HasOne
    {
        return $this->hasOne(GroupPlace::class);
    }

    /** The newest version as the database has it now. */
    public function newestCar(): ?Car
    {
        return $this->cars()->reorder('version', 'desc')->first();
    }

    /** What drives its newest car: what the kit of its class is driven by while it has none, a balloon where nobody said. */
    public function source(EnergySource $kits = EnergySource::Balloon): EnergySource
    {
        $car = $this->currentCar();

        return $car === null ? $kits : $car->choices->source() ?? EnergySource::Balloon;
    }

    /** The newest version of the group's car, as loaded; null before one is recorded. */
    public function currentCar(): ?Car
    {
        return $this->cars->last();
    }
}
