<?php

declare(strict_types=1);

namespace App\Language;

use App\Record\LaneForecast;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** How far one more try of a car will go, in words: one forecast, said the same wherever it stands. */
final readonly class ForecastWords
{
    /** A chance of not starting below this is not worth a word. */
    private const WORTH_SAYING = 0.03;

    /** A car that fails to start more often than this has no distance worth a word. */
    private const HARDLY_STARTS = 0.5;

    public function __construct(private UnitSystem $units) {}

    /** As in "2.1 m to 5.4 m". */
    public function band(Forecast $forecast): string
    {
        return Text::of('dry_run.dry_run.to', [
            'low' => $this->distance($forecast->band95->low), 'high' => $this->distance($forecast->band95->high),
        ]);
    }

    /** As in "2.1 m to 5.4 m, because not everything is measured yet.", or that nobody knows. */
    public function whereItStops(Forecast $forecast): string
    {
        return $forecast->saysWhere()
            ? Text::of('dry_run.forecast.not_measured', ['band' => $this->band($forecast)])
            : Text::of('dry_run.forecast.no_band');
    }

    /** As in "210 – 540", for a column whose head has the unit; too wide a band is no figure. */
    public function figures(Forecast $forecast): string
    {
        if (!$forecast->saysWhere()) {
            return Text::of('dry_run.forecast.open');
        }

        return $this->units->figure($forecast->band95->low, Scale::Distance) . ' – ' . $this->units->figure(
            $forecast->band95->high,
            Scale::Distance,
        );
    }

    /** As in "3.4 m, most likely 2.1 m to 5.4 m; in 6 of 100 tries it does not start". */
    public function said(Forecast $forecast): string
    {
        if (!$forecast->saysWhere()) {
            return Text::of('dry_run.forecast.too_little_is_known');
        }
        $band = ['median' => $this->distance($forecast->medianM), 'band' => $this->band($forecast)];

        return $forecast->noStart < self::WORTH_SAYING
            ? Text::of('dry_run.forecast.about', $band)
            : Text::of('dry_run.forecast.about_or_no_start', $band + ['share' => max(1, (int) round(100 * $forecast->noStart))]);
    }

    /** What measuring the friction would make of it. */
    public function onceMeasured(Forecast $once): string
    {
        return Text::of('dry_run.forecast.once_measured', ['band' => $this->band($once)]);
    }

    /** Whether the lane is long enough for a usual car. */
    public function lane(LaneForecast $lane): string
    {
        if ($lane->forecast->noStart > self::HARDLY_STARTS) {
            return Text::of('dry_run.forecast.usual_car_hardly_starts');
        }

        $beyond = $lane->forecast->beyond($lane->laneM);

        return Text::of(
            $lane->forecast->saysWhere() ? 'dry_run.forecast.usual_car' : 'dry_run.forecast.usual_car_open',
            ['band' => $this->band($lane->forecast), 'lane' => $this->units->show($lane->laneM, Scale::Lane)],
        )
            . ' ' . (
                $beyond < self::WORTH_SAYING
                    ? ''
                    : Text::of('dry_run.forecast.passes_the_end', ['share' => max(1, (int) round(100 * $beyond))]) . ' '
            )
            . Text::of($lane->isShort() ? 'dry_run.forecast.lane_is_short' : 'dry_run.forecast.lane_is_long_enough');
    }

    /** Whether a car stopped short: only outside the band of what could be said before its runs. */
    public function isShort(float $meanM, Forecast $before): string
    {
        return Text::of(match (true) {
            $meanM < $before->band95->low => 'dry_run.forecast.below_its_band',
            $before->saysWhere() => 'dry_run.forecast.inside_its_band',
            default => 'dry_run.forecast.not_called_short',
        }, [
            'mean' => $this->distance($meanM), 'band' => $this->band($before),
        ]);
    }

    public function distance(float $metres): string
    {
        return $this->units->show($metres, Scale::Distance);
    }
}
