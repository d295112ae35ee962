<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Statistics\Holm;

/**
 * Which claims about choices hold. The answer to the class's own question is judged at 95 % by itself; all else that could be
 * said of a choice (by fair pairs, by the regression over all cars, by a trend) shares one further chance in twenty of being
 * wrong. What looks clear and does not hold is a hint, worth a test.
 */
final readonly class Claims
{
    /** @param array<string, bool> $holds by what could be said */
    private function __construct(private ?Question $question, private array $holds) {}

    /**
     * @param list<Effect> $effects
     * @param array<string, array<string, float>> $trends p-values by outcome and by the value of the attribute
     */
    public static function of(array $effects, SeveralFactors $several, array $trends, ?Question $question): self
    {
        $pValues = [];
        foreach ($effects as $effect) {
            if ($effect->isPooled() && $effect->pValue !== null && $effect->factor !== $question?->attribute) {
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

        return new self($question, Holm::holds($pValues));
    }

    /** Whether fair pairs say it clearly enough. */
    public function effect(Effect $effect): bool
    {
        return $effect->isClear() && ($effect->factor === $this->question?->attribute || ($this->holds[self::ofEffect($effect)] ?? false));
    }

    /** Whether the regression over all cars says it clearly enough. */
    public function slope(CarAttribute $attribute): bool
    {
        return $this->holds[self::ofSlope($attribute)] ?? false;
    }

    /** Whether distances (or times) follow an attribute clearly enough, whatever else goes along with it. */
    public function trend(CarAttribute $attribute, string $outcome): bool
    {
        return $this->holds["trend {$outcome} {$attribute->value}"] ?? false;
    }

    private static function ofEffect(Effect $effect): string
    {
        return "effect {$effect->factor->value} {$effect->from} {$effect->to}";
    }

    private static function ofSlope(CarAttribute $attribute): string
    {
        return "slope {$attribute->value}";
    }
}
