<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\FactorWords;
use App\Language\Text;
use App\Record\PlannedAnswer;
use Skivo\Core\Measurement\UnitSystem;

/** Whether the class will get an answer, in words. */
final readonly class PlannedAnswerWords
{
    public function __construct(private PlannedAnswer $planned, private UnitSystem $units) {}

    /** As in "About 42 of 100 such classes are told what is true, 1 is told wrongly, and 57 can’t tell yet." */
    public function said(): string
    {
        $chance = $this->planned->chance;
        [$right, $wrong] = [self::of100($chance->chanceOfRight()), self::of100($chance->chanceOfWrong())];

        return Text::of('plan.chance.said', ['right' => $right, 'wrong' => $wrong, 'open' => max(0, 100 - $right - $wrong)]);
    }

    /** Of which plan that is said. */
    public function plan(): string
    {
        $plan = $this->planned->plan;
        $values = [
            'groups' => $plan->groups,
            'one' => FactorWords::value($this->planned->question->attribute, $this->planned->one, $this->units),
            'other' => FactorWords::value($this->planned->question->attribute, $this->planned->other, $this->units),
        ];

        return $plan->triesAgain > 0
            ? Text::plural('plan.chance.changed', $plan->triesAgain, ['tries' => $plan->tries] + $values)
            : Text::plural('plan.chance.halves', $plan->tries, $values);
    }

    /** What would help most; null where nothing gains more than chance. */
    public function better(): ?string
    {
        return $this->planned->best === null || $this->planned->ofBest === null
            ? null
            : Text::of("plan.chance.better.{$this->planned->best}", [
                'right' => self::of100($this->planned->ofBest->chanceOfRight()), 'tries' => $this->planned->plan->tries,
            ]);
    }

    private static function of100(float $share): int
    {
        return (int) round(100 * $share);
    }
}
