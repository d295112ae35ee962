<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use App\Models\Concerns\HoldsImmutableValues;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Skivo\Core\Forecast\Direction;
use Skivo\Core\Measurement\Entry;

/**
 * What a group expected of a try before it was made.
 *
 * @property int $id
 * @property int $car_id
 * @property int $try
 * @property Entry $distance
 * @property CarbonImmutable $made_at
 * @property string|null $reason
 * @property Direction|null $direction that is expected of a changed car
 * @property-read Car $car
 */
final class Prediction extends Model
{
    use HoldsImmutableValues;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['try', 'distance', 'made_at', 'reason', 'direction'];

    protected $casts = [
        'try' => 'integer', 'distance' => AsEntry::class . ':length', 'made_at' => 'immutable_datetime', 'direction' => Direction::class,
    ];

    /** @return BelongsTo<Car, $this> */
    public function car(): BelongsTo
    {
        return $this->belongsTo(Car::class);
    }
}
