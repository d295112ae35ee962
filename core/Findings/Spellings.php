<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\PartName;

/** One name for each kind of part over a class, however its groups spelt it: findings never compare two spellings. */
final readonly class Spellings
{
    /** @param array<string, array<string, string>> $names as it is said, by the value of a CarAttribute and as it was typed */
    private function __construct(public array $names) {}

    /** @param iterable<Car> $cars of a class */
    public static function of(iterable $cars, Catalogue $catalogue): self
    {
        $typed = [];
        foreach ($cars as $car) {
            foreach (CarAttribute::explaining() as $attribute) {
                $kind = $attribute->isKind() && $attribute->options() === [] ? $car->kind($attribute) : null;
                if ($kind !== null) {
                    $typed[$attribute->value][$kind] = ($typed[$attribute->value][$kind] ?? 0) + 1;
                }
            }
        }
        $names = [];
        foreach ($typed as $key => $counts) {
            $known = $catalogue->namesOf(CarAttribute::from($key));
            // What most say is the name; of two that are said as often, the first by the alphabet.
            ksort($counts);
            arsort($counts);
            foreach (array_map(strval(...), array_keys($counts)) as $name) {
                $said = self::listed($catalogue, CarAttribute::from($key), $name) ?? PartName::among($name, $known);
                if ($said === null) {
                    $known[] = $name;
                }
                $names[$key][$name] = $said ?? $name;
            }
        }

        return new self($names);
    }

    /** The same car, its kinds by the names of the class. */
    public function in(Car $car): Car
    {
        foreach ($this->names as $key => $names) {
            $attribute = CarAttribute::from($key);
            $typed = $car->kind($attribute);
            if ($typed !== null && isset($names[$typed]) && $names[$typed] !== $typed) {
                $car = $car->with($attribute, $names[$typed]);
            }
        }

        return $car;
    }

    /**
     * Names that were spelt in several ways.
     *
     * @return array<string, array<string, list<string>>> how it was typed, by the value of a CarAttribute and the name
     */
    public function several(): array
    {
        $several = [];
        foreach ($this->names as $key => $names) {
            foreach ($names as $typed => $name) {
                $several[$key][$name][] = (string) $typed;
            }
            $several[$key] = array_filter($several[$key], static fn(array $ways): bool => count($ways) > 1);
        }

        return array_filter($several);
    }

    private static function listed(Catalogue $catalogue, CarAttribute $attribute, string $name): ?string
    {
        foreach (PartKind::cases() as $kind) {
            if ($kind->named() === $attribute) {
                return $catalogue->named($kind, $name)?->name;
            }
        }

        return null;
    }
}
