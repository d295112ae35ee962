<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\CategoryRelation;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\NumberRelation;
use Skivo\Core\Findings\Point;
use Skivo\Core\Findings\Question;
use Skivo\Core\Findings\SeveralFactors;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Statistics\Sample;

/**
 * How often what is said of choices is wrong, over classes in which none matters: eight groups whose cars differ by 30 cm
 * about three metres and whose tries scatter by 15 cm, none, four or all of which rebuilt their cars.
 */
final class ClaimsRatesTest extends TestCase
{
    use DrawsNormals;

    private const CLASSES = 1500;

    private const BETWEEN_GROUPS_M = 0.3;
    private const OF_TRIES_M = 0.15;
    private const OF_REBUILDING_M = 0.1;

    protected function setUp(): void
    {
        $this->seed(20261127);
    }

    /** @return iterable<string, array{int}> how many groups rebuilt their cars */
    public static function rebuilds(): iterable
    {
        yield 'nobody rebuilt' => [0];
        yield 'four rebuilt' => [4];
        yield 'all rebuilt' => [8];
    }

    #[DataProvider('rebuilds')]
    public function testWhereNothingMattersLittleIsClaimed(int $rebuilds): void
    {
        $question = new Question(CarAttribute::NozzleBore);
        $wrongAnswers = $wrongClaims = $judged = 0;
        for ($class = 0; $class < self::CLASSES; $class++) {
            $cars = $this->classOf($rebuilds, 0.0);
            $effects = Effect::all($cars);
            $newest = self::newest($cars);
            $several = SeveralFactors::of($newest);
            $claims = Claims::of($effects, $several, ['distance' => self::trends($newest)], $question);
            $asked = self::asked($effects);
            $judged += (int) ($asked?->isPooled() === true);
            $wrongAnswers += (int) in_array(Answer::of($question, $asked, 3.0), [Answer::Yes, Answer::OtherWayRound], true);
            $others = array_filter($effects, static fn(Effect $effect): bool => $effect->factor !== CarAttribute::NozzleBore && $claims->effect($effect));
            $slopes = array_filter($several->factors, $claims->slope(...));
            $trends = array_filter(CarAttribute::explaining(), static fn(CarAttribute $factor): bool => $claims->trend($factor, 'distance'));
            $wrongClaims += (int) ([...$others, ...$slopes, ...$trends] !== []);
        }
        $error = 2 * sqrt(0.05 * 0.95 / self::CLASSES);
        self::assertLessThan(0.05 + $error, $wrongAnswers / self::CLASSES, 'the answer');
        self::assertLessThan(0.05 + $error, $wrongClaims / self::CLASSES, 'everything else');
        self::assertGreaterThan($rebuilds === 0 ? 0.2 : 0.8, $judged / self::CLASSES, 'and there was something to judge');
    }

    /** Four groups rebuild their car with a wider bore, and it matters by half a metre. */
    public function testARealEffectIsSeen(): void
    {
        $question = new Question(CarAttribute::NozzleBore);
        $seen = 0;
        for ($class = 0; $class < 400; $class++) {
            $seen += (int) (Answer::of($question, self::asked(Effect::all($this->classOf(4, 0.5))), 3.0) === Answer::Yes);
        }
        self::assertGreaterThan(0.7, $seen / 400);
    }

    /** @return list<ComparedCar> in the order of their versions */
    private function classOf(int $rebuilds, float $effectM): array
    {
        $cars = [];
        foreach (range(1, 8) as $group) {
            $bore = [0.006, 0.007, 0.008][$this->chance->getInt(0, 2)];
            $mass = [0.05, 0.06, 0.07][$this->chance->getInt(0, 2)];
            $wheels = ['bottle caps', 'jar lids'][$this->chance->getInt(0, 1)];
            $truth = 3.0 + self::BETWEEN_GROUPS_M * $this->normal();
            $cars[] = $this->car($group, 1, $bore, $mass, $wheels, $truth);
            if ($group <= $rebuilds) {
                $cars[] = $this->car($group, 2, $bore + 0.002, $mass, $wheels, $truth + $effectM + self::OF_REBUILDING_M * $this->normal());
            }
        }

        return $cars;
    }

    private function car(int $group, int $version, float $bore, float $mass, string $wheels, float $truth): ComparedCar
    {
        $entry = static fn(CarAttribute $attribute, float $si): Entry => new Entry(Quantity::fromSi($si, $attribute->dimension()), (string) $si);

        return new ComparedCar(
            "{$group}-{$version}",
            (string) $group,
            $version,
            new Car(
                [
                    CarAttribute::NozzleBore->value => $entry(CarAttribute::NozzleBore, $bore),
                    CarAttribute::Mass->value => $entry(CarAttribute::Mass, $mass),
                    CarAttribute::BalloonSize->value => $entry(CarAttribute::BalloonSize, 0.2),
                ],
                [],
                [CarAttribute::WheelKind->value => $wheels],
            ),
            new Sample(array_map(fn(): float => $truth + self::OF_TRIES_M * $this->normal(), [1, 2, 3])),
        );
    }

    /** @param list<Effect> $effects */
    private static function asked(array $effects): ?Effect
    {
        return array_values(array_filter($effects, static fn(Effect $effect): bool => $effect->factor === CarAttribute::NozzleBore))[0] ?? null;
    }

    /**
     * @param list<ComparedCar> $cars
     *
     * @return list<ComparedCar>
     */
    private static function newest(array $cars): array
    {
        return array_values(array_combine(array_map(static fn(ComparedCar $car): string => "g{$car->group}", $cars), $cars));
    }

    /**
     * @param list<ComparedCar> $cars
     *
     * @return array<string, float>
     */
    private static function trends(array $cars): array
    {
        $found = [];
        foreach (CarAttribute::explaining() as $factor) {
            $points = [];
            foreach ($cars as $car) {
                $x = $car->choices->explanation($factor);
                if ($x !== null) {
                    $points[] = new Point($car->id, $x, $car->sample->mean());
                }
            }
            $p = ($factor->explainsAsNumber() ? new NumberRelation($points) : new CategoryRelation($points))->pValue();
            if ($p !== null) {
                $found[$factor->value] = $p;
            }
        }

        return $found;
    }
}
