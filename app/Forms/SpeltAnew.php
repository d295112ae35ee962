<?php

declare(strict_types=1);

namespace App\Forms;

use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\PartName;

/** Names of parts that are most likely a listed one, or another group's, in another spelling. */
final readonly class SpeltAnew
{
    /** @var array<string, list<string>> what is known, by the value of a CarAttribute */
    private array $known;

    public function __construct(Challenge $challenge, ?Group $but = null)
    {
        $catalogue = $challenge->catalogue();
        $cars = $challenge->groups()->with('cars')->get()
            ->map(static fn(Group $group): ?Car => $group->id === $but?->id ? null : $group->newestCar()?->choices)->filter();
        $known = [];
        foreach (self::named() as $attribute) {
            $said = $cars->map(static fn(Car $car): ?string => $car->kind($attribute))->filter()->values()->all();
            $known[$attribute->value] = array_values(array_unique([...$catalogue->namesOf($attribute), ...$said]));
        }
        $this->known = $known;
    }

    /**
     * What is asked back of a car, once: names that nobody used before, and that are nearly one that is known.
     *
     * @return array<string, string> by the value of a CarAttribute
     */
    public function questions(Car $car, ?Car $had): array
    {
        $questions = [];
        foreach ($this->known as $key => $known) {
            $name = $car->kind(CarAttribute::from($key));
            $isNew = $name !== null && $name !== $had?->kind(CarAttribute::from($key)) && !in_array($name, $known, true);
            $meant = $isNew ? PartName::among($name, $known) : null;
            // Capitals and plurals make no other part: nothing to ask.
            if ($meant !== null && PartName::key($meant) !== PartName::key((string) $name)) {
                $questions[$key] = Text::of('build.form.did_you_mean', ['typed' => (string) $name, 'meant' => $meant]);
            }
        }

        return $questions;
    }

    /** @return list<CarAttribute> what may be called by any word */
    private static function named(): array
    {
        return array_values(array_filter(
            CarAttribute::recorded(),
            static fn(CarAttribute $each): bool => $each->isKind() && $each->options() === [],
        ));
    }
}
