<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\MadeBySomebody;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A correction of a car's record: what stood there before.
 *
 * @property int $id
 * @property array<string, string|int|null> $before by choice, as typed
 * @property array<string, string|int|null> $after by choice, as typed
 * @property CarbonImmutable $made_at
 */
final class CarChange extends Model
{
    use MadeBySomebody;

    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'device_id', 'before', 'after'];

    protected $casts = ['before' => 'array', 'after' => 'array', 'made_at' => 'immutable_datetime'];
}
