<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Car\Part\Kit;

/** How a class goes about its question: the two that it compares, how many groups build which, and what evens their mass out. */
final readonly class ClassDesign
{
    public function __construct(private Challenge $challenge, private Kit $kit) {}

    /** The two that the class compares; null where it does not divide itself, or there is no second one. */
    public function contrast(): ?Contrast
    {
        return $this->challenge->way()->isDivided() ? $this->compared() : null;
    }

    /** The two that the class's question is about, whether it divides itself or not. */
    public function compared(): ?Contrast
    {
        return once(fn(): ?Contrast => $this->find());
    }

    /** By how much a car of the other kind is heavier by its parts (kg), before coins even it out. */
    public function heavierByKg(): float
    {
        $contrast = $this->contrast();

        return $contrast === null || $this->challenge->asks === CarAttribute::Mass ? 0.0 : $contrast->heavierByKg();
    }

    /**
     * How many coins make the lighter cars as heavy as the others; 0 where none do.
     *
     * @param bool|null $isOther of those who build the one or the other; null for the class
     */
    public function coins(?bool $isOther = null): int
    {
        $heavier = $this->heavierByKg();
        $areLighter = $isOther === null || $isOther === ($heavier < 0.0);

        return $this->challenge->is_mass_even && $areLighter ? (int) round(abs($heavier) / Contrast::COIN_KG) : 0;
    }

    /** How many of so many groups build the one or the other: as they were told, and half and half of who was not told yet. */
    public function groupsOf(int $groups, bool $isOther): int
    {
        $told = $this->challenge->groups()->whereNull('of_group_id')->whereNotNull('builds_other')->pluck('builds_other');
        $others = $told->filter(static fn(mixed $builds): bool => (bool) $builds)->count();
        $left = max(0, $groups - $told->count());
        $asOther = max($others, min($others + $left, intdiv($groups, 2)));

        return $isOther ? $asOther : $groups - $asOther;
    }

    private function find(): ?Contrast
    {
        $asked = $this->challenge->asked();
        if ($asked === null) {
            return null;
        }
        $read = fn(?string $text): float|string|null => $text === null
            ? null
            : Contrast::read($asked->attribute, $text, $this->kit, $this->challenge->units);
        $one = $asked->from ?? $read($this->challenge->design_one);
        $other = $asked->to ?? $read($this->challenge->design_other);
        $own = $this->kit->car($this->challenge->units)->explanation($asked->attribute);
        $usual = Contrast::usual($asked->attribute, $this->kit, is_float($own) ? $own : null);
        [$one, $other] = [$one ?? $usual?->one, $other ?? $usual?->other];
        $contrast = $one === null || $other === null ? null : new Contrast($asked->attribute, $one, $other, $this->kit);

        return $contrast?->differs() === true ? $contrast : null;
    }
}
