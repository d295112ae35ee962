<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Group;
use App\Record\AskedChange;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Support\Collection;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Measurement\Scale;

/** Which of the two that a class compares a group builds, in words for sheets, cards and tablets. */
final readonly class DesignWords
{
    private ?Contrast $contrast;

    public function __construct(private ClassPlan $plan)
    {
        $this->contrast = $plan->design->contrast();
    }

    /** As in "jar lids", or "nozzle bore 8 mm". */
    public function one(bool $isOther): string
    {
        $contrast = $this->contrast;
        if ($contrast === null) {
            return '';
        }
        $value = $isOther ? $contrast->other : $contrast->one;

        return is_string($value) && ($contrast->part($isOther) !== null || $contrast->attribute->isKind())
            ? $value
            : Text::of('design.size', [
                'what' => Label::inside($contrast->attribute),
                'size' => FactorWords::value($contrast->attribute, $value, $this->plan->challenge->units),
            ]);
    }

    /** What a group builds; null where it was not told, or builds what it likes. */
    public function of(Group $group): ?string
    {
        if ($this->contrast === null || $group->builds_other === null) {
            return null;
        }
        $said = ['one' => $this->one($group->builds_other), 'other' => $this->one(!$group->builds_other)];

        return Text::of($this->plan->challenge->way()->isRebuilt() ? 'design.begins' : 'design.builds', $said);
    }

    /**
     * @param Collection<int, Group> $groups
     *
     * @return list<array{string, list<Group>}> who builds what, those with the one first
     */
    public function byWhat(Collection $groups): array
    {
        $key = $this->plan->challenge->way()->isRebuilt() ? 'design.who_begins' : 'design.who_builds';
        $by = [];
        foreach ([false, true] as $isOther) {
            $own = $groups->filter(static fn(Group $group): bool => $group->builds_other === $isOther);
            $by[] = [Text::of($key, ['what' => $this->one($isOther)]), array_values($own->all())];
        }

        return $by;
    }

    /** What a group is asked to change, as in "Wheels: from bottle caps to jar lids."; null where it is asked nothing. */
    public static function asked(ClassRecord $record, Group $group, ClassPlan $plan): ?string
    {
        $asked = AskedChange::of($record, $group, $plan->design);
        if ($asked === null) {
            return null;
        }
        $units = $record->challenge->units;
        $from = $group->currentCar()?->choices->explanation($asked->attribute);

        return Text::of($from === null ? 'design.asked.change_to' : 'design.asked.change', [
            'What' => Label::title($asked->attribute),
            'from' => $from === null ? '' : FactorWords::value($asked->attribute, $from, $units),
            'to' => FactorWords::value($asked->attribute, $asked->to, $units),
        ]);
    }

    /** @return list<string> what is the same for all, one a line */
    public function rules(): array
    {
        $challenge = $this->plan->challenge;
        $said = [];
        if ($this->contrast !== null) {
            $said[] = Text::of(
                "design.rule.{$challenge->way()->value}",
                ['one' => $this->one(false), 'other' => $this->one(true)],
            );
        }
        if ($this->plan->plan->fill !== null) {
            $said[] = Text::of('design.rule.fill', ['size' => $this->plan->plan->fill->text]);
        }
        $coins = $this->coins();

        return $coins === null ? $said : [...$said, $coins];
    }

    /** What the lighter cars carry so that all weigh the same; null where nothing is to even out. */
    public function coins(): ?string
    {
        $heavier = $this->plan->design->heavierByKg();
        if (abs($heavier) < Contrast::COIN_KG / 2) {
            return null;
        }
        $coins = $this->plan->design->coins();
        $said = ['lighter' => $this->one($heavier < 0.0), 'mass' => $this->plan->challenge->units->show(abs($heavier), Scale::Weight)];

        return $coins > 0 ? Text::plural('design.rule.coins', $coins, $said) : Text::of('design.rule.no_coins', $said);
    }
}
