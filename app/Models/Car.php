<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsChoices;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Skivo\Core\Trials\Tries;

/**
 * One version of a group's car.
 *
 * @property int $id
 * @property int $group_id
 * @property int $version
 * @property \Skivo\Core\Build\Car $choices
 * @property string|null $reason why it was changed from the version before
 * @property-read Group $group
 * @property-read Collection<int, Run> $runs
 */
final class Car extends Model
{
    protected $fillable = ['version', 'choices', 'reason'];

    protected $casts = [
        'version' => 'integer',
        'choices' => AsChoices::class,
    ];

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    /** @return HasMany<Run, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(Run::class)->orderBy('logged_at')->orderBy('id');
    }

    /** Its runs, sorted by the rule of the challenge. */
    public function tries(int $allowed): Tries
    {
        return new Tries($this->runs->map(static fn(Run $run) => $run->toCore())->values()->all(), $allowed);
    }
}
