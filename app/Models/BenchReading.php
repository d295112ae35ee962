<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Measurement\Entry;

/**
 * One repeat of a bench test. What was typed over stays on record.
 *
 * @property int $id
 * @property int $car_id
 * @property int|null $user_id
 * @property BenchTest $test
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $deleted_at when it was typed over
 */
final class BenchReading extends Model
{
    use SoftDeletes;

    private const COLUMNS = ['first', 'second', 'third'];

    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'test'];

    protected $casts = ['test' => BenchTest::class, 'made_at' => 'immutable_datetime', 'deleted_at' => 'immutable_datetime'];

    /** @return list<float> SI, one for each field of the test; fewer where a field was added since */
    public function values(): array
    {
        $values = [];
        foreach (array_keys($this->test->fields()) as $index) {
            $si = $this->attributes[self::COLUMNS[$index] . '_si'] ?? null;
            if (is_numeric($si)) {
                $values[] = (float) $si;
            }
        }

        return $values;
    }

    /** @return list<string> as typed */
    public function texts(): array
    {
        return array_map(
            fn(int $index): string => (string) ($this->attributes[self::COLUMNS[$index] . '_entered'] ?? ''),
            array_keys($this->test->fields()),
        );
    }

    /** @param list<Entry> $entries one for each field */
    public function put(array $entries): void
    {
        foreach ($entries as $index => $entry) {
            $this->attributes[self::COLUMNS[$index] . '_si'] = $entry->quantity->si();
            $this->attributes[self::COLUMNS[$index] . '_entered'] = $entry->text;
        }
    }

}
