<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsChoices;
use App\Models\Concerns\HoldsImmutableValues;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\Tolerances;
use Skivo\Core\Challenge\Tries;

/**
 * One version of a group's car.
 *
 * @property int $id
 * @property int $group_id
 * @property int $version
 * @property \Skivo\Core\Car\Car $choices
 * @property int $edition goes up with every change of its record
 * @property int $card_edition goes up with every change of its check card
 * @property string|null $reason why it was changed from the version before
 * @property-read Group $group
 * @property-read Collection<int, Run> $runs
 * @property-read Collection<int, CheckReading> $checkReadings
 * @property-read Collection<int, Allowance> $allowances
 * @property-read Collection<int, CarChange> $changes
 * @property-read Collection<int, BenchReading> $benchReadings
 * @property-read Collection<int, Prediction> $predictions
 * @property-read bool $bench_readings_exists where it was asked for
 */
final class Car extends Model
{
    use HoldsImmutableValues;

    protected $fillable = ['version', 'choices', 'reason', 'card_edition'];

    protected $attributes = ['edition' => 1, 'card_edition' => 1];

    protected $casts = [
        'version' => 'integer',
        'edition' => 'integer',
        'card_edition' => 'integer',
        'choices' => AsChoices::class,
    ];

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    /** @return HasMany<Run, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(Run::class)->orderBy('logged_at')->orderBy('id');
    }

    /** @return HasMany<CheckReading, $this> */
    public function checkReadings(): HasMany
    {
        return $this->hasMany(CheckReading::class);
    }

    /** @return HasMany<Allowance, $this> */
    public function allowances(): HasMany
    {
        return $this->hasMany(Allowance::class);
    }

    /** @return HasMany<CarChange, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(CarChange::class)->orderBy('id');
    }

    /** @return HasMany<BenchReading, $this> */
    public function benchReadings(): HasMany
    {
        return $this->hasMany(BenchReading::class)->orderBy('id');
    }

    /** @return HasMany<Prediction, $this> */
    public function predictions(): HasMany
    {
        return $this->hasMany(Prediction::class)->orderBy('try');
    }

    /** What was checked on this version, judged by the limits of the challenge. */
    public function checkCard(Tolerances $tolerances): CheckCard
    {
        return new CheckCard(
            $this->checkReadings->mapWithKeys(
                static fn(CheckReading $reading): array => [$reading->item->value => $reading->toCore()],
            )->all(),
            $tolerances,
            $this->choices->number(CarAttribute::Track),
            $this->choices->source() ?? EnergySource::Balloon,
        );
    }

    /** Its runs, sorted by the rule of the challenge. */
    public function tries(Challenge $challenge): Tries
    {
        return $challenge->countTries(array_values($this->runs->map(static fn(Run $run) => $run->toCore())->all()));
    }
}
