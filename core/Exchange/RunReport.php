<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Simulation\BalloonRun;
use Skivo\Core\Simulation\ElasticRun;
use Skivo\Core\Simulation\Moment;

/** A simulated run as the JSON of docs/run.schema.json. */
final readonly class RunReport
{
    /** @return array<string, mixed> of a car with a wound band */
    public static function ofElastic(ElasticRun $run): array
    {
        $free = $run->driveEnd;

        return [
            'moves' => $run->moves,
            'distance_m' => $run->distanceM,
            'stop_time_s' => $run->stopTimeS,
            'peak_speed_m_s' => $run->peakSpeedMS,
            'slip_time_s' => $run->slipTimeS,
            'initial' => [
                'band_force_n' => $run->initialBandForceN, 'drive_force_n' => $run->initialDriveForceN, 'slips' => $run->slipsAtFirst,
            ],
            'band_free' => $free === null
                ? null
                : ['time_s' => $free->timeS, 'distance_m' => $free->distanceM, 'speed_m_s' => $free->speedMS],
            'energy_j' => [
                'stored' => $run->energy->stored,
                'drive_work' => $run->energy->push,
                'rolling' => $run->energy->rolling,
                'drag' => $run->energy->drag,
                'slip' => $run->energy->slip,
            ],
        ];
    }

    /** @return array<string, mixed> */
    public static function of(BalloonRun $run): array
    {
        $empty = $run->driveEnd;
        $report = [
            'moves' => $run->moves,
            'distance_m' => $run->distanceM,
            'stop_time_s' => $run->stopTimeS,
            'peak_speed_m_s' => $run->peakSpeedMS,
            'impulse_n_s' => $run->impulseNS,
            'initial' => [
                'gauge_pressure_pa' => $run->initialGaugePressurePa,
                'exit_speed_m_s' => $run->initialExitSpeedMS,
                'thrust_n' => $run->initialThrustN,
                'flow_m3_s' => $run->initialFlowM3S,
            ],
            'balloon_empty' => $empty === null ? null : [
                'time_s' => $empty->timeS,
                'distance_m' => $empty->distanceM,
                'speed_m_s' => $empty->speedMS,
            ],
            'energy_j' => [
                'stored' => $run->energy->stored,
                'thrust_work' => $run->energy->push,
                'rolling' => $run->energy->rolling,
                'drag' => $run->energy->drag,
            ],
        ];
        if ($run->trajectory !== []) {
            $report['trajectory'] = array_map(
                static fn(Moment $moment): array => [
                    't_s' => $moment->timeS,
                    'x_m' => $moment->distanceM,
                    'v_m_s' => $moment->speedMS,
                    'thrust_n' => $moment->thrustN,
                    'resistance_n' => $moment->resistanceN,
                    'drag_n' => $moment->dragN,
                    'volume_m3' => $moment->volumeM3,
                ],
                $run->trajectory,
            );
        }

        return $report;
    }
}
