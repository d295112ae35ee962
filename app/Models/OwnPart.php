<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Car\Part;
use Skivo\Core\Car\PartKind;

/**
 * A part that an educator added to the catalogue for one challenge.
 *
 * @property int $id
 * @property PartKind $kind
 * @property string $name
 * @property array<string, float> $values
 * @property string $origin
 */
final class OwnPart extends Model
{
    protected $fillable = ['kind', 'name', 'values', 'origin'];

    protected $casts = ['kind' => PartKind::class, 'values' => 'array'];

    public function toCore(): Part
    {
        return new Part($this->kind, $this->name, array_map(floatval(...), $this->values), $this->origin);
    }
}
