<?php

declare(strict_types=1);

namespace App\Pages\Film;

use App\Models\Car;
use App\Models\Challenge;
use App\Models\Reading;
use App\Models\Run;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Motion\Film\FilmedCar;
use Skivo\Core\Motion\Film\FilmedRun;
use Skivo\Core\Motion\Film\LaneScale;
use Skivo\Core\Motion\Film\SeenFilm;
use Skivo\Core\Motion\Film\UnreadableFilmException;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;

/** A film of a run, worked out with the car as its build sheet has it now. */
final readonly class FilmReading
{
    private const KEEP_SECONDS = 3600;

    private function __construct(
        public FilmedRun $run,
        public LaneScale $scale,
        public FilmedCar $car,
        public bool $isThroughBody,
    ) {}

    /**
     * @param Car|null $car null while nobody said whose run it is
     *
     * @throws UnreadableFilmException
     */
    public static function of(Challenge $challenge, ?Car $car, SeenFilm $seen): self
    {
        $scale = $seen->scale();
        $filmed = self::car($challenge, $car);

        return new self($seen->run($scale, $filmed), $scale, $filmed, $seen->sight->isThroughBody());
    }

    /** Of a trace that is kept: null where it comes from no film. */
    public static function kept(Challenge $challenge, Run $run, Reading $reading): ?self
    {
        if (!isset($reading->data['film']['seen'])) {
            return null;
        }
        $key = "film:{$reading->id}:{$challenge->revision()}:" . config('skivo.build');
        $held = Cache::get($key);
        if ($held instanceof self) {
            return $held;
        }
        try {
            $read = self::of($challenge, $run->car, SeenFilm::fromArray($reading->data['film']['seen']));
        } catch (UnreadableFilmException) {
            // It was readable with the car as it was then.
            return null;
        }
        Cache::put($key, $read, self::KEEP_SECONDS);

        return $read;
    }

    private static function car(Challenge $challenge, ?Car $car): FilmedCar
    {
        if ($car === null) {
            return FilmedCar::usual();
        }
        try {
            $model = CarModel::of($car->choices, $challenge->catalogue(), $challenge->surface, $challenge->air_temperature_c);

            return FilmedCar::of($model->settings, ($model->origins[CarAttribute::Mass->value] ?? null) === Origin::Measured);
        } catch (OutOfRangeException|BeyondModelException) {
            return FilmedCar::usual();
        }
    }
}
