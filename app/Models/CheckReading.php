<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\MadeBySomebody;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Side;

/**
 * One item of a car's check card, as it stands now.
 *
 * @property int $id
 * @property int $car_id
 * @property int|null $user_id who filled it in, at a desk
 * @property CheckItem $item
 * @property Side|null $side
 * @property bool|null $answer
 * @property string|null $note
 * @property CarbonImmutable $updated_at
 */
final class CheckReading extends Model
{
    use MadeBySomebody;

    protected $fillable = ['user_id', 'device_id', 'item'];

    protected $casts = ['item' => CheckItem::class, 'side' => Side::class, 'answer' => 'boolean', 'updated_at' => 'immutable_datetime'];

    public function toCore(): Reading
    {
        return new Reading($this->item, $this->entry('first'), $this->entry('second'), $this->side, $this->answer, $this->note);
    }

    public function put(Reading $reading): void
    {
        foreach (['first' => $reading->first, 'second' => $reading->second] as $name => $entry) {
            $this->attributes["{$name}_si"] = $entry?->quantity->si();
            $this->attributes["{$name}_entered"] = $entry?->text;
        }
        $this->side = $reading->side;
        $this->answer = $reading->answer;
        $this->note = $reading->note;
    }

    private function entry(string $name): ?Entry
    {
        $si = $this->attributes["{$name}_si"] ?? null;
        // What a second reading is of: after which distance, or the other side; both are lengths.
        $dimension = $name === 'second' ? Dimension::Length : $this->item->dimension();

        return is_numeric($si)
            ? new Entry(Quantity::fromSi((float) $si, $dimension), (string) ($this->attributes["{$name}_entered"] ?? ''))
            : null;
    }
}
