<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\Text;
use App\Models\Car;
use App\Models\Group;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\CategoryRelation;
use Skivo\Core\Findings\NumberRelation;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\LeastSquares;

/** Distance or time against one factor across a class, with the cars behind each point. */
final readonly class RelationReading
{
    private const CURVE_POINTS = 24;

    public NumberRelation|CategoryRelation $relation;

    /** @var array<int, array{Group, Car}> by the id of the car */
    public array $cars;

    public UnitSystem $units;

    public function __construct(
        public ClassRecord $record,
        public CarAttribute $factor,
        public Outcome $outcome,
    ) {
        $points = $record->points($factor, $outcome);
        $this->relation = $factor->explainsAsNumber() ? new NumberRelation($points) : new CategoryRelation($points);
        $this->units = $record->challenge->units;
        $this->cars = $record->carsById();
    }

    /** The factor to open with: of the numbers that vary, the one that distance follows most closely. */
    public static function mostTelling(ClassRecord $record, Outcome $outcome): CarAttribute
    {
        $best = CarAttribute::NozzleBore;
        $most = -1.0;
        // Where all have as many outlets, the area is but another way to say the bore.
        $outletsVary = count(array_unique(array_column($record->points(CarAttribute::NozzleOutlets, $outcome), 'x'))) > 1;
        foreach (CarAttribute::explaining() as $factor) {
            if (!$factor->explainsAsNumber() || ($factor === CarAttribute::OutletArea && !$outletsVary)) {
                continue;
            }
            $relation = new NumberRelation($record->points($factor, $outcome));
            $strength = count($relation->points) < 3 ? -1.0 : ($relation->line->rSquared ?? -1.0);
            if ($strength > $most) {
                $most = $strength;
                $best = $factor;
            }
        }

        return $best;
    }

    /**
     * The line, its interval and the band for one more car, along the factor, in shown units.
     *
     * @return list<array{x: float, y: float, low: float|null, high: float|null, carLow: float|null, carHigh: float|null}>
     */
    public function curve(): array
    {
        $line = $this->relation instanceof NumberRelation ? $this->relation->line : null;
        if ($line === null || count($this->relation->points) < 3) {
            return [];
        }
        $xs = array_map(static fn($point): float => (float) $point->x, $this->relation->points);
        $low = min($xs);
        $step = (max($xs) - $low) / self::CURVE_POINTS;
        $curve = [];
        for ($i = 0; $i <= self::CURVE_POINTS; $i++) {
            $curve[] = $this->curvePoint($line, $low + $i * $step);
        }

        return $curve;
    }

    /**
     * What the figure draws, in shown units.
     *
     * @param string $factor what the factor is called
     *
     * @return array<string, mixed>
     */
    public function figure(string $factor): array
    {
        $points = [];
        foreach ($this->relation->points as $point) {
            [$group, $car] = $this->cars[(int) $point->id];
            $tries = $this->record->tries($car);
            $sample = $this->record->measure($this->outcome, $car);
            $points[] = [
                'mark' => $group->mark,
                'name' => $group->name . (
                    $group->cars->count() > 1 ? ' ' . Text::of('frame.relation_reading.version', ['version' => $car->version]) : ''
                ),
                'factor' => is_float($point->x) ? $this->showFactor($point->x) : $point->x,
                'x' => is_float($point->x) ? $this->factorIn($point->x) : $point->x,
                'y' => $this->outcomeIn($point->y),
                'shown' => $this->showOutcome($point->y),
                'tries' => array_map($this->outcomeIn(...), $sample->values ?? []),
                'older' => $group->currentCar()?->id !== $car->id,
            ];
        }
        $kinds = [];
        foreach ($this->relation instanceof CategoryRelation ? $this->relation->kinds : [] as $kind => $sample) {
            $interval = $sample->meanInterval();
            $kinds[] = [
                'kind' => (string) $kind,
                'mean' => $this->outcomeIn($sample->mean()),
                'low' => $interval === null ? null : $this->outcomeIn($interval->low),
                'high' => $interval === null ? null : $this->outcomeIn($interval->high),
            ];
        }

        return [
            'points' => $points,
            'kinds' => $kinds,
            'curve' => $this->curve(),
            'numeric' => $this->factor->explainsAsNumber(),
            'factorLabel' => $factor . ($this->factorSymbol() === '' ? '' : ", {$this->factorSymbol()}"),
            'tape' => $this->outcome === Outcome::Distance ? $this->units->value : null,
            'unit' => $this->units->symbol($this->outcome->scale()),
        ];
    }

    public function factorSymbol(): string
    {
        return $this->units->symbol($this->factor->scale() ?? Scale::Count);
    }

    public function showFactor(float $si): string
    {
        return $this->units->show($si, $this->factor->scale() ?? Scale::Count);
    }

    public function showOutcome(float $si): string
    {
        return $this->units->show($si, $this->outcome->scale());
    }

    private function factorIn(float $si): float
    {
        return $this->units->fromSi($si, $this->factor->scale() ?? Scale::Count);
    }

    private function outcomeIn(float $si): float
    {
        return round($this->units->fromSi($si, $this->outcome->scale()), 4);
    }

    /** @return array{x: float, y: float, low: float|null, high: float|null, carLow: float|null, carHigh: float|null} */
    private function curvePoint(LeastSquares $line, float $x): array
    {
        $ends = fn(?Interval $interval): array => $interval === null
            ? [null, null]
            : [$this->outcomeIn($interval->low), $this->outcomeIn($interval->high)];
        [$low, $high] = $ends($line->lineInterval($x));
        [$carLow, $carHigh] = $ends($line->predictionInterval($x));

        return [
            'x' => $this->factorIn($x), 'y' => $this->outcomeIn($line->at($x)), 'low' => $low, 'high' => $high, 'carLow' => $carLow,
            'carHigh' => $carHigh,
        ];
    }
}
