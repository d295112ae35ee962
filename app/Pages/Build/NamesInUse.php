<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Models\Challenge;
use App\Models\Group;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Car\Part\PartName;

/** What the cars of a class call their parts, where that may be one part by several names. */
final readonly class NamesInUse
{
    /**
     * @param list<array{attribute: CarAttribute, name: string, cars: int, like: string|null, others: list<string>}> $rows names that no
     * list has, or that look like another, with what they may be called instead
     */
    private function __construct(public array $rows) {}

    public static function of(Challenge $challenge, ClassRecord $record): self
    {
        $catalogue = $challenge->catalogue();
        $rows = [];
        foreach (CarAttribute::recorded() as $attribute) {
            if (!$attribute->isKind() || $attribute->options() !== []) {
                continue;
            }
            $counts = self::counts($record, $attribute);
            $listed = $catalogue->namesOf($attribute);
            foreach ($counts as $name => $cars) {
                $name = (string) $name;
                $kind = Contrast::partOf($attribute);
                // Capitals, plurals and other names of a listed part are taken for it anyway.
                $isKnown = $kind !== null && $catalogue->named($kind, $name) !== null;
                $others = array_values(array_diff([...array_map(strval(...), array_keys($counts)), ...$listed], [$name]));
                $isSpelling = array_filter($others, static fn(string $other): bool => PartName::key($other) === PartName::key($name)
                    && ($counts[$other] ?? INF) >= $cars) !== [];
                if ($isKnown || $isSpelling || in_array($name, $listed, true) || $others === []) {
                    continue;
                }
                $rows[] = [
                    'attribute' => $attribute, 'name' => $name, 'cars' => $cars, 'like' => PartName::among($name, $others),
                    'others' => array_values(array_unique($others)),
                ];
            }
        }

        return new self($rows);
    }

    /** @return array<array-key, int> cars by what they call it, the most first */
    private static function counts(ClassRecord $record, CarAttribute $attribute): array
    {
        $names = $record->groups->flatMap(static fn(Group $group) => $group->cars)
            ->map(static fn($car): ?string => $car->choices->kind($attribute))
            ->filter()
            ->countBy()
            ->all();
        arsort($names);

        return $names;
    }
}
