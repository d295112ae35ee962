<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use App\Models\Group;
use App\Models\MaterialCount;
use App\Models\MaterialLine;
use App\Models\Plan;
use Carbon\CarbonImmutable;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Build\PowerMaking;
use Skivo\Core\Car\Build\WheelMaking;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Session\BuildTime;
use Skivo\Core\Session\Collecting;
use Skivo\Core\Session\CutPlan;
use Skivo\Core\Session\DoesNotFitException;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Materials;
use Skivo\Core\Session\Phase;
use Skivo\Core\Session\Preparation;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Timetable;

/** How a challenge is prepared, with all that follows from it. */
final readonly class ClassPlan
{
    /** What straws and skewers are cut from and with, unless typed otherwise (m). Common practice, no source. */
    private const USUAL = [
        'end_play' => 0.0015, 'overhang' => 0.003, 'side_gap' => 0.003, 'straw_length' => 0.2, 'skewer_length' => 0.3, 'kerf' => 0.001,
    ];

    public Kit $kit;

    /** Which two the class compares, and who builds which. */
    public ClassDesign $design;

    public Headcount $class;

    public CutSizes $sizes;

    private function __construct(
        public Challenge $challenge,
        public Plan $plan,
        public Catalogue $catalogue,
        /** Of those who build the other of the two that are compared, or of those who build the one; null for the class. */
        private ?bool $isOther = null,
    ) {
        $kit = $plan->kit($catalogue);
        $this->design = new ClassDesign($challenge, $kit);
        $this->kit = $isOther === null ? $kit : ($this->design->compared()?->kit($isOther) ?? $kit);
        // As many as are planned; more where more have come.
        $groups = max($plan->groups, $challenge->groups()->count());
        $this->class = new Headcount(
            $isOther === null || $challenge->way()->isRebuilt() ? $groups : $this->design->groupsOf($groups, $isOther),
            $plan->learners ?? $plan->groups * $plan->group_size,
            $plan->spares_percent / 100,
            $challenge->lanes,
        );
        $this->sizes = new CutSizes(
            $this->length('chassis_width'),
            $this->length('wheel_thickness'),
            $this->length('end_play'),
            $this->length('overhang'),
            $this->length('side_gap'),
        );
    }

    /** How far an axle by the rule of thumb sticks out beyond each of the kit's wheels (m); below zero it is too short for them. */
    public function overhangByRuleOfThumbM(): float
    {
        $hub = $this->kit->part(PartKind::Wheel)->value(CarAttribute::WheelHub);

        return $this->sizes->overhangByRuleOfThumbM(min($hub, $this->sizes->wheelThicknessM));
    }

    public static function of(Challenge $challenge): self
    {
        return new self($challenge, $challenge->sessionPlan(), $challenge->catalogue());
    }

    /** The plan of those who build the one or the other of the two. */
    public function ofThe(bool $isOther): self
    {
        return once(fn(): self => new self($this->challenge, $this->plan, $this->catalogue, $isOther));
    }

    /** The plan of what a group builds first. */
    public function forGroup(?Group $group): self
    {
        return $group?->builds_other === null || $this->design->contrast() === null ? $this : $this->ofThe($group->builds_other);
    }

    /** Null where a piece is longer than what it is cut from. */
    public function cuts(): ?CutPlan
    {
        $cutting = $this->cutting();

        return $cutting instanceof CutPlan ? $cutting : null;
    }

    /** The piece that is longer than what it is cut from; null where there is none. */
    public function doesNotFit(): ?DoesNotFitException
    {
        $cutting = $this->cutting();

        return $cutting instanceof DoesNotFitException ? $cutting : null;
    }

    /** A length of the cutting as planned (m): as typed, or else the usual one. */
    public function length(string $cut): float
    {
        return $this->plan->getAttribute($cut)?->quantity->si() ?? $this->usualLength($cut);
    }

    /** What it is unless it was typed (m). */
    public function usualLength(string $cut): float
    {
        return match ($cut) {
            'chassis_width' => $this->kit->part(PartKind::Chassis)->value(CarAttribute::ChassisWidth),
            'wheel_thickness' => $this->kit->part(PartKind::Wheel)->value(CarAttribute::WheelThickness),
            'nozzle_length' => $this->kit->part(PartKind::Nozzle)->value(CarAttribute::NozzleLength),
            default => self::USUAL[$cut] ?? throw new \LogicException("{$cut} is no length of the cutting."),
        };
    }

    public function materials(): Materials
    {
        $lines = $this->challenge->materialLines;
        $changes = $lines->whereNotNull('key')->mapWithKeys(
            static fn(MaterialLine $line): array => [(string) $line->key => [$line->amount, $line->price, $line->pack]],
        )->all();
        $own = array_values($lines->whereNull('key')->map(static fn(MaterialLine $line): Material => $line->toCore())->all());
        $all = $this->materialsOf($changes, $own);
        if ($this->isOther !== null || $this->design->contrast() === null) {
            return $all;
        }
        [$one, $other] = [$this->ofThe(false), $this->ofThe(true)];

        return $all->ofTwo($one->materialsOf(), $other->materialsOf(), $this->challenge->way()->isRebuilt(), $changes);
    }

    /**
     * @param array<string, array{0: float|null, 1: float|null, 2?: int|null}> $changes
     * @param list<Material> $own
     */
    private function materialsOf(array $changes = [], array $own = []): Materials
    {
        $coins = $this->design->coins($this->isOther);
        if ($coins > 0) {
            $changes += ['ballast' => [(float) $coins, null, null]];
        }

        return Materials::of(
            $this->kit,
            $this->steps(),
            $this->class,
            $this->cuts(),
            $changes,
            $own,
            $this->plan->by_mouth,
            $coins > 0 || in_array(Step::Mass, $this->challenge->rules()->free, true),
        );
    }

    /** How far the collection of a line has come. Days are counted from the year 1970. */
    public function collecting(Material $line, Materials $materials): Collecting
    {
        $counts = $this->challenge->materialCounts->where('key', $line->key)->sortBy('counted_on')->values();

        return new Collecting(
            array_values(
                $counts->map(
                    static fn(MaterialCount $count): array => [intdiv($count->counted_on->getTimestamp(), 86400), $count->count],
                )->all(),
            ),
            $line->total($materials->class),
        );
    }

    /** By when everything is to be collected: as planned, or a week before the first session; null where neither has a date. */
    public function collectBy(): ?CarbonImmutable
    {
        return $this->plan->collect_by ?? $this->plan->starts_at?->subWeek()->startOfDay();
    }

    /** A car as somebody records it: driven by what the kit is driven by, where nobody said otherwise. */
    public function asBuilt(Car $car, ?Group $group): Car
    {
        $source = $this->forGroup($group)->kit->source;

        return $source === EnergySource::Balloon || $car->source() !== null ? $car : $car->with(CarAttribute::EnergySource, $source->value);
    }

    /** What a car built of the kit is like: what a build sheet starts from and held parts must equal. */
    public function kitCar(): Car
    {
        return once(fn(): Car => $this->buildKitCar());
    }

    private function buildKitCar(): Car
    {
        $car = $this->kit->car($this->challenge->units, $this->sizes);
        $fill = $this->plan->fill;
        if ($fill !== null) {
            $car = $car->over(new Car([CarAttribute::BalloonSize->value => $fill], balloonMeasuredAs: SizeMeasure::Diameter));
        }

        return $this->isOther === null ? $car : ($this->design->contrast()?->carOf($car, $this->isOther) ?? $car);
    }

    /** The steps in which the kit's car is built, whoever does them. */
    public function steps(): BuildSteps
    {
        return once(fn(): BuildSteps => BuildSteps::of($this->kit, $this->kitLayout(), $this->making()));
    }

    /** How the class makes its cars, where a car says nothing else. */
    private function making(): Making
    {
        return new Making(
            new WheelMaking($this->sizes->endPlayM),
            new PowerMaking($this->cuts()?->nozzleM, $this->plan->by_mouth, $this->plan->mount_order),
            bearings: $this->plan->bearings_by,
            points: $this->plan->points,
            decoration: $this->plan->decoration,
            colour: $this->plan->decorated_with,
        );
    }

    public function kitLayout(): Layout
    {
        return Layout::of($this->kitCar(), $this->catalogue, $this->kit);
    }

    /** The kit with what a car was built of in place of its own parts. */
    public function kitOf(Car $car): Kit
    {
        // Spelt in another way it is the same part, with its knife and its pin; of a part that nobody knows, the kit's is the best guess.
        $part = fn(PartKind $kind, CarAttribute $named, string $kits): string
            => $this->catalogue->likely($kind, $car->kind($named))->name ?? $kits;

        return new Kit(
            $part(PartKind::Chassis, CarAttribute::Chassis, $this->kit->chassis),
            $part(PartKind::Wheel, CarAttribute::WheelKind, $this->kit->wheels),
            $part(PartKind::Bearing, CarAttribute::Bearing, $this->kit->bearing),
            $part(PartKind::Nozzle, CarAttribute::NozzleKind, $this->kit->nozzle),
            $this->kit->balloon,
            $car->kind(CarAttribute::Joint) ?? $this->kit->joint,
            $this->catalogue,
            $car->source() ?? $this->kit->source,
        );
    }

    /** The steps in which one car is built: its own parts and sizes, and the kit's where it has none. */
    public function stepsOfCar(Car $car): BuildSteps
    {
        $kit = $this->kitOf($car);
        $nozzle = $kit->blowsThroughStraws() ? $car->number(CarAttribute::NozzleLength) ?? $this->cuts()?->nozzleM : null;

        return BuildSteps::of($kit, $this->layoutOf($car), $this->making()->ofCar($car, $nozzle));
    }

    public function layoutOf(Car $car): Layout
    {
        $kit = $this->kitOf($car);

        return Layout::of($car->completedBy($kit->car($this->challenge->units, $this->sizes)), $this->catalogue, $kit);
    }

    /** What of it the class does: all but what was prepared. */
    public function classSteps(): BuildSteps
    {
        return $this->steps()->without($this->plan->preparedSteps());
    }

    /** What adults do of it before the class comes, for every car that is planned. */
    public function preparation(): Preparation
    {
        $tasks = $this->steps()->beforehand($this->plan->preparedSteps());
        // Whoever changes the one into the other has prepared once what both have.
        $first = $this->isOther === true && $this->challenge->way()->isRebuilt() ? $this->ofThe(false)->steps() : null;

        return new Preparation(
            array_values(array_filter($tasks, static fn(BuildTask $task): bool => !$task->isAs($first?->task($task->step)))),
            max(1, $this->class->groups),
            max(1, $this->plan->helpers),
        );
    }

    /** @return list<self> of a class that compares two, the plans of both; this one else */
    public function each(): array
    {
        return $this->isOther !== null || $this->design->contrast() === null ? [$this] : [$this->ofThe(false), $this->ofThe(true)];
    }

    /** What of a car's steps its group does: what was prepared for the kit's car fits no car that differs in it. */
    public function groupSteps(Car $car): BuildSteps
    {
        $steps = $this->stepsOfCar($car);
        $kits = $this->steps();

        return $steps->without(array_values(array_filter(
            $this->plan->preparedSteps(),
            static fn(BuildStep $step): bool => $steps->task($step)?->isAs($kits->task($step)) === true,
        )));
    }

    public function buildTime(): BuildTime
    {
        return new BuildTime($this->classSteps(), max(1, $this->class->groups), $this->plan->adults);
    }

    public function safety(): ClassSafety
    {
        return once(fn(): ClassSafety => new ClassSafety($this));
    }

    /**
     * Of practice, tries and the timed round, one after the other.
     *
     * @param int $groups as many as there are; those planned where there is none yet
     */
    public function runOrder(int $groups): RunOrder
    {
        $rounds = $this->challenge->practice_runs + $this->challenge->tries + $this->challenge->timed_rounds;

        return new RunOrder($groups > 0 ? $groups : $this->plan->groups, $rounds, $this->challenge->lanes);
    }

    public function timetable(int $groups): Timetable
    {
        $minutes = [];
        foreach (Phase::cases() as $phase) {
            $minutes[$phase->value] = $this->plan->minutes($phase);
        }
        $runs = $this->runOrder($groups);

        return new Timetable(
            $minutes,
            $runs,
            $this->plan->tries_again > 0 ? new RunOrder($runs->groups, $this->plan->tries_again, $this->challenge->lanes) : null,
            $this->plan->heat_min,
            (float) $this->plan->session_min,
            array_map(static fn(array $session): float => (float) $session['minutes'], $this->plan->further_sessions),
        );
    }

    private function cutting(): CutPlan|DoesNotFitException
    {
        return once(function (): CutPlan|DoesNotFitException {
            try {
                return CutPlan::of(
                    $this->kit,
                    $this->sizes,
                    $this->length('straw_length'),
                    $this->length('skewer_length'),
                    $this->length('kerf'),
                    $this->length('nozzle_length'),
                    $this->plan->nozzles_each,
                    $this->class->cars(),
                );
            } catch (DoesNotFitException $doesNotFit) {
                return $doesNotFit;
            }
        });
    }
}
