<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Skivo\Core\Quantity\Entry;
use Skivo\Core\Trials\Run as CoreRun;
use Skivo\Core\Trials\VoidReason;

/**
 * One logged run of one version of a car. Removed runs stay on record.
 *
 * @property string $id
 * @property int $car_id
 * @property int $try
 * @property Entry|null $distance
 * @property Entry|null $time
 * @property VoidReason|null $void_reason
 * @property string|null $note
 * @property CarbonImmutable $logged_at
 * @property CarbonImmutable|null $deleted_at
 * @property-read Car $car
 * @property-read Collection<int, RunChange> $changes
 */
final class Run extends Model
{
    use SoftDeletes;

    public const CREATED_AT = 'logged_at';

    public $incrementing = false;

    protected $keyType = 'string';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['id', 'try', 'distance', 'time', 'void_reason', 'note', 'logged_at'];

    protected $casts = [
        'try' => 'integer',
        'distance' => AsEntry::class . ':length',
        'time' => AsEntry::class . ':time',
        'void_reason' => VoidReason::class,
        'logged_at' => 'immutable_datetime',
        'deleted_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Car, $this> */
    public function car(): BelongsTo
    {
        return $this->belongsTo(Car::class);
    }

    /** @return HasMany<RunChange, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(RunChange::class)->orderBy('id');
    }

    public function toCore(): CoreRun
    {
        // Straight from the columns: a class has hundreds of these, and needs no typed text here.
        $distance = $this->attributes['distance_m'] ?? null;
        $time = $this->attributes['time_s'] ?? null;

        return new CoreRun(
            $this->id,
            $this->try,
            is_numeric($distance) ? (float) $distance : null,
            is_numeric($time) ? (float) $time : null,
            $this->void_reason,
        );
    }
}
