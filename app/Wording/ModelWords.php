<?php

declare(strict_types=1);

namespace App\Wording;

use App\Reading\ClassFindings;
use App\Reading\ClassRecord;
use Skivo\Core\Car\CheckCard;
use Skivo\Core\Car\CheckItem;
use Skivo\Core\Car\CheckVerdict;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\Setting;
use Skivo\Core\Statistics\Interval;

/** How the model and a class agree, in words. */
final readonly class ModelWords
{
    /** A car for whose thrust over resistance a typical one would have come so many times as far lies off the line. */
    private const OFF_THE_LINE = 1.7;

    public function __construct(private ClassRecord $record, private ClassFindings $findings, private FindingWords $words) {}

    /**
     * What is recorded of a car that the model can't compute with.
     *
     * @param array<string, float> $beyond SI, by the value of a Setting
     */
    public static function beyond(array $beyond, UnitSystem $units): string
    {
        $said = [];
        foreach ($beyond as $key => $value) {
            $setting = Setting::from($key);
            [$least, $greatest] = $setting->limits();
            $show = static fn(float $si): string => $setting->scale() === null ? (string) +$si : $units->show($si, $setting->scale());
            $said[] = "{$setting->label()} {$show($value)} (it takes {$show($least)} to {$show($greatest)})";
        }

        return 'Beyond what the run model computes with: ' . Lists::and($said, 9) . '. So nothing is predicted of this car, and it is left out where the model is set to the class. Its runs count as any other’s.';
    }

    /** @return list<Sentence> */
    public function calibration(): array
    {
        $calibration = $this->findings->calibration;
        if ($calibration === null) {
            return [new Sentence('Too few cars to set the model to this class.', 'It takes three with a distance, and two whose friction or thrust is only estimated.')];
        }
        $said = [];
        $factor = static fn(float $value, Interval $interval): string => number_format($value, 2) . ' times (' . number_format($interval->low, 2) . ' to ' . number_format($interval->high, 2) . ')';
        if ($calibration->frictionInterval !== null) {
            $said[] = new Sentence('Friction here is ' . $factor($calibration->friction, $calibration->frictionInterval), 'what the parts say, over the cars where it was not measured.');
        }
        if ($calibration->dischargeInterval !== null) {
            $said[] = new Sentence('Air leaves at ' . $factor($calibration->discharge, $calibration->dischargeInterval), 'the model’s speed; thrust goes with its square.');
        } elseif ($calibration->areInseparable) {
            $said[] = new Sentence('Thrust is left as it is.', 'A weaker push and more friction look alike from where cars stop. Times over a set length, or a push on the scale, would tell.');
        }
        $percent = static fn(float $share): string => number_format(100 * $share) . ' %';
        $said[] = new Sentence('The model is off by', "{$percent($calibration->missBefore)} of the distance before, {$percent($calibration->missAfter)} after, and {$percent($calibration->missLeftOut)} for a car that it was not set by.", 'Root mean square. The last figure is the honest one: each car is left out in turn, and foretold from the others.');

        return $said;
    }

    /**
     * Cars that are not where the model has them, with what was noted of them; and those that lie off the line of the
     * others since their balloons blew over another stretch.
     *
     * @return list<array{Sentence, list<string>}>
     */
    public function offTheLine(): array
    {
        $said = [];
        $typical = $this->findings->balances[$this->findings->typical ?? 0] ?? null;
        if ($typical === null) {
            return [];
        }
        foreach ($this->findings->cars as $compared) {
            $car = (int) $compared->id;
            $balance = $this->findings->balances[$car] ?? null;
            if ($compared->sample->mean() <= 0.0) {
                // It never started: no ratio of distances is to be had.
                continue;
            }
            // How much farther a typical car with this ratio would have come.
            $times = ($this->findings->ratioOf($car) ?? 0.0) * $typical->stretchM / $compared->sample->mean();
            if ($balance !== null && ($times > self::OFF_THE_LINE || $times < 1.0 / self::OFF_THE_LINE)) {
                $said[] = [new Sentence(
                    "{$this->words->name($car)} lies " . ($times > 1.0 ? 'above' : 'below') . ' the others:',
                    "its balloon blew over {$this->words->distance($balance->stretchM)}, a typical one here over {$this->words->distance($typical->stretchM)}. "
                        . ($times > 1.0 ? 'A strong push that is soon over needs a larger thrust ÷ resistance to come as far.' : 'A push that lasts comes as far with a smaller thrust ÷ resistance.'),
                ), [(string) $car]];
            }
        }
        foreach ($this->findings->cars as $compared) {
            $balance = $this->findings->balances[(int) $compared->id] ?? null;
            $mean = $compared->sample->mean();
            if ($balance === null || $balance->distanceInterval->contains($mean)) {
                continue;
            }
            $short = $mean < $balance->distanceM;
            $noted = $this->noted((int) $compared->id);
            $said[] = [new Sentence(
                $this->words->name($compared->id) . ($short ? ' stopped short:' : ' outran the model:'),
                "{$this->words->distance($mean)}, where its forces would take it {$this->words->distance($balance->distanceInterval->low)} to {$this->words->distance($balance->distanceInterval->high)}."
                    . ($noted === [] ? ($short ? ' Nothing is noted of it: check it, and measure its friction.' : ' Measure its friction: it may be less than estimated.') : ' Noted: ' . Lists::and($noted, 9) . '.'),
            ), [$compared->id]];
        }

        return $said;
    }

    /** @return list<string> what was noted of a car that could make it stop short */
    public function noted(int $id): array
    {
        [$group, $car] = $this->words->cars[$id] ?? [null, null];
        if ($group === null || $car === null) {
            return [];
        }
        $card = $group->currentCar()?->id === $id ? $this->record->card($group) : null;
        $noted = array_map(static fn(CheckItem $item): string => match ($item) {
            CheckItem::Spin => 'wheels that stop soon',
            CheckItem::EndPlay => 'its end play',
            CheckItem::Wobble => 'a wheel that wobbles',
            CheckItem::Parallel => 'axles out of parallel',
            CheckItem::Drift => 'a drift when rolled by hand',
            CheckItem::Airtight => 'a leak at the joint',
            CheckItem::BalloonClears => 'a balloon that drags',
            CheckItem::NozzleStraight => 'a nozzle not straight or crushed',
            CheckItem::PointsOff => 'points left on',
        }, $card === null ? [] : $this->faulty($card));
        $tries = $this->record->tries($car);
        $drift = $tries->each(static fn(Run $run): ?float => $run->driftM === null || ($run->distanceM ?? 0.0) <= 0.0 ? null : abs($run->driftM) / $run->distanceM);
        if ($drift !== null && $drift->mean() > 0.08) {
            $noted[] = "a drift of {$this->record->challenge->units->show($drift->mean(), Scale::Slope)}";
        }
        $void = count($tries->void);
        if ($void > 0) {
            $noted[] = $void === 1 ? 'a void try' : "{$void} void tries";
        }

        return $noted;
    }

    /** @return list<CheckItem> */
    private function faulty(CheckCard $card): array
    {
        return array_values(array_filter([...$card->with(CheckVerdict::Fix), ...$card->with(CheckVerdict::Note)], static fn(CheckItem $item): bool => $item !== CheckItem::PointsOff));
    }
}
