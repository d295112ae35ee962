<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use App\Models\Concerns\HoldsImmutableValues;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Check\Tolerance;
use Skivo\Core\Car\Check\Tolerances;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Age;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Rules;
use Skivo\Core\Challenge\Run as CoreRun;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\People\MemberRole;
use Skivo\Core\Simulation\PumpCurve;

/**
 * What an educator sets a class: the question, the goal, the rules, the lane.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string|null $question
 * @property Age $age of the class
 * @property Goal $goal
 * @property Design $design by which it goes about its question
 * @property string|null $design_one of two that are compared, as typed; null for the usual one
 * @property string|null $design_other
 * @property bool $is_mass_even whether coins even out what the two weigh
 * @property Scoring $scoring
 * @property int $tries
 * @property Entry $lane_length
 * @property Entry|null $timed_length
 * @property string|null $surface
 * @property UnitSystem $units
 * @property list<string> $awards further goals
 * @property Entry|null $mark_distance
 * @property Entry|null $load_length
 * @property int $lanes
 * @property float|null $air_temperature_c
 * @property string|null $air_temperature_entered
 * @property list<string>|null $free_steps null for all
 * @property array<string, list<string>> $allowed
 * @property int|null $most_balloons
 * @property int|null $most_straws
 * @property Entry|null $heaviest
 * @property Entry|null $longest
 * @property bool $push_is_foul
 * @property bool $void_is_retried
 * @property bool $no_start_is_zero
 * @property list<array{title: string, group: int}> $own_awards of the educator's own
 * @property int $timed_rounds after the tries each car runs so often over the timed length
 * @property int $practice_runs the first so many runs of a car are practice
 * @property CarAttribute|null $asks
 * @property Outcome|null $asks_outcome distance where none is set
 * @property string|null $asks_from of two kinds that are compared, the one
 * @property string|null $asks_to the other
 * @property CarbonImmutable|null $asks_changed_at when it was changed after runs had counted
 * @property CarbonImmutable|null $answer_told_at since when the class is shown the answer; null where it is not
 * @property bool $groups_are_locked
 * @property list<string> $closed_stations of the groups' path
 * @property string|null $word_to_all
 * @property CarbonImmutable|null $word_at
 * @property bool $closing_is_open whether groups are asked what they learnt
 * @property array<string, array<string, float|null>> $tolerances
 * @property CarbonImmutable|null $safety_read_at
 * @property list<string> $safety_read
 * @property list<string> $safety_unread cautions that a car of some group called for since, by their values
 * @property CarbonImmutable $created_at
 * @property-read Collection<int, Group> $groups
 * @property-read Collection<int, OwnPart> $ownParts
 * @property-read Collection<int, Member> $members
 * @property-read User $user
 */
final class Challenge extends Model
{
    use HoldsImmutableValues;
    use SoftDeletes;

    protected $fillable = [
        'name', 'age', 'question', 'asks', 'asks_outcome', 'asks_from', 'asks_to', 'asks_changed_at', 'answer_told_at', 'goal', 'scoring',
        'tries', 'lane_length', 'timed_length', 'surface', 'units', 'awards', 'mark_distance', 'load_length', 'lanes', 'air_temperature_c',
        'air_temperature_entered', 'free_steps', 'allowed', 'most_balloons', 'most_straws', 'heaviest', 'longest', 'push_is_foul',
        'void_is_retried', 'no_start_is_zero', 'practice_runs', 'timed_rounds', 'own_awards', 'groups_are_locked', 'closed_stations',
        'design', 'design_one', 'design_other', 'is_mass_even',
        'word_to_all', 'word_at', 'closing_is_open', 'tolerances', 'safety_read_at', 'safety_read', 'safety_unread',
    ];

