<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a group sent from home: a run with what the car was then, a note, or a photo.
 *
 * @property string $id
 * @property int $home_link_id
 * @property string $kind run, note or photo
 * @property array<string, string> $payload as typed, by field
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $accepted_at
 * @property CarbonImmutable|null $refused_at
 * @property-read HomeLink $link
 */
final class HomeItem extends Model
{
    public const COLUMNS = ['id', 'home_link_id', 'kind', 'payload', 'made_at', 'accepted_at', 'refused_at'];

    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['id', 'kind', 'payload', 'accepted_at', 'refused_at'];

    protected $hidden = ['jpeg'];

    protected $casts = [
        'payload' => 'array', 'made_at' => 'immutable_datetime', 'accepted_at' => 'immutable_datetime',
        'refused_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<HomeLink, $this> */
    public function link(): BelongsTo
    {
        return $this->belongsTo(HomeLink::class, 'home_link_id');
    }
}
