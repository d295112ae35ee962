<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use App\Models\Concerns\HoldsImmutableValues;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\Run as CoreRun;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Physics\SizeMeasure;

/**
 * One logged run of one version of a car. Removed runs stay on record.
 *
 * @property string $id
 * @property int $car_id
 * @property int $try
 * @property Entry|null $distance
 * @property Entry|null $time
 * @property Entry|null $drift
 * @property Side|null $drift_side
 * @property Entry|null $load
 * @property Entry|null $limp
 * @property Entry|null $total_time
 * @property InflationKind|null $inflation_kind
 * @property Entry|null $inflation_size
 * @property int|null $inflation_strokes
 * @property int|null $lane
 * @property bool $past_end
 * @property FilledBy|null $filled_by what the balloon was filled with
 * @property RunKind $kind
 * @property bool $hit_wall
 * @property string|null $surface where it ran on another one than the class's
 * @property Entry|null $ramp height of the ramp that it started from
 * @property int|null $race_id of whose heats it is one
 * @property int $edition goes up with every change
 * @property VoidReason|null $void_reason
 * @property string|null $note
 * @property CarbonImmutable $logged_at
 * @property CarbonImmutable|null $deleted_at
 * @property-read Car $car
 * @property-read Collection<int, Act> $changes
 * @property-read Act|null $logged
 */
final class Run extends Model
{
    use HoldsImmutableValues;
    use SoftDeletes;

    /** The columns of what was recorded of a run. */
    private const RECORDED = [
        'car_id', 'try', 'distance_m', 'distance_entered', 'time_s', 'time_entered', 'total_time_s', 'total_time_entered', 'limp_m',
        'limp_entered', 'drift_m', 'drift_entered', 'drift_side', 'load_kg', 'load_entered', 'inflation_kind', 'inflation_size_m',
        'inflation_size_entered', 'inflation_strokes', 'lane', 'void_reason', 'note', 'past_end', 'filled_by', 'kind', 'hit_wall',
        'surface', 'ramp_m', 'ramp_entered',
    ];

    public const CREATED_AT = 'logged_at';

    public $incrementing = false;

    protected $keyType = 'string';

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['id', 'try', 'logged_at'];

    protected $attributes = ['edition' => 1, 'past_end' => false, 'hit_wall' => false, 'kind' => 'try'];

    protected $casts = [
        'try' => 'integer',
        'distance' => AsEntry::class . ':length',
        'time' => AsEntry::class . ':time',
        'drift' => AsEntry::class . ':length',
        'drift_side' => Side::class,
        'load' => AsEntry::class . ':mass',
        'limp' => AsEntry::class . ':length',
        'total_time' => AsEntry::class . ':time',
        'inflation_kind' => InflationKind::class,
        'inflation_size' => AsEntry::class . ':length',
        'inflation_strokes' => 'integer',
        'lane' => 'integer',
        'past_end' => 'boolean',
        'filled_by' => FilledBy::class,
        'kind' => RunKind::class,
        'hit_wall' => 'boolean',
        'ramp' => AsEntry::class . ':length',
        'race_id' => 'integer',
        'edition' => 'integer',
        'void_reason' => VoidReason::class,
        'logged_at' => 'immutable_datetime',
        'deleted_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Car, $this> */
    public function car(): BelongsTo
    {
        return $this->belongsTo(Car::class);
    }

    /**
     * What was done to it after it was logged.
     *
     * @return HasMany<Act, $this>
     */
    public function changes(): HasMany
    {
        return $this->hasMany(Act::class)->where('kind', '<>', 'logged')->orderBy('id');
    }

    /**
     * Its logging, with who did it; none where it came with a run table.
     *
     * @return HasOne<Act, $this>
     */
    public function logged(): HasOne
    {
        return $this->hasOne(Act::class)->where('kind', 'logged');
    }

    /** @return array<string, string|int|float|bool|null> what was on record when it was logged, by column, whatever was corrected since */
    public function asLogged(): array
    {
        return $this->changes()->where('kind', 'edited')->first()->before ?? $this->onRecord();
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)->orderBy('measured_at');
    }

