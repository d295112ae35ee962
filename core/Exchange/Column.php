<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\SizeMeasure;

/** A column of a run table: of the group, of an attribute of its car, or of a run. */
final readonly class Column
{
    /** What the filled balloon's other measure is called; its diameter's name stands with the attribute. */
    private const CIRCUMFERENCE = 'balloon circumference';

    /**
     * @param string $name in the header, without the unit; part of the file format
     * @param CarAttribute|null $attribute of the car that it holds
     * @param SheetField|null $field of group or run that it holds, where it is no attribute of the car
     * @param SizeMeasure|null $measure in which it holds the filled balloon
     */
    private function __construct(
        public string $name,
        public ?CarAttribute $attribute = null,
        public ?SheetField $field = null,
        public ?SizeMeasure $measure = null,
    ) {}

    /** @return list<self> in their order: the group, its car in the order of the build, and the run */
    public static function all(): array
    {
        /** @var list<self>|null $all */
        static $all = null;

        return $all ??= [
            ...self::fields(static fn(SheetField $field): bool => !$field->isOfRun()),
            ...self::ofCar(),
            ...self::fields(static fn(SheetField $field): bool => $field->isOfRun()),
        ];
    }

    public static function of(SheetField $field): self
    {
        return new self($field->value, field: $field);
    }

    /** The column of that name, or null. */
    public static function named(string $name): ?self
    {
        $name = trim((string) preg_replace('/\s+/u', ' ', mb_strtolower($name)));
        foreach (self::all() as $column) {
            if ($column->name === $name) {
                return $column;
            }
        }

        return null;
    }

    /** Whether a sheet has the column even where it holds nothing. */
    public function isAlwaysThere(): bool
    {
        return $this->attribute?->facts()->isColumnAlwaysThere ?? $this->field?->isAlwaysThere() ?? false;
    }

    /** The unit of the column in a system of units; null where it has none. */
    public function unit(UnitSystem $units): ?Unit
    {
        return $this->attribute?->bareUnit($units) ?? (($scale = $this->field?->scale()) === null ? null : $units->unit($scale));
    }

    /** The header as written, as in "nozzle bore (mm)". */
    public function header(UnitSystem $units): string
    {
        $unit = $this->unit($units);

        return $unit === null ? $this->name : "{$this->name} ({$unit->value})";
    }

    /**
     * @param callable(SheetField): bool $holds
     *
     * @return list<self>
     */
    private static function fields(callable $holds): array
    {
        return array_values(array_map(self::of(...), array_filter(SheetField::cases(), $holds)));
    }

    /** @return list<self> */
    private static function ofCar(): array
    {
        $columns = [];
        foreach (CarAttribute::recorded() as $attribute) {
            $isBalloon = $attribute === CarAttribute::BalloonSize;
            $columns[] = new self(
                $attribute->facts()->column ?? $attribute->value,
                $attribute,
                measure: $isBalloon ? SizeMeasure::Diameter : null,
            );
            if ($isBalloon) {
                $columns[] = new self(self::CIRCUMFERENCE, $attribute, measure: SizeMeasure::Circumference);
            }
        }

        return $columns;
    }
}
