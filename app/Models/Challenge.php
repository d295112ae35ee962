<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Skivo\Core\Build\Catalogue;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Quantity\Entry;
use Skivo\Core\Quantity\UnitSystem;

/**
 * What an educator sets a class: the question, the goal, the rules, the lane.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string|null $question
 * @property Goal $goal
 * @property Scoring $scoring
 * @property int $tries
 * @property Entry $lane_length
 * @property Entry|null $timed_length
 * @property string|null $surface
 * @property UnitSystem $units
 * @property CarbonImmutable $created_at
 * @property-read Collection<int, Group> $groups
 */
final class Challenge extends Model
{
    use SoftDeletes;

    protected $fillable = ['name', 'question', 'goal', 'scoring', 'tries', 'lane_length', 'timed_length', 'surface', 'units'];

    protected $casts = [
        'goal' => Goal::class,
        'scoring' => Scoring::class,
        'tries' => 'integer',
        'lane_length' => AsEntry::class . ':length',
        'timed_length' => AsEntry::class . ':length',
        'units' => UnitSystem::class,
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Group, $this> */
    public function groups(): HasMany
    {
        return $this->hasMany(Group::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<OwnPart, $this> */
    public function ownParts(): HasMany
    {
        return $this->hasMany(OwnPart::class)->orderBy('name');
    }

    /** The standard parts and the educator's own. */
    public function catalogue(): Catalogue
    {
        return Catalogue::standard()->with($this->ownParts()->get()->map(static fn(OwnPart $part) => $part->toCore())->values()->all());
    }

    /** A run in an address belongs to the challenge before it, though two tables lie between them. */
    public function resolveChildRouteBinding($childType, $value, $field): ?Model
    {
        return $childType === 'run'
            ? $this->runs()->find($value)
            : parent::resolveChildRouteBinding($childType, $value, $field);
    }

    public function resolveSoftDeletableChildRouteBinding($childType, $value, $field): ?Model
    {
        return $childType === 'run'
            ? $this->runs()->withTrashed()->find($value)
            : parent::resolveSoftDeletableChildRouteBinding($childType, $value, $field);
    }

    /** @return Builder<Run> every run of its groups, whichever version of a car made it */
    public function runs(): Builder
    {
        return Run::query()->whereHas('car.group', fn(Builder $groups) => $groups->where('challenge_id', $this->id));
    }
}
