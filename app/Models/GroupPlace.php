<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Notebook\Station;

/**
 * The station at which a group is.
 *
 * @property int $group_id
 * @property Station $station
 * @property CarbonImmutable $since
 * @property CarbonImmutable|null $wants_adult_at
 */
final class GroupPlace extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'group_id';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['group_id', 'station', 'since', 'wants_adult_at'];

    protected $casts = ['station' => Station::class, 'since' => 'immutable_datetime', 'wants_adult_at' => 'immutable_datetime'];
}