    protected $casts = [
        'asks' => CarAttribute::class,
        'asks_outcome' => Outcome::class,
        'design' => Design::class,
        'is_mass_even' => 'boolean',
        'asks_changed_at' => 'immutable_datetime',
        'answer_told_at' => 'immutable_datetime',
        'age' => Age::class,
        'goal' => Goal::class,
        'scoring' => Scoring::class,
        'tries' => 'integer',
        'lane_length' => AsEntry::class . ':length',
        'timed_length' => AsEntry::class . ':length',
        'units' => UnitSystem::class,
        'awards' => 'array',
        'mark_distance' => AsEntry::class . ':length',
        'load_length' => AsEntry::class . ':length',
        'lanes' => 'integer',
        'air_temperature_c' => 'float',
        'free_steps' => 'array',
        'allowed' => 'array',
        'most_balloons' => 'integer',
        'most_straws' => 'integer',
        'heaviest' => AsEntry::class . ':mass',
        'longest' => AsEntry::class . ':length',
        'push_is_foul' => 'boolean',
        'void_is_retried' => 'boolean',
        'no_start_is_zero' => 'boolean',
        'practice_runs' => 'integer',
        'timed_rounds' => 'integer',
        'own_awards' => 'array',
        'groups_are_locked' => 'boolean',
        'closed_stations' => 'array',
        'word_at' => 'immutable_datetime',
        'closing_is_open' => 'boolean',
        'tolerances' => 'array',
        'safety_read_at' => 'immutable_datetime',
        'safety_read' => 'array',
        'safety_unread' => 'array',
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Member, $this> educators who work in it beside its own, in the order in which they came */
    public function members(): HasMany
    {
        return $this->hasMany(Member::class)->orderBy('id');
    }

    /** @return HasMany<Invitation, $this> that still open */
    public function invitations(): HasMany
    {
        return $this->hasMany(Invitation::class)->whereNull('revoked_at')->where('expires_at', '>', now())->orderBy('id');
    }

    /** @return BelongsToMany<School, $this> with which its plan and parts are shared */
    public function schools(): BelongsToMany
    {
        return $this->belongsToMany(School::class, 'school_plans');
    }

    public function isOwnedBy(User $user): bool
    {
        return $this->user_id === $user->id;
    }

    /** What an educator who does not own it may do in it; null for nothing. */
    public function roleOf(User $user): ?MemberRole
    {
        return $this->members->firstWhere('user_id', $user->id)?->role;
    }

    protected $attributes = [
        'awards' => '[]', 'allowed' => '{}', 'tolerances' => '{}', 'safety_read' => '[]', 'safety_unread' => '[]', 'lanes' => 1,
        'practice_runs' => 0,
        'timed_rounds' => 0, 'own_awards' => '[]', 'push_is_foul' => true, 'void_is_retried' => true, 'no_start_is_zero' => false,
        'groups_are_locked' => false, 'closed_stations' => '[]', 'closing_is_open' => false, 'design' => 'free', 'is_mass_even' => false,
    ];

    /** The plan of the session as it is kept, or the usual one as long as nothing is planned. */
    public function sessionPlan(): Plan
    {
        return $this->plan ?? throw new \LogicException('The relation has a default.');
    }

    /** The day on which the class meets: as planned, or, where nobody said, the day on which it was set. */
    public function day(): CarbonImmutable
    {
        return $this->sessionPlan()->starts_at ?? CarbonImmutable::instance($this->created_at ?? now());
    }

    /** @return HasOne<Plan, $this> */
    public function plan(): HasOne
    {
        return $this->hasOne(Plan::class)->withDefault(
            fn(Plan $plan): Plan => $plan->forceFill(['groups' => max(1, $this->groups()->count() ?: 8)]),
        );
    }

    /** @return HasMany<Device, $this> */
    public function devices(): HasMany
    {
        return $this->hasMany(Device::class)->orderBy('created_at');
    }

    /** @return HasMany<Act, $this> */
    public function acts(): HasMany
    {
        return $this->hasMany(Act::class)->orderBy('id');
    }

    /** @return HasMany<Race, $this> the newest first */
    public function races(): HasMany
    {
        return $this->hasMany(Race::class)->orderByDesc('id');
    }

    /** @return HasMany<JoinCode, $this> */
    public function joinCodes(): HasMany
    {
        return $this->hasMany(JoinCode::class)->orderBy('id');
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)->orderBy('measured_at');
    }

    /** @return HasMany<PumpReading, $this> */
    public function pumpReadings(): HasMany
    {
        return $this->hasMany(PumpReading::class)->orderBy('strokes')->orderBy('id');
    }

    /** The class's pump as it was measured; null where it was not, or says nothing. */
    public function pumpCurve(): ?PumpCurve
    {
        return PumpCurve::fit(
            array_values(
                $this->pumpReadings()->get()->map(
                    static fn(PumpReading $reading): array => [$reading->strokes, $reading->diameterM()],
                )->all(),
            ),
        );
    }

    /** A number that goes up with every change that a page would show. */
    public function revision(): int
    {
        return (int) DB::table('revisions')->where('challenge_id', $this->id)->value('number');
    }

    /** @return HasMany<MaterialLine, $this> */
    public function materialLines(): HasMany
    {
        return $this->hasMany(MaterialLine::class)->orderBy('id');
    }

    /** @return HasMany<MaterialCount, $this> */
    public function materialCounts(): HasMany
    {
        return $this->hasMany(MaterialCount::class)->orderBy('counted_on');
    }

