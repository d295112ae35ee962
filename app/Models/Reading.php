<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What an instrument saw: a gate that was crossed, a trace of positions, a weight.
 *
 * @property string $id made by the instrument
 * @property int $challenge_id
 * @property string|null $device_id
 * @property string|null $run_id the run it was taken for; null while it waits
 * @property string $kind gate, trace, mass or thrust
 * @property int|null $lane
 * @property array<string, mixed> $data
 * @property CarbonImmutable $measured_at
 * @property CarbonImmutable $received_at
 * @property-read Device|null $device
 */
final class Reading extends Model
{
    public const CREATED_AT = 'received_at';

    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['id', 'device_id', 'run_id', 'kind', 'lane', 'data', 'measured_at'];

    protected $casts = [
        'data' => 'array', 'lane' => 'integer', 'measured_at' => 'immutable_datetime', 'received_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Device, $this> */
    public function device(): BelongsTo
    {
        return $this->belongsTo(Device::class);
    }
}
