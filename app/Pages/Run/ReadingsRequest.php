<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Forms\RowsOfNumbers;
use App\Language\Text;
use App\Models\Device;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Motion\Trace\Trace;

/** What an instrument posts: up to a hundred readings, as docs/formats.md has them. */
final class ReadingsRequest extends FormRequest
{
    public const MOST = 100;

    /** Points of all their traces together. */
    public const MOST_POINTS = 50_000;

    /** Clocks differ; more than this ahead is no measurement (s). */
    private const AHEAD = 120;

    /** What is older was not measured on this run day (h). */
    private const OLDEST = 24;

    /** How many there are before what they are. */
    protected function prepareForValidation(): void
    {
        $readings = $this->input('readings');
        $points = array_sum(array_map(
            static fn(mixed $each): int => is_array($each) && is_array($each['points'] ?? null) ? count($each['points']) : 0,
            is_array($readings) ? $readings : [],
        ));
        if (is_array($readings) && (count($readings) > self::MOST || $points > self::MOST_POINTS)) {
            throw ValidationException::withMessages(
                ['readings' => Text::of('trace.form.too_much_at_once', ['most' => self::MOST, 'points' => self::MOST_POINTS])],
            );
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'readings' => ['required', 'array', 'min:1', 'max:' . self::MOST],
            'readings.*' => ['array:id,kind,lane,at,position_m,t_s,points,value_kg'],
            'readings.*.id' => ['required', 'uuid'],
            'readings.*.kind' => ['required', Rule::in(['gate', 'trace', 'mass', 'thrust'])],
            'readings.*.at' => [
                'bail',
                'required',
                'string',
                'date_format:Y-m-d\TH:i:s.v\Z,Y-m-d\TH:i:s\Z',
                'after:' . now()->subHours(self::OLDEST)->toIso8601String(),
                'before:' . now()->addSeconds(self::AHEAD)->toIso8601String(),
            ],
            'readings.*.lane' => ['required_if:readings.*.kind,gate,trace', 'integer', 'between:1,' . Limits::MOST_LANES],
            'readings.*.position_m' => ['required_if:readings.*.kind,gate', 'numeric', 'between:0,100'],
            'readings.*.t_s' => ['required_if:readings.*.kind,gate', 'numeric', 'between:0,1000000000'],
            'readings.*.points' => ['bail', 'required_if:readings.*.kind,trace', 'array', new RowsOfNumbers(
                Trace::FEWEST,
                Trace::MOST,
                [[-1000.0, 100000.0], [-1000.0, 100000.0]],
                Text::of('trace.form.points', ['fewest' => Trace::FEWEST, 'most' => Trace::MOST]),
            )],
            'readings.*.value_kg' => ['required_if:readings.*.kind,mass,thrust', 'numeric', 'between:-20,20'],
        ];
    }

    public function device(): Device
    {
        $device = $this->user();

        return $device instanceof Device ? $device : throw new \LogicException('Readings come from a device.');
    }

    /** @return list<array<string, mixed>> by column */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->validated('readings') as $reading) {
            $rows[] = [
                'id' => strtolower((string) $reading['id']),
                'challenge_id' => $this->device()->challenge_id,
                'device_id' => $this->device()->id,
                'kind' => $reading['kind'],
                'lane' => $reading['lane'] ?? null,
                'data' => json_encode(
                    match ($reading['kind']) {
                        'gate' => ['position_m' => (float) $reading['position_m'], 't_s' => (float) $reading['t_s']],
                        'trace' => [
                            'points' => array_map(
                                static fn(array $point): array => [(float) array_values($point)[0], (float) array_values($point)[1]],
                                array_values($reading['points']),
                            ),
                        ],
                        default => ['value_kg' => (float) $reading['value_kg']],
                    },
                    JSON_THROW_ON_ERROR,
                ),
                'measured_at' => CarbonImmutable::parse($reading['at'])->format('Y-m-d H:i:s.vP'),
                'received_at' => now()->format('Y-m-d H:i:s.vP'),
            ];
        }

        return $rows;
    }
}
