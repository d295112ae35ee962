<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\AsEntry;
use App\Models\Concerns\HoldsImmutableValues;
use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Physics\SizeMeasure;

/**
 * How large a balloon was after so many strokes of the class's pump.
 *
 * @property int $id
 * @property int $challenge_id
 * @property int $strokes
 * @property Entry $size
 * @property SizeMeasure $measured_as
 */
final class PumpReading extends Model
{
    use HoldsImmutableValues;

    public $timestamps = false;

    protected $fillable = ['strokes', 'size', 'measured_as'];

    protected $casts = ['strokes' => 'integer', 'size' => AsEntry::class . ':length', 'measured_as' => SizeMeasure::class];

    public function diameterM(): float
    {
        return $this->measured_as->diameterM($this->size->quantity->si());
    }
}
