<?php

declare(strict_types=1);

namespace App\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;

/**
 * A quantity in two columns: its SI value, with the unit in the name, and what was typed.
 *
 * AsEntry:length makes "distance" of distance_m and distance_entered.
 *
 * @implements CastsAttributes<Entry, Entry>
 */
final class AsEntry implements CastsAttributes
{
    private readonly Dimension $dimension;

    public function __construct(string $dimension)
    {
        $this->dimension = Dimension::from($dimension);
    }

    public function get(Model $model, string $key, mixed $value, array $attributes): ?Entry
    {
        $si = $attributes[self::column($key, $this->dimension)] ?? null;

        return is_numeric($si)
            ? new Entry(Quantity::fromSi((float) $si, $this->dimension), (string) ($attributes["{$key}_entered"] ?? ''))
            : null;
    }

    /** @return array<string, float|string|null> */
    public function set(Model $model, string $key, mixed $value, array $attributes): array
    {
        return [
            self::column($key, $this->dimension) => $value?->quantity->si(),
            "{$key}_entered" => $value?->text,
        ];
    }

    public static function column(string $key, Dimension $dimension): string
    {
        return $key . match ($dimension) {
            Dimension::Length => '_m',
            Dimension::Mass => '_kg',
            Dimension::Time => '_s',
            Dimension::Turns => '',
        };
    }
}