    public function record(): RunRecord
    {
        return new RunRecord(
            $this->distance,
            $this->time,
            $this->void_reason,
            $this->note,
            $this->drift,
            $this->drift_side,
            $this->load,
            $this->inflation_kind === null ? null : new Inflation($this->inflation_kind, $this->inflation_size, $this->inflation_strokes),
            $this->limp,
            $this->total_time,
            $this->lane,
            $this->past_end,
            $this->filled_by,
            $this->kind,
            $this->surface,
            $this->ramp,
            $this->hit_wall,
        );
    }

    public function put(RunRecord $record): void
    {
        $this->distance = $record->distance;
        $this->time = $record->time;
        $this->drift = $record->drift;
        $this->drift_side = $record->drift === null ? null : $record->side;
        $this->load = $record->load;
        $this->inflation_kind = $record->inflation?->kind;
        $this->inflation_size = $record->inflation?->size;
        $this->inflation_strokes = $record->inflation?->strokes;
        $this->limp = $record->limp;
        $this->total_time = $record->totalTime;
        $this->lane = $record->lane;
        $this->past_end = $record->pastEnd && $record->void === null && $record->distance !== null;
        $this->hit_wall = $record->hitWall && $this->past_end;
        $this->kind = $record->kind;
        $this->surface = $record->surface;
        $this->ramp = $record->ramp;
        $this->filled_by = $record->filledBy;
        $this->void_reason = $record->void;
        $this->note = $record->note;
    }

    /** @return array<string, string|int|float|bool|null> what is on record, by column, so that it can be put back exactly */
    public function onRecord(): array
    {
        $held = [];
        foreach (self::RECORDED as $column) {
            $value = $this->attributes[$column] ?? null;
            $held[$column] = match (true) {
                $value === null => null,
                in_array($column, ['past_end', 'hit_wall'], true) => (bool) $value,
                $value instanceof \BackedEnum => (string) $value->value,
                preg_match('/_(m|s|kg)$/', $column) === 1 => (float) $value,
                in_array($column, ['car_id', 'try', 'inflation_strokes', 'lane'], true) => (int) $value,
                default => (string) $value,
            };
        }

        return $held;
    }

    public function toCore(): CoreRun
    {
        return self::ofColumns($this->attributes);
    }

    /**
     * Straight from the columns: a class has hundreds of these, and needs no typed text to see where it stands.
     *
     * @param array<string, mixed> $columns
     */
    public static function ofColumns(array $columns): CoreRun
    {
        [
            'id' => $id, 'try' => $try, 'distance_m' => $distance, 'time_s' => $time, 'drift_m' => $drift, 'drift_side' => $side,
            'load_kg' => $load, 'limp_m' => $limp, 'total_time_s' => $total, 'void_reason' => $void,
        ] = $columns;

        return new CoreRun(
            $id,
            (int) $try,
            $distance === null ? null : (float) $distance,
            $time === null ? null : (float) $time,
            $void === null ? null : VoidReason::from($void),
            $drift === null ? null : (float) $drift * Side::from($side ?? 'left')->sign(),
            $load === null ? null : (float) $load,
            $limp === null ? null : (float) $limp,
            $total === null ? null : (float) $total,
            (bool) ($columns['past_end'] ?? false),
            self::fillDiameterM($columns),
            RunKind::tryFrom((string) ($columns['kind'] ?? '')) ?? RunKind::Try,
            ($columns['surface'] ?? null) !== null || ($columns['ramp_m'] ?? null) !== null,
            ($columns['inflation_kind'] ?? null) === InflationKind::Turns->value ? (float) $columns['inflation_strokes'] : null,
        );
    }

    /**
     * @param array<string, mixed> $columns
     *
     * @return float|null of the balloon as filled for this try (m); null where it was not measured
     */
    private static function fillDiameterM(array $columns): ?float
    {
        $size = $columns['inflation_size_m'] ?? null;

        return $size === null ? null : match (InflationKind::tryFrom((string) ($columns['inflation_kind'] ?? ''))) {
            InflationKind::Diameter => (float) $size,
            InflationKind::Circumference => SizeMeasure::Circumference->diameterM((float) $size),
            default => null,
        };
    }
}