    /** What the class set out to find; null for free designs. */
    public function asked(): ?Question
    {
        return $this->asks === null
            ? null
            : new Question($this->asks, $this->asks_outcome ?? Outcome::Distance, $this->asks_from, $this->asks_to);
    }

    /** How the class goes about its question: without one, each group builds what it likes. */
    public function way(): Design
    {
        return $this->asks === null ? Design::Free : $this->design;
    }

    /** What orders the floor. */
    public function mainAward(): Award
    {
        return $this->award($this->goal);
    }

    /** @return list<Award> the main one first */
    public function allAwards(): array
    {
        $others = array_filter(Goal::cases(), fn(Goal $goal): bool => $goal !== $this->goal && in_array($goal->value, $this->awards, true));

        return [$this->mainAward(), ...array_values(array_map($this->award(...), $others))];
    }

    /** Whether any of its awards is for this. */
    public function isAfter(Goal $goal): bool
    {
        return $this->goal === $goal || in_array($goal->value, $this->awards, true);
    }

    /**
     * Runs of one car, sorted by the rule of the challenge.
     *
     * @param list<CoreRun> $runs in the order in which they were logged
     * @param float|null $scatter of one try over how far a car goes, where the class shows it
     */
    public function countTries(array $runs, ?float $scatter = null): Tries
    {
        return $scatter === null
            ? new Tries($runs, $this->tries, $this->void_is_retried, $this->no_start_is_zero)
            : new Tries($runs, $this->tries, $this->void_is_retried, $this->no_start_is_zero, $scatter);
    }

    public function rules(): Rules
    {
        return new Rules(
            $this->free_steps === null ? Step::cases() : array_map(Step::from(...), $this->free_steps),
            $this->most_balloons,
            $this->most_straws,
            $this->heaviest?->quantity->si(),
            $this->longest?->quantity->si(),
            $this->allowed,
            $this->push_is_foul,
            $this->catalogue(),
        );
    }

    public function checkTolerances(): Tolerances
    {
        return new Tolerances(array_map(
            static fn(array $limits): Tolerance => new Tolerance(
                $limits['goodFrom'] ?? null,
                $limits['goodTo'] ?? null,
                $limits['fixBelow'] ?? null,
                $limits['fixAbove'] ?? null,
            ),
            $this->tolerances,
        ));
    }

    public function award(Goal $goal): Award
    {
        $length = match ($goal) {
            Goal::Fastest => $this->timed_length,
            Goal::NearestMark => $this->mark_distance,
            Goal::HeaviestLoad => $this->load_length,
            default => null,
        };

        return new Award($goal, $length?->quantity->si());
    }

    /** @return HasMany<Group, $this> */
    public function groups(): HasMany
    {
        return $this->hasMany(Group::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<Group, $this> the groups themselves, without their further cars */
    public function teams(): HasMany
    {
        return $this->groups()->whereNull('of_group_id');
    }

    /** @return list<string> marks of the groups that stand, besides one */
    public function marksInUse(?Group $besides = null): array
    {
        return array_values(array_map(strval(...), $this->teams()->whereKeyNot($besides?->team())->pluck('mark')->all()));
    }

    /** @return HasMany<OwnPart, $this> */
    public function ownParts(): HasMany
    {
        return $this->hasMany(OwnPart::class)->orderBy('name');
    }

    /** The standard parts and the educator's own. */
    public function catalogue(): Catalogue
    {
        return Catalogue::standard()->with(array_values($this->ownParts->map(static fn(OwnPart $part) => $part->toCore())->all()));
    }

    /** A run in an address belongs to the challenge before it, though two tables lie between them. */
    public function resolveChildRouteBinding($childType, $value, $field): ?Model
    {
        if ($childType === 'run') {
            return $this->runs()->whereKey($value)->first();
        }
        $found = parent::resolveChildRouteBinding($childType, $value, $field);

        return $found instanceof Group ? $found->setRelation('challenge', $this) : ($found instanceof Model ? $found : null);
    }

    public function resolveSoftDeletableChildRouteBinding($childType, $value, $field): ?Model
    {
        if ($childType === 'run') {
            return $this->runs()->withTrashed()->whereKey($value)->first();
        }
        $found = parent::resolveSoftDeletableChildRouteBinding($childType, $value, $field);

        return $found instanceof Model ? $found : null;
    }

    /** @return Builder<Run> every run of its groups, whichever version of a car made it */
    public function runs(): Builder
    {
        return Run::query()->whereHas('car.group', fn(Builder $groups) => $groups->where('challenge_id', $this->id));
    }
}
