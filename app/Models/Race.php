<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use App\Models\Concerns\HoldsImmutableValues;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Race\RaceEvent as CoreEvent;
use Skivo\Core\Race\RaceKind;
use Skivo\Core\Race\RacePlan;
use Skivo\Core\Race\RaceState;

/**
 * A race between cars of a class, by its rules; what happened in it are its events.
 *
 * @property int $id
 * @property int $challenge_id
 * @property RaceKind $kind
 * @property list<int> $entrants ids of groups, the first thought the best
 * @property int $best_of
 * @property Entry|null $length first across it wins; null where it is who goes farther
 * @property int $lanes
 * @property int|null $lot by which the order was drawn; null where it is that of the standings
 * @property bool $broken_loses
 * @property float $repair_min
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable|null $ended_at
 * @property-read Challenge $challenge
 * @property-read Collection<int, RaceEvent> $events
 */
final class Race extends Model
{
    use HoldsImmutableValues;

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['kind', 'entrants', 'best_of', 'length', 'lanes', 'lot', 'broken_loses', 'repair_min', 'ended_at'];

    protected $casts = [
        'kind' => RaceKind::class,
        'entrants' => 'array',
        'best_of' => 'integer',
        'length' => AsEntry::class . ':length',
        'lanes' => 'integer',
        'lot' => 'integer',
        'broken_loses' => 'boolean',
        'repair_min' => 'float',
        'created_at' => 'immutable_datetime',
        'ended_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Challenge, $this> */
    public function challenge(): BelongsTo
    {
        return $this->belongsTo(Challenge::class);
    }

    /** @return HasMany<RaceEvent, $this> in the order in which they came */
    public function events(): HasMany
    {
        return $this->hasMany(RaceEvent::class)->orderBy('id');
    }

    public function plan(): RacePlan
    {
        return new RacePlan(
            $this->kind,
            array_map(strval(...), $this->entrants),
            $this->best_of,
            $this->length?->quantity->si(),
            $this->lanes,
            $this->lot,
            $this->broken_loses,
            $this->repair_min,
        );
    }

    /** As it stands, by the events that are loaded. */
    public function state(): RaceState
    {
        return RaceState::replay($this->plan(), array_values($this->events->map(static fn(RaceEvent $event) => $event->toCore())->all()));
    }

    /** @return list<RaceEvent> what stands: without what was undone, and its undoing */
    public function happened(): array
    {
        $byId = $this->events->keyBy('event_id');
        $standing = RaceState::thatHappened(array_values($this->events->map(static fn(RaceEvent $event) => $event->toCore())->all()));

        return array_values(array_filter(array_map(static fn(CoreEvent $event): ?RaceEvent => $byId[$event->id] ?? null, $standing)));
    }

    /** Whether a time over its length is one over the class's timed length. */
    public function takesTimes(): bool
    {
        $timed = $this->challenge->timed_length?->quantity->si();

        return $this->length !== null && $timed !== null && abs($this->length->quantity->si() - $timed) < 1e-6;
    }
}
