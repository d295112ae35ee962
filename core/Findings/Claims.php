<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\Holm;

/**
 * Which claims about choices hold. The answer to the class's own question is judged at 95 % by itself; all else that could be
 * said of a choice (by like cars, by the regression over all cars, by a trend; of any outcome) shares one further chance in
 * twenty of being wrong. What looks clear and does not hold is a hint, worth a test.
 */
final readonly class Claims
{
    public const LEVEL = 0.05;

    /**
     * @param array<string, float> $pValues by what could be said
     * @param array<string, bool> $holds likewise
     * @param array<string, float> $typical outcome of the class's cars, by the value of the Outcome
     */
    private function __construct(
        private ?Question $question,
        private array $pValues,
        private array $holds,
        private array $typical,
    ) {}

    /**
     * @param list<Effect> $effects
     * @param array<string, array<string, float>> $trends p-values by outcome and by the value of the attribute
     * @param array<string, float> $typical outcome of the class's cars, by the value of the Outcome
     */
    public static function of(array $effects, SeveralFactors $several, array $trends, ?Question $question, array $typical): self
    {
        $pValues = [];
        foreach ($effects as $effect) {
            if ($effect->pValue !== null && $question?->isOf($effect) !== true) {
                $pValues[self::ofEffect($effect)] = $effect->pValue;
            }
        }
        foreach ($several->pValues as $index => $p) {
            $pValues[self::ofSlope($several->factors[$index])] = $p;
        }
        foreach ($trends as $outcome => $each) {
            foreach ($each as $attribute => $p) {
                $pValues["trend {$outcome} {$attribute}"] = $p;
            }
        }

        return new self($question, $pValues, Holm::holds($pValues, self::LEVEL), $typical);
    }

    /** What like cars say. */
    public function verdict(Effect $effect): Answer
    {
        $typical = $this->typical[$effect->outcome->value] ?? 0.0;
        if ($this->question?->isOf($effect) === true) {
            return Answer::of($effect, $typical);
        }
        // That it hardly matters is a claim like any other, and must hold at the level of the strictest.
        $strict = $effect->intervalAt(1.0 - self::LEVEL / max(1, count($this->pValues)));

        return match (true) {
            $effect->interval === null || $strict === null => Answer::CannotTell,
            Answer::isHardly($strict, $typical) => Answer::HardlyMatters,
            $this->effect($effect) => $effect->mean > 0.0 ? Answer::More : Answer::Less,
            $effect->isClear() => Answer::Hint,
            default => Answer::CannotTell,
        };
    }

    /** Whether like cars say it clearly enough. */
    public function effect(Effect $effect): bool
    {
        return $effect->isClear() && ($this->question?->isOf($effect) === true || ($this->holds[self::ofEffect($effect)] ?? false));
    }

    /** Whether the regression over all cars says it clearly enough. */
    public function slope(CarAttribute $attribute): bool
    {
        return $this->holds[self::ofSlope($attribute)] ?? false;
    }

    /** Whether an outcome follows an attribute clearly enough, whatever else changes together with it. */
    public function trend(CarAttribute $attribute, Outcome $outcome): bool
    {
        return $this->holds["trend {$outcome->value} {$attribute->value}"] ?? false;
    }

    /** What the class's cars usually do; 0 where nothing is on record. */
    public function typical(Outcome $outcome): float
    {
        return $this->typical[$outcome->value] ?? 0.0;
    }

    /** How many things could have been said. */
    public function count(): int
    {
        return count($this->pValues);
    }

    private static function ofEffect(Effect $effect): string
    {
        return "effect {$effect->key()}";
    }

    private static function ofSlope(CarAttribute $attribute): string
    {
        return "slope {$attribute->value}";
    }
}
