<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\ElasticBand;

/** Values for the run model as they are gathered: what is known first stays, and what is recorded and lies beyond the model is noted. */
final class ModelValues
{
    /** @var array<string, float> in SI, by the value of a CarAttribute */
    private array $values = [];

    /** @var array<string, Origin> by the value of a CarAttribute */
    private array $origins = [];

    /** @var array<string, Beyond> by the value of a CarAttribute */
    private array $beyond = [];

    /**
     * @param float|null $value nothing is set where there is none
     * @param bool $isRecorded whether it stands on record itself, and does not only follow from what does
     */
    public function set(CarAttribute $setting, ?float $value, Origin $origin, bool $isRecorded = true): void
    {
        if ($value === null || isset($this->values[$setting->value])) {
            return;
        }
        [$least, $greatest] = $setting->limits();
        if ($value < $least || $value > $greatest) {
            // What nobody recorded is assumed anyway, and is assumed as the model can have it.
            if ($isRecorded && $origin !== Origin::Assumed) {
                $this->beyond[$setting->value] ??= new Beyond($value, $least, $greatest);
            }
            $value = max($least, min($greatest, $value));
        }
        $this->values[$setting->value] = $value;
        $this->origins[$setting->value] = $origin;
    }

    public function originOf(CarAttribute $setting): ?Origin
    {
        return $this->origins[$setting->value] ?? null;
    }

    /**
     * The filled balloon lies within what its rubber bears.
     *
     * @return float its diameter then (m)
     */
    public function keepWithinItsRubber(): float
    {
        $size = CarAttribute::BalloonSize;
        $relaxed = $this->value(CarAttribute::BalloonRelaxed);
        $filled = $this->value($size);
        $most = Balloon::GREATEST_STRETCH * $relaxed;
        if ($this->originOf($size) === Origin::Measured && ($filled < $relaxed || $filled > $most)) {
            $this->beyond[$size->value] ??= new Beyond($filled, $relaxed, $most);
        }

        return $this->values[$size->value] = max($relaxed, min($most, $filled));
    }

    /** A chain is as long, and is wound as often, as its rubber stands: what nobody recorded is assumed so. */
    public function keepWithinItsChain(EnergySource $source): void
    {
        $chain = CarAttribute::ChainLength;
        $least = $this->value(CarAttribute::InstalledLength) / ElasticBand::GREATEST_STRETCH;
        if ($this->value($chain) < $least) {
            $this->moveTo($chain, $least, $least, $chain->limits()[1]);
        }
        $turns = CarAttribute::TurnsWound;
        $most = max(0.0, Settings::of([$turns->value => 0.0] + $this->values, $source)->greatestTurns());
        if ($this->value($turns) > $most) {
            $this->moveTo($turns, $most, 0.0, $most);
        }
    }

    /** @throws BeyondModelException where something recorded lies beyond the model */
    public function settings(EnergySource $source): Settings
    {
        return $this->beyond === [] ? Settings::of($this->values, $source) : throw BeyondModelException::by($this->beyond);
    }

    /**
     * @param list<CarAttribute> $model
     *
     * @return array<string, Origin> of all of them; what nobody set is assumed
     */
    public function origins(array $model): array
    {
        $all = $this->origins;
        foreach ($model as $setting) {
            $all[$setting->value] ??= Origin::Assumed;
        }

        return $all;
    }

    private function value(CarAttribute $setting): float
    {
        return $this->values[$setting->value] ?? $setting->ruler()->typical;
    }

    private function moveTo(CarAttribute $setting, float $value, float $least, float $greatest): void
    {
        if (isset($this->values[$setting->value])) {
            $this->beyond[$setting->value] ??= new Beyond($this->values[$setting->value], $least, $greatest);
        }
        $this->values[$setting->value] = $value;
    }
}
