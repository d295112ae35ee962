<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Per;

/**
 * What an educator changed on one line of the list of materials, or a line of their own.
 *
 * @property int $id
 * @property string|null $key
 * @property string|null $name
 * @property float|null $amount
 * @property Per|null $per
 * @property string|null $unit
 * @property bool $is_early
 * @property float|null $price
 * @property int|null $pack how many come in one
 */
final class MaterialLine extends Model
{
    protected $fillable = ['key', 'name', 'amount', 'per', 'unit', 'is_early', 'price', 'pack'];

    protected $casts = ['amount' => 'float', 'per' => Per::class, 'is_early' => 'boolean', 'price' => 'float', 'pack' => 'integer'];

    /** A line of their own. */
    public function toCore(): Material
    {
        return new Material(
            "own-{$this->id}",
            (float) $this->amount,
            $this->per ?? Per::Group,
            isEarly: $this->is_early,
            price: $this->price,
            ownName: (string) $this->name,
            ownUnit: $this->unit,
            pack: $this->pack,
        );
    }
}
