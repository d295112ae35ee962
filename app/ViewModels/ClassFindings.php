<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Car;
use App\Models\Group;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Bench\WorkBalance;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\CategoryRelation;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Confounding;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\NextTest;
use Skivo\Core\Findings\NumberRelation;
use Skivo\Core\Findings\Question;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Findings\SeveralFactors;
use Skivo\Core\Forecast\Calibration;
use Skivo\Core\Forecast\Observation;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\EnergyLedger;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;

/**
 * What a class found out: what each choice did, how thrust, friction and distance hang together, and how far the model
 * is to be trusted here. Holds ids and numbers only, and is kept with the challenge's revision: the resampling and the
 * hundreds of simulated runs behind it are done once for each change of the class.
 */
final readonly class ClassFindings
{
    private const KEEP_SECONDS = 86_400;

    private const TOLERANCE = 1e-4;

    /** The typical car's friction is turned through so many steps either way to draw the model's line. */
    private const CURVE_STEPS = 9;

    /**
     * @param list<ComparedCar> $cars every version with a distance
     * @param list<Effect> $effects
     * @param list<Confounding> $confounded
     * @param list<Ruling> $rulings
     * @param float|null $nextExpectedM by how much farther the model has the next test's car go, once rebuilt
     * @param array<int, WorkBalance> $balances by the id of the car, with the class's factors on what is only estimated
     * @param array<int, Estimate> $marks thrust over resistance straight from two marks, by the id of the car
     * @param array<int, string> $known what each car's ratio rests on: marks, bench or parts
     * @param LeastSquares|null $line distance on thrust over resistance, of at least three cars
     * @param list<array{float, float}> $modelCurve thrust over resistance and distance (m) of a typical car
     * @param array<int, EnergyLedger> $energies by the id of the car
     * @param array<string, array<string, float>> $chances of being first, by the goal and the id of the group
     * @param array<int, list<Outlier>> $outliers by the id of the car
     * @param int $voidMeasured void tries that have a distance
     */
    private function __construct(
        public Counting $counting,
        public array $cars,
        public array $effects,
        public Claims $claims,
        public ?Question $question,
        public ?Answer $answer,
        public array $confounded,
        public SeveralFactors $several,
        public array $rulings,
        public ?NextTest $next,
        public ?float $nextExpectedM,
        public ?Calibration $calibration,
        public array $balances,
        public array $marks,
        public array $known,
        public ?LeastSquares $line,
        public array $modelCurve,
        public ?int $typical,
        public array $energies,
        public array $chances,
        public array $outliers,
        public int $voidMeasured,
    ) {}

    public static function of(ClassRecord $record, Counting $counting = Counting::Rule): self
    {
        $challenge = $record->challenge;
        // What another build of the program found is not asked again.
        $key = "findings:{$challenge->id}:{$counting->value}:" . config('skivo.build');
        $held = Cache::get($key);
        if (is_array($held) && $held[0] === $record->revision && $held[1] instanceof self) {
            return $held[1];
        }
        $findings = self::find($record, $counting);
        Cache::put($key, [$record->revision, $findings], self::KEEP_SECONDS);

        return $findings;
    }

    private static function find(ClassRecord $record, Counting $counting): self
    {
        $forces = new ClassForces($record);
        $cars = $models = $observations = $marks = $samples = [];
        $void = 0;
        foreach ($record->groups as $group) {
            foreach ($group->cars as $car) {
                $counted = $record->tries($car)->distances();
                if ($counted !== null) {
                    $samples[$car->id] = $counted;
                }
            }
        }
        $outliers = Outlier::among($samples);
        foreach ($record->groups as $group) {
            foreach ($group->cars as $car) {
                $tries = $record->tries($car);
                $void += count(array_filter($tries->void, static fn(Run $run): bool => $run->distanceM !== null));
                $sample = $counting->distances($tries, $outliers[$car->id] ?? []);
                if ($sample === null) {
                    continue;
                }
                $cars[] = new ComparedCar((string) $car->id, (string) $group->id, $car->version, $car->choices, $sample);
                $marked = $forces->marksOf($car);
                if ($marked !== null) {
                    $marks[$car->id] = $marked;
                }
                $own = $forces->of($car);
                if ($own !== null) {
                    $models[$car->id] = $own;
                    $observations[$car->id] = self::observation($record, $car, $own, $sample);
                }
            }
        }
        $calibration = Calibration::of(array_values($observations));
        $settings = array_map(static fn(Observation $each): Settings => $calibration?->applyTo($each) ?? $each->settings, $observations);
        $balances = $known = $energies = [];
        foreach ($settings as $id => $each) {
            $balance = WorkBalance::of($each, $models[$id]->frictionShare(), $models[$id]->pressureShare());
            if ($balance !== null) {
                $balances[$id] = $balance;
                $known[$id] = isset($marks[$id]) ? 'marks' : ($models[$id]->frictionIsMeasured() ? 'bench' : 'parts');
                $energies[$id] = Simulator::run($each->design(), self::TOLERANCE)->energy;
            }
        }
        $typical = self::typical($balances);
        $effects = Effect::all($cars);
        $confounded = Confounding::among($cars);
        $several = SeveralFactors::of(self::newest($cars));
        $question = $record->challenge->asked();
        $claims = Claims::of($effects, $several, self::trends($record), $question);
        $next = NextTest::propose($cars, $effects, $confounded, $question, self::mayBe($record));

        return new self(
            $counting,
            $cars,
            $effects,
            $claims,
            $question,
            $question === null || $cars === [] ? null : Answer::of($question, self::effectOf($question, $effects), self::typicalDistance($cars)),
            $confounded,
            $several,
            Ruling::all($cars, $effects, $confounded, $several, $claims, $typical === null ? null : $settings[$typical]),
            $next,
            $next === null || !isset($settings[(int) $next->car->id]) ? null : self::expected($next, $settings[(int) $next->car->id]),
            $calibration,
            $balances,
            $marks,
            $known,
            self::line($cars, $balances, $marks),
            $typical === null ? [] : self::modelCurve($settings[$typical]),
            $typical,
            $energies,
            self::chances($record),
            $outliers,
            $void,
        );
    }

    /** @return \Closure(ComparedCar, CarAttribute, float|string): bool whether a car may be changed so, by the rules and by who is still in */
    private static function mayBe(ClassRecord $record): \Closure
    {
        $rules = $record->challenge->rules();
        $kit = ClassPlan::of($record->challenge)->kitCar();
        $in = $record->groups->reject(static fn(Group $group): bool => $group->is_withdrawn)->pluck('id')->map(strval(...))->all();

        return static fn(ComparedCar $car, CarAttribute $factor, float|string $to): bool => in_array($car->group, $in, true)
            && $rules->allowChange($car->choices, $car->choices->with($factor, $to), $factor, $kit);
    }

    /** The fair pairs that speak of what the class asks; null where there are none. */
    public function effectAsked(): ?Effect
    {
        return $this->question === null ? null : self::effectOf($this->question, $this->effects);
    }

    /** @param list<Effect> $effects */
    private static function effectOf(Question $question, array $effects): ?Effect
    {
        foreach ($effects as $effect) {
            if ($effect->factor === $question->attribute) {
                return $effect;
            }
        }

        return null;
    }

    /** @param non-empty-list<ComparedCar> $cars */
    private static function typicalDistance(array $cars): float
    {
        return (new Sample(array_map(static fn(ComparedCar $car): float => $car->sample->mean(), $cars)))->median();
    }

    /**
     * One car of each group, the newest that ran: versions share their group's faults and are no witnesses of their own.
     *
     * @param list<ComparedCar> $cars in the order of their versions
     *
     * @return list<ComparedCar>
     */
    private static function newest(array $cars): array
    {
        $newest = [];
        foreach ($cars as $car) {
            $newest[$car->group] = $car;
        }

        return array_values($newest);
    }

    /** @return array<string, array<string, float>> how likely each trend is by chance alone, by outcome and attribute, one car a group */
    private static function trends(ClassRecord $record): array
    {
        $cars = $record->carsById();
        $trends = [];
        foreach (Outcome::cases() as $outcome) {
            foreach (CarAttribute::explaining() as $factor) {
                $points = [];
                foreach ($record->points($factor, $outcome) as $point) {
                    $points[$cars[(int) $point->id][0]->id] = $point;
                }
                $points = array_values($points);
                $p = ($factor->explainsAsNumber() ? new NumberRelation($points) : new CategoryRelation($points))->pValue();
                if ($p !== null) {
                    $trends[$outcome->value][$factor->value] = $p;
                }
            }
        }

        return $trends;
    }

    /** A car's thrust over resistance, from marks where it has them; null where nothing is known of it. */
    public function ratioOf(int $car): ?float
    {
        return isset($this->marks[$car]) ? $this->marks[$car]->value : ($this->balances[$car]->ratio ?? null);
    }

    private static function observation(ClassRecord $record, Car $car, Forces $forces, Sample $sample): Observation
    {
        $tries = $record->tries($car);
        $limps = $tries->each(static fn(Run $run): ?float => $run->limpM);

        return new Observation(
            (string) $car->id,
            $forces->model->settings,
            $sample->mean(),
            $limps?->mean(),
            $tries->times($record->challenge->timed_length?->quantity->si())?->mean(),
            $record->challenge->timed_length?->quantity->si(),
            $forces->frictionIsMeasured(),
            $forces->thrustIsMeasured(),
        );
    }

    /**
     * The car whose distance by the model is the middle one.
     *
     * @param array<int, WorkBalance> $balances
     */
    private static function typical(array $balances): ?int
    {
        uasort($balances, static fn(WorkBalance $a, WorkBalance $b): int => $a->distanceM <=> $b->distanceM);

        return array_keys($balances)[intdiv(count($balances), 2)] ?? null;
    }

    /**
     * @param list<ComparedCar> $cars
     * @param array<int, WorkBalance> $balances
     * @param array<int, Estimate> $marks
     */
    private static function line(array $cars, array $balances, array $marks): ?LeastSquares
    {
        $x = $y = [];
        foreach ($cars as $car) {
            $ratio = isset($marks[(int) $car->id]) ? $marks[(int) $car->id]->value : ($balances[(int) $car->id]->ratio ?? null);
            if ($ratio !== null) {
                $x[] = $ratio;
                $y[] = $car->sample->mean();
            }
        }

        return count($x) < 3 ? null : LeastSquares::fit($x, $y);
    }

    /** @return list<array{float, float}> from much friction to little */
    private static function modelCurve(Settings $typical): array
    {
        $curve = [];
        for ($step = self::CURVE_STEPS; $step >= -self::CURVE_STEPS; $step--) {
            $balance = WorkBalance::solve($typical, 4.0 ** ($step / self::CURVE_STEPS), 1.0);
            if ($balance !== null) {
                $curve[] = [$balance[0], $balance[2]];
            }
        }

        return $curve;
    }

    private static function expected(NextTest $next, Settings $now): ?float
    {
        $setting = match ($next->factor) {
            CarAttribute::NozzleBore => CarAttribute::NozzleBore,
            CarAttribute::BalloonSize => CarAttribute::BalloonSize,
            CarAttribute::Mass => CarAttribute::Mass,
            CarAttribute::WheelDiameter => CarAttribute::WheelDiameter,
            CarAttribute::NozzleLength => CarAttribute::NozzleLength,
            CarAttribute::NozzleOutlets => CarAttribute::NozzleOutlets,
            CarAttribute::NozzleAngle => CarAttribute::NozzleAngle,
            default => null,
        };
        if ($setting === null || !is_numeric($next->to)) {
            return null;
        }
        try {
            return Simulator::run(
                $now->with($setting, (float) $next->to)->design(),
                self::TOLERANCE,
            )->distanceM - Simulator::run($now->design(), self::TOLERANCE)->distanceM;
        } catch (OutOfRangeException) {
            return null;
        }
    }

    /** @return array<string, array<string, float>> */
    private static function chances(ClassRecord $record): array
    {
        $chances = [];
        foreach ($record->challenge->allAwards() as $award) {
            $chances[$award->goal->value] = ChanceOfFirst::of($record->standingsFor($award), $record->challenge->id);
        }

        return $chances;
    }
}
