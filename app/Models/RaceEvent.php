<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\MadeBySomebody;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ramsey\Uuid\Uuid;
use Skivo\Core\Race\EventKind;
use Skivo\Core\Race\RaceEvent as CoreEvent;

/**
 * One thing that happened in a race, by an id that the device gave it.
 *
 * @property int $id
 * @property string $event_id
 * @property int $race_id
 * @property int $challenge_id
 * @property EventKind $kind
 * @property string|null $heat
 * @property int|null $entrant
 * @property int|null $against
 * @property string|null $undoes
 * @property string|null $why together, neither or broke
 * @property CarbonImmutable $made_at
 * @property-read Race $race
 */
final class RaceEvent extends Model
{
    use MadeBySomebody;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = [
        'event_id', 'race_id', 'challenge_id', 'user_id', 'device_id', 'kind', 'heat', 'entrant', 'against', 'undoes', 'why', 'made_at',
    ];

    protected $casts = ['kind' => EventKind::class, 'entrant' => 'integer', 'against' => 'integer', 'made_at' => 'immutable_datetime'];

    /** @return BelongsTo<Race, $this> */
    public function race(): BelongsTo
    {
        return $this->belongsTo(Race::class);
    }

    public function toCore(): CoreEvent
    {
        return new CoreEvent(
            $this->event_id,
            $this->kind,
            $this->heat,
            $this->entrant === null ? null : (string) $this->entrant,
            $this->against === null ? null : (string) $this->against,
            $this->undoes,
        );
    }

    /** The id of the run that a car made in the heat of this event. */
    public static function runId(string $event, int $group): string
    {
        return Uuid::uuid5($event, (string) $group)->toString();
    }
}
