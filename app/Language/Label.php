<?php

declare(strict_types=1);

namespace App\Language;

use Illuminate\Support\Str;
use Skivo\Core\Bench\BenchField;
use Skivo\Core\Car\Attribute\CarAttribute;

/** The names of what the core knows by codes. */
final readonly class Label
{
    /**
     * @param string $what of it is named: its label, or what else lang/en/labels.php has of its class
     *
     * @throws \LogicException where lang/ has no such line
     */
    public static function of(\UnitEnum|BenchField $code, string $what = 'label'): string
    {
        $said = __($key = self::key($code, $what));

        return is_string($said) && $said !== $key ? $said : throw new \LogicException("{$key} is no line of lang/.");
    }

    /**
     * What to do about a caution, a line each.
     *
     * @return list<string>
     */
    public static function lines(\UnitEnum $code, string $what): array
    {
        return array_values(array_map(strval(...), (array) __(self::key($code, $what))));
    }

    /** Of a group's mark, as in "solid sail". */
    public static function mark(string $mark): string
    {
        [$shape, $fill] = [...explode('-', $mark), ''];

        return Text::of(
            'labels.mark.of',
            ['fill' => Text::of("labels.mark.fill.{$fill}"), 'shape' => Text::of("labels.mark.shape.{$shape}")],
        );
    }

    /** Of an attribute of a car, or of anything else, as it stands by itself. */
    public static function title(\UnitEnum|BenchField $code): string
    {
        return Str::ucfirst(self::of($code));
    }

    /** As it stands inside a sentence. */
    public static function inside(\UnitEnum|BenchField $code): string
    {
        return $code instanceof CarAttribute ? self::of($code) : Str::lcfirst(self::of($code));
    }

    private static function key(\UnitEnum|BenchField $code, string $what): string
    {
        return match (true) {
            $code instanceof CarAttribute => "car.{$code->value}",
            $code instanceof BenchField => "labels.bench_field.label.{$code->key}",
            default => 'labels.' . Str::snake(class_basename($code)) . ".{$what}." . Str::snake($code->name),
        };
    }
}
