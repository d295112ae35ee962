<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\MadeBySomebody;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What someone changed on a logged run, and what stood there before.
 *
 * @property int $id
 * @property string $run_id
 * @property string $kind edited, undone or restored
 * @property array<string, string|int|null> $before by column, as typed
 * @property array<string, string|int|null> $after by column, as typed
 * @property CarbonImmutable $made_at
 */
final class RunChange extends Model
{
    use MadeBySomebody;

    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'device_id', 'kind', 'before', 'after'];

    protected $casts = ['before' => 'array', 'after' => 'array', 'made_at' => 'immutable_datetime'];
}
