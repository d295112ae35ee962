<?php

declare(strict_types=1);

namespace App\Pages\Film;

use App\Models\Challenge;
use App\Models\Reading;
use App\Models\Run;
use Skivo\Core\Motion\Trace\Coasting;
use Skivo\Core\Motion\Trace\ThrustEnd;
use Skivo\Core\Motion\Trace\Trace;
use Skivo\Core\Motion\Trace\TracePoint;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;

/** A run's newest trace with what it shows. */
final readonly class TraceReading
{
    private function __construct(
        public Trace $trace,
        public ?ThrustEnd $end,
        public ?Coasting $coasting,
        /** What the model has for f, from the car's parts; null where it can say nothing of the car. */
        public ?float $modelFriction,
        /** What it was worked out from, where that is a film. */
        public ?FilmReading $film,
        /** Of the run in one picture: a JPEG as base64. */
        public ?string $picture,
    ) {}

    /** Null where the run has no trace. */
    public static function of(Challenge $challenge, Run $run): ?self
    {
        $reading = $run->readings()->where('kind', 'trace')->reorder('measured_at', 'desc')->first();
        if ($reading === null) {
            return null;
        }
        try {
            $settings = CarModel::of(
                $run->car->choices,
                $challenge->catalogue(),
                $challenge->surface,
                $challenge->air_temperature_c,
            )->settings;
        } catch (BeyondModelException) {
            $settings = null;
        }
        $vehicle = $settings?->design()->vehicle;
        $trace = Trace::of(self::points($reading));
        $film = FilmReading::kept($challenge, $run, $reading);

        // A film's own fit says more than the bare trace, and both at once would be two answers.
        return new self(
            $trace,
            $film === null ? $trace->endOfThrust() : null,
            $film === null && $vehicle !== null ? $trace->coasting(1.0 + $vehicle->wheelEquivalentMassKg / $vehicle->massKg) : null,
            $settings?->rollingCoefficient(),
            $film,
            $reading->data['film']['picture'] ?? null,
        );
    }

    /** @return list<TracePoint> its motion: as a film's fit has it, or else as the local fits do */
    public function motion(): array
    {
        return $this->film === null ? $this->trace->points : array_map(
            static fn(array $at): TracePoint => new TracePoint($at[0], $at[1], $at[2], $at[3], 0.0, 0.0),
            $this->film->run->fitted(),
        );
    }

    /** Where along the lane (m) the push ended; null where nothing shows it. */
    public function pushEndedAtM(): ?float
    {
        $limp = $this->film?->run->limpAt;

        return $this->end->placeM ?? ($limp === null ? null : $limp->value + $this->film->run->startsAtM);
    }

    /** @return list<TracePoint> every so many points, no more than asked for */
    public function thinned(int $most = 60): array
    {
        $step = max(1, (int) ceil(count($this->trace->points) / $most));

        return array_values(array_filter($this->trace->points, static fn(int $index): bool => $index % $step === 0, ARRAY_FILTER_USE_KEY));
    }

    /** @return list<array{float, float}> */
    private static function points(Reading $reading): array
    {
        return array_map(
            static fn(array $point): array => [(float) $point[0], (float) $point[1]],
            array_values($reading->data['points'] ?? []),
        );
    }
}
