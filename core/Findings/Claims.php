<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Statistics\Holm;
use Skivo\Core\Statistics\Normal;

/**
 * Which claims about choices hold. The answer to the class's own question is judged at 95 % by itself; all else that could be
 * said of a choice, for any outcome, shares one further chance in twenty of being wrong (Holm). What looks clear and does not hold
 * is a hint, worth a test.
 *
 * A class is looked at after each run, and would be told something wrong at last: while its tries are being made, each look spends
 * but a part of the five percent, as O'Brien and Fleming have it (Lan and DeMets, Biometrika 70, 659, 1983).
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
        private float $level,
    ) {}

    /**
     * @param list<Effect> $effects
     * @param array<string, float> $typical outcome of the class's cars, by the value of the Outcome
     * @param float $done share of the planned tries that are made, above 0
     */
    public static function of(array $effects, ?Question $question, array $typical, float $done = 1.0): self
    {
        $level = self::spent($done);
        $pValues = [];
        foreach ($effects as $effect) {
            if ($effect->pValue !== null && $question?->isOf($effect) !== true) {
                $pValues[$effect->key()] = $effect->pValue;
            }
        }

        return new self($question, $pValues, Holm::holds($pValues, $level), $typical, $level);
    }

    /** What the class's cars say of it. */
    public function verdict(Effect $effect): Answer
    {
        $typical = $this->typical[$effect->outcome->value] ?? 0.0;
        if ($this->question?->isOf($effect) === true) {
            return Answer::of($effect, $typical, $this->level);
        }
        // That it hardly matters is a claim like any other, and must hold at the level of the strictest.
        $strict = $effect->intervalAt(1.0 - $this->level / max(1, count($this->pValues)));

        return match (true) {
            $effect->interval === null || $strict === null => Answer::CannotTell,
            !$effect->isBounded() && Answer::isHardly($strict, $typical) => Answer::HardlyMatters,
            $this->effect($effect) => $effect->mean > 0.0 ? Answer::More : Answer::Less,
            $effect->isClear() => Answer::Hint,
            default => Answer::CannotTell,
        };
    }

    /** Whether they say it clearly enough. */
    public function effect(Effect $effect): bool
    {
        return $this->question?->isOf($effect) === true
            ? $effect->pValue !== null && $effect->pValue < $this->level
            : $effect->isClear() && ($this->holds[$effect->key()] ?? false);
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

    /** Of the five percent, at a share of the tries: 2·(1 − Φ(z₀.₉₇₅/√t)). */
    private static function spent(float $done): float
    {
        return 2.0 * Normal::cumulative(-Normal::quantile(1.0 - self::LEVEL / 2) / sqrt(max(0.01, min(1.0, $done))));
    }
}
