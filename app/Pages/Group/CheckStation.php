<?php

declare(strict_types=1);

namespace App\Pages\Group;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Car\Check\Reading;

/** One test of the check card, as a group does it: one at a time. */
final readonly class CheckStation
{
    private function __construct(
        public CheckItem $item,
        public ?Reading $reading,
        public ?CheckVerdict $verdict,
        public ?CheckItem $next,
        /** @var array<string, CheckVerdict|null> of every test, by its value */
        public array $verdicts,
    ) {}

    public static function of(GroupsOwnPath $own, string $wanted): self
    {
        $card = $own->card;
        $verdicts = [];
        $items = CheckItem::askedOf($own->car->source() ?? EnergySource::Balloon);
        foreach ($items as $each) {
            $verdicts[$each->value] = $card?->verdict($each);
        }
        $open = array_values(
            array_filter($items, static fn(CheckItem $each): bool => ($card?->verdict($each) ?? CheckVerdict::Fix) === CheckVerdict::Fix),
        );
        $item = CheckItem::tryFrom($wanted) ?? $open[0] ?? CheckItem::Spin;
        $later = array_values(array_filter($open, static fn(CheckItem $each): bool => $each !== $item));

        return new self($item, $card?->reading($item), $verdicts[$item->value] ?? null, $later[0] ?? null, $verdicts);
    }
}
