<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Findings\ChanceOfAnswer;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\PlannedClass;
use Skivo\Core\Findings\Question;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\StrengthPrior;
use Skivo\Core\Forecast\Workmanship;
use Skivo\Core\Measurement\OutOfRangeException;

/** Whether a class will get an answer from its plan, by simulated classes of that very plan; and what would help most. */
final readonly class PlannedAnswer
{
    /** Classes that are simulated of each plan. */
    private const CLASSES = 200;

    /** Of a number the kit's is compared with one so much larger, or smaller where that lies beyond the model. */
    private const OTHER = 4 / 3;

    /** Tries of a car lie so far from each other (share). Common practice, no source. */
    private const SCATTER = 0.08;

    /**
     * @param string|null $best what would help most, as PlannedClass::alternatives() has it; null where nothing gains more than chance
     */
    private function __construct(
        public Question $question,
        public float|string $one,
        public float|string $other,
        public PlannedClass $plan,
        public ChanceOfAnswer $chance,
        public ?string $best,
        public ?ChanceOfAnswer $ofBest,
    ) {}

    /** Null where the class asks nothing that the run model can compute for its kit. */
    public static function of(ClassPlan $class): ?self
    {
        $from = self::from($class);

        return $from === null ? null : WorkedOut::from('planned-answer', $from, static fn(): ?self => self::work($class->challenge, $from));
    }

    /** The same, if it was worked out before. */
    public static function known(ClassPlan $class): ?self
    {
        $from = self::from($class);
        $known = $from === null ? null : WorkedOut::known('planned-answer', $from);

        return $known instanceof self ? $known : null;
    }

    /** Whether the class asks what can be worked out at all. */
    public static function canBe(Challenge $challenge): bool
    {
        return $challenge->asked()?->outcome === Outcome::Distance;
    }

    /** @param array{question: Question, kit: Car, plan: PlannedClass} $from */
    private static function work(Challenge $challenge, array $from): ?self
    {
        ['question' => $question, 'kit' => $kit, 'plan' => $plan] = $from;
        $values = self::values($question, $kit);
        $distance = static fn(int $which): ?float => $values === null
            ? null
            : self::distance($challenge, $kit->with($question->attribute, $values[$which]));
        [$one, $other] = [$distance(0), $distance(1)];
        if ($values === null || $one === null || $other === null) {
            return null;
        }
        $effect = log($other / $one);
        $chance = ChanceOfAnswer::of($effect, $plan, self::CLASSES);
        $best = $ofBest = null;
        foreach ($plan->alternatives() as $name => $alternative) {
            $of = ChanceOfAnswer::of($effect, $alternative, self::CLASSES);
            if ($chance->isBeatenBy($of) && ($ofBest === null || $of->right > $ofBest->right)) {
                [$best, $ofBest] = [$name, $of];
            }
        }

        return new self($question, $values[0], $values[1], $plan, $chance, $best, $ofBest);
    }

    /** @return array{question: Question, kit: Car, plan: PlannedClass, lane: list<mixed>}|null all that it rests on; null of a free design */
    private static function from(ClassPlan $class): ?array
    {
        [$challenge, $plan] = [$class->challenge, $class->plan];
        $question = $challenge->asked();

        return $question === null || $question->outcome !== Outcome::Distance ? null : [
            'question' => $question,
            'kit' => $class->kitCar(),
            'plan' => new PlannedClass(max(1, $plan->groups), max(1, $challenge->tries), $plan->tries_again),
            'lane' => [$challenge->surface, $challenge->air_temperature_c],
        ];
    }

    /** @return array{float|string, float|string}|null */
    private static function values(Question $question, Car $kit): ?array
    {
        if ($question->from !== null && $question->to !== null) {
            return [$question->from, $question->to];
        }
        $ruler = $question->attribute->facts()->ruler;
        $own = $kit->explanation($question->attribute) ?? $ruler?->typical;
        if ($ruler === null || !is_float($own) || $own <= 0.0) {
            return null;
        }
        $other = $own * self::OTHER <= $ruler->greatest ? $own * self::OTHER : $own / self::OTHER;

        return [min($own, $other), max($own, $other)];
    }

    /** Of a car as usual hands build it, by the run model (m); null where that can't say. */
    private static function distance(Challenge $challenge, Car $car): ?float
    {
        $model = DesignForecast::model($challenge, $car);
        if ($model === null) {
            return null;
        }
        $state = (new Workmanship([], StrengthPrior::of($car->source() ?? EnergySource::Balloon)))->usual(self::SCATTER);
        try {
            $distance = Prediction::begin($model->settings, $state)->run(1e-3)->distanceM;
        } catch (OutOfRangeException) {
            return null;
        }

        return $distance > 0.0 ? $distance : null;
    }
}
