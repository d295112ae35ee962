<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Skivo\Core\People\DeviceRole;

/**
 * What one types or scans to join a challenge with a device, for as long as it holds.
 *
 * @property int $id
 * @property int $challenge_id
 * @property int|null $group_id
 * @property DeviceRole $role
 * @property string $code
 * @property CarbonImmutable $expires_at
 * @property-read Challenge $challenge
 * @property-read Group|null $group
 */
final class JoinCode extends Model
{
    public const UPDATED_AT = null;

    /** Without what looks alike: no 0 and O, 1, I and L. */
    public const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

    public const LENGTH = 7;

    /** How long a code holds (min). */
    public const MINUTES = 180;

    /** How long the class's own code holds, which is printed on cards (days). */
    public const CLASS_DAYS = 14;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['role', 'group_id', 'code', 'expires_at'];

    protected $casts = ['role' => DeviceRole::class, 'expires_at' => 'immutable_datetime'];

    /** @return BelongsTo<Challenge, $this> */
    public function challenge(): BelongsTo
    {
        return $this->belongsTo(Challenge::class);
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    public static function draw(): string
    {
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
        }

        return $code;
    }

    /** The code that holds, whatever its case and however it was spaced; null where there is none. */
    public static function holding(string $typed): ?self
    {
        $code = (string) preg_replace('/[\s-]+/', '', strtoupper($typed));

        return self::query()->where('code', $code)->where('expires_at', '>', now())->whereHas('challenge')
            ->where(static fn($codes) => $codes->whereNull('group_id')->orWhereHas('group'))->first();
    }
}
