<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * How many pieces of a line of the list of materials were there on a day.
 *
 * @property int $id
 * @property string $key of the line
 * @property int $count
 * @property CarbonImmutable $counted_on
 */
final class MaterialCount extends Model
{
    protected $fillable = ['key', 'count', 'counted_on'];

    protected $casts = ['count' => 'integer', 'counted_on' => 'immutable_date'];
}
