<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Language\Text;
use App\Models\Challenge;
use App\Models\Reading;
use Illuminate\Support\Collection;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Motion\Trace\GateTimes;
use Skivo\Core\Motion\Trace\Trace;
use Skivo\Core\Motion\Trace\UnreadableTraceException;

/** What instruments saw at each lane since the last run was logged there, as what it fills into the fields of the next. */
final readonly class WaitingReadings
{
    /** What is older belongs to a run that nobody logged. */
    private const MINUTES = 10;

    /** @return array<int, array{ids: string, fields: array<string, string>, said: string}> by lane; 0 for those of no lane */
    public static function of(Challenge $challenge): array
    {
        $waiting = $challenge->readings()->whereNull('run_id')->where(
            'measured_at',
            '>',
            now()->subMinutes(self::MINUTES),
        )->limit(500)->get();
        $lanes = [];
        foreach ($waiting->groupBy(static fn(Reading $reading): int => $reading->lane ?? 0) as $lane => $readings) {
            $fields = self::fields($challenge, $readings->toBase());
            if ($fields !== []) {
                $lanes[(int) $lane] = [
                    'ids' => $readings->pluck('id')->implode(','), 'fields' => $fields, 'said' => self::inWords($fields),
                ];
            }
        }

        return $lanes;
    }

    /**
     * @param Collection<int, Reading> $readings
     *
     * @return array<string, string> as one would type them
     */
    private static function fields(Challenge $challenge, Collection $readings): array
    {
        $units = $challenge->units;
        $timed = $challenge->timed_length?->quantity->si();
        $fields = [];
        $length = static fn(float $metres): string => $units->figure(max(0.0, $metres), Scale::Distance)
            . ' '
            . $units->symbol(Scale::Distance);
        $seconds = static fn(float $time): string => number_format($time, 3, '.', '');
        $trace = $readings->last(static fn(Reading $reading): bool => $reading->kind === 'trace');
        if (isset($trace?->data['film'])) {
            $fields = $trace->data['film']['fills'] ?? [];
        } elseif ($trace !== null) {
            try {
                $seen = Trace::of($trace->data['points'] ?? []);
                if ($seen->moves()) {
                    $end = $seen->endOfThrust();
                    $time = $timed === null ? null : $seen->timeOver($timed);
                    $fields = ['distance' => $length($seen->distance()), 'total_time' => $seconds($seen->duration())]
                        + ($end === null ? [] : ['limp' => $length($end->placeM)])
                        + ($time === null ? [] : ['time' => $seconds($time)]);
                }
            } catch (UnreadableTraceException) {
                // Too little of it arrived to tell anything.
            }
        }
        $crossings = array_values($readings->filter(static fn(Reading $reading): bool => $reading->kind === 'gate')
            ->map(
                static fn(Reading $reading): array => [
                    (float) ($reading->data['position_m'] ?? 0.0), (float) ($reading->data['t_s'] ?? 0.0),
                ],
            )->all());
        $gated = $timed === null || $crossings === [] ? null : GateTimes::of($crossings)->over($timed);

        return ($gated === null ? [] : ['time' => $seconds($gated)]) + $fields;
    }

    /** @param array<string, string> $fields */
    private static function inWords(array $fields): string
    {
        $said = [];
        foreach ($fields as $field => $value) {
            $said[] = Text::of("run.waiting_readings.{$field}", ['value' => $value]);
        }

        return implode(', ', $said);
    }
}
