<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\FactorWords;
use App\Language\Text;
use App\Record\PlannedAnswer;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Challenge\Design;
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

    /** As in "about 42 in 100", beside a design. */
    public function short(): string
    {
        return Text::of('plan.chance.short', ['right' => self::of100($this->planned->chance->chanceOfRight())]);
    }

    /** As in "Compared: bottle caps and jar lids." */
    public function compared(): string
    {
        return Text::of('design.compared', self::two($this->planned->contrast, $this->units));
    }

    /** How many of the classes are simulated; null once all are. */
    public function progress(): ?string
    {
        return $this->planned->isWhole ? null : Text::of('plan.chance.so_far', ['classes' => $this->planned->chance->classes]);
    }

    /** Of which plan that is said. */
    public function plan(): string
    {
        $plan = $this->planned->plan;
        $values = ['groups' => $plan->groups] + self::two($this->planned->contrast, $this->units);

        return $plan->design === Design::ChangeOneThing
            ? Text::plural('plan.chance.changed', $plan->triesAgain, ['tries' => $plan->tries] + $values)
            : Text::plural($plan->design->isDivided() ? 'plan.chance.halves' : 'plan.chance.free', $plan->tries, $values);
    }

    /** @return array{one: string, other: string} the two that are compared */
    public static function two(Contrast $contrast, UnitSystem $units): array
    {
        $said = static fn(float|string $value): string => is_string($value) && $contrast->part(false) !== null
            ? $value
            : FactorWords::value($contrast->attribute, $value, $units);

        return ['one' => $said($contrast->one), 'other' => $said($contrast->other)];
    }

    /** What would help most; null where nothing gains more than chance. */
    public function better(): ?string
    {
        return $this->planned->best === null || $this->planned->ofBest === null
            ? null
            : Text::of("plan.chance.better.{$this->planned->best}", [
                'right' => self::of100($this->planned->ofBest->chanceOfRight()), 'tries' => $this->planned->plan->tries,
            ] + ($this->planned->best === 'farther' && ($farther = $this->planned->contrast->farther()) !== null
                ? self::two($farther, $this->units)
                : []));
    }

    private static function of100(float $share): int
    {
        return (int) round(100 * $share);
    }
}
