<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use App\Models\Concerns\HoldsImmutableValues;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\MountOrder;
use Skivo\Core\Car\Build\Points;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Session\Phase;

/**
 * How a session is prepared: the kit, what is cut to size, how many, and how long.
 *
 * @property int $id
 * @property int $challenge_id
 * @property int $groups as planned, before they are named
 * @property int|null $learners of all groups together; null while nobody said, and each has group_size
 * @property int $group_size
 * @property int $spares_percent
 * @property string $kit_chassis
 * @property string $kit_wheels
 * @property string $kit_bearing
 * @property string $kit_nozzle
 * @property string $kit_balloon
 * @property string $kit_joint
 * @property EnergySource $kit_source what drives its cars
 * @property bool $by_mouth
 * @property bool $latex_free
 * @property Entry|null $chassis_width
 * @property Entry|null $wheel_thickness
 * @property Entry|null $end_play
 * @property Entry|null $overhang
 * @property Entry|null $side_gap
 * @property Entry|null $straw_length
 * @property Entry|null $skewer_length
 * @property Entry|null $kerf
 * @property Entry|null $nozzle_length
 * @property Entry|null $fill across, to which every group fills its balloon
 * @property int $nozzles_each
 * @property int $session_min
 * @property CarbonImmutable|null $starts_at on the clock of the place
 * @property float $heat_min
 * @property int $tries_again
 * @property array<string, float> $phases
 * @property Decoration $decoration
 * @property Sets $decorated_with
 * @property Sets $bearings_by what holds the bearings
 * @property Points $points when the points of skewers come off
 * @property MountOrder $mount_order what goes on the car first, balloon or tube
 * @property list<string> $prepared steps of the build that are done beforehand, by the value of a BuildStep
 * @property int $helpers who prepare, beforehand
 * @property string|null $note_for_next_time of the educator's own
 * @property string|null $note_from_last_time of the plan that this one was copied from
 * @property CarbonImmutable|null $collect_by what households bring
 * @property int $adults at hand while the class builds
 * @property list<array{starts_at: string|null, minutes: int}> $further_sessions beside the first
 */
final class Plan extends Model
{
    use HoldsImmutableValues;

    /** Lengths that are cut to or from; empty for the usual one. */
    public const CUTS = [
        'chassis_width', 'wheel_thickness', 'end_play', 'overhang', 'side_gap', 'straw_length', 'skewer_length', 'kerf', 'nozzle_length',
    ];

    protected $guarded = ['id', 'challenge_id'];

    protected $casts = [
        'groups' => 'integer',
        'learners' => 'integer',
        'group_size' => 'integer',
        'spares_percent' => 'integer',
        'nozzles_each' => 'integer',
        'session_min' => 'integer',
        'tries_again' => 'integer',
        'by_mouth' => 'boolean',
        'latex_free' => 'boolean',
        'chassis_width' => AsEntry::class . ':length',
        'wheel_thickness' => AsEntry::class . ':length',
        'end_play' => AsEntry::class . ':length',
        'overhang' => AsEntry::class . ':length',
        'side_gap' => AsEntry::class . ':length',
        'straw_length' => AsEntry::class . ':length',
        'skewer_length' => AsEntry::class . ':length',
        'kerf' => AsEntry::class . ':length',
        'nozzle_length' => AsEntry::class . ':length',
        'starts_at' => 'immutable_datetime',
        'fill' => AsEntry::class . ':length',
        'heat_min' => 'float',
        'phases' => 'array',
        'decoration' => Decoration::class,
        'decorated_with' => Sets::class,
        'bearings_by' => Sets::class,
        'kit_source' => EnergySource::class,
        'points' => Points::class,
        'mount_order' => MountOrder::class,
        'prepared' => 'array',
        'helpers' => 'integer',
        'adults' => 'integer',
        'collect_by' => 'immutable_date',
        'further_sessions' => 'array',
    ];

    protected $attributes = [
        'groups' => 8,
        'group_size' => 3,
        'spares_percent' => 20,
        'kit_chassis' => 'corrugated card',
        'kit_wheels' => 'bottle caps',
        'kit_bearing' => 'bamboo skewer in a plastic straw',
        'kit_nozzle' => 'drinking straw',
        'kit_balloon' => 'round 30 cm',
        'kit_joint' => 'elastic band',
        'by_mouth' => false,
        'latex_free' => false,
        'nozzles_each' => 1,
        'session_min' => 120,
        'heat_min' => 2,
        'tries_again' => 0,
        'phases' => '{}',
        'decoration' => 'none',
        'decorated_with' => 'pens',
        'bearings_by' => 'tape',
        'kit_source' => 'balloon',
        'points' => 'first',
        'mount_order' => 'balloon first',
        'prepared' => '[]',
        'helpers' => 1,
        'adults' => 1,
        'further_sessions' => '[]',
    ];

    /** @return BelongsTo<Challenge, $this> */
    public function challenge(): BelongsTo
    {
        return $this->belongsTo(Challenge::class);
    }

    public function kit(Catalogue $catalogue): Kit
    {
        return new Kit(
            $this->kit_chassis,
            $this->kit_wheels,
            $this->kit_bearing,
            $this->kit_nozzle,
            $this->kit_balloon,
            $this->kit_joint,
            $catalogue,
            $this->kit_source,
        );
    }

    /** @return list<BuildStep> what is done before the class comes */
    public function preparedSteps(): array
    {
        return array_values(array_filter(array_map(BuildStep::tryFrom(...), $this->prepared)));
    }

    /** When a session begins, on the clock of the place; null where it is not planned. Counted from 0. */
    public function startOf(int $session): ?CarbonImmutable
    {
        if ($session === 0) {
            return $this->starts_at;
        }
        $start = $this->further_sessions[$session - 1]['starts_at'] ?? null;

        return $start === null ? null : CarbonImmutable::parse($start);
    }

    public function minutes(Phase $phase): float
    {
        return (float) ($this->phases[$phase->value] ?? $phase->usualMinutes());
    }
}
