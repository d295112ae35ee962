<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Choice;
use Skivo\Core\Car\MassSum;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Car\Step;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** What a challenge leaves free, what it holds equal to the kit, and the limits on what a car may be built of. */
final readonly class Rules
{
    /** Two parts are held equal when their measures agree to a tenth: hand-made parts differ. Common practice, no source. */
    private const SAME_WITHIN = 0.1;

    /** What is compared of a part that is held equal. */
    private const HELD = [
        'chassis' => [Choice::Chassis, Choice::ChassisLength, Choice::ChassisWidth],
        'axles' => [Choice::Bearing, Choice::AxleDiameter, Choice::Wheelbase],
        'wheels' => [Choice::WheelKind, Choice::WheelDiameter],
        'power' => [Choice::Balloons, Choice::BalloonNominal],
        'nozzle' => [Choice::NozzleKind, Choice::NozzleBore, Choice::NozzleOutlets, Choice::NozzleLength],
        'mass' => [Choice::Mass],
        'floor' => [Choice::Surface],
    ];

    /**
     * @param list<Step> $free what groups may vary; the rest is held equal to the kit
     * @param array<string, list<string>> $allowed names that a part may have, by the value of a PartKind; any where left out or empty
     */
    public function __construct(
        public array $free = [Step::Chassis, Step::Axles, Step::Wheels, Step::Power, Step::Nozzle, Step::Mass, Step::Floor],
        public ?int $mostBalloons = null,
        public ?int $mostStraws = null,
        public ?float $heaviestKg = null,
        public ?float $longestM = null,
        public array $allowed = [],
        public bool $pushIsFoul = true,
    ) {}

    /** @return list<VoidReason> why a try may be void */
    public function voidReasons(): array
    {
        $reasons = [];
        foreach (VoidReason::cases() as $reason) {
            if ($reason !== VoidReason::Pushed || $this->pushIsFoul) {
                $reasons[] = $reason;
            }
        }

        return $reasons;
    }

    public function isFreeDesign(): bool
    {
        return count($this->free) === count(Step::cases());
    }

    /** @return list<Step> */
    public function held(): array
    {
        return array_values(array_filter(Step::cases(), fn(Step $step): bool => !in_array($step, $this->free, true)));
    }

    /**
     * How a car breaks the rules. What it has no record of breaks none.
     *
     * @param Car $kit what the held parts must equal
     *
     * @return list<Breach>
     */
    public function breaches(Car $car, Car $kit, UnitSystem $units): array
    {
        return [...$this->limits($car, $units), ...$this->names($car), ...$this->differences($car, $kit, $units)];
    }

    /** Drinking straws in the car: its nozzle's tubes, and a bearing on each axle. */
    public static function straws(Car $car): int
    {
        $tubes = 1 + ($car->number(Choice::WiderBore) === null ? 0 : 1) + ($car->number(Choice::WidestBore) === null ? 0 : 1);
        $inNozzle = str_contains($car->kind(Choice::NozzleKind) ?? '', 'straw') ? $tubes * (int) ($car->number(Choice::NozzleOutlets) ?? 1) : 0;

        return $inNozzle + (str_contains($car->kind(Choice::Bearing) ?? '', 'straw') ? 2 : 0);
    }

    /** @return list<Breach> */
    private function limits(Car $car, UnitSystem $units): array
    {
        $breaches = [];
        $balloons = (int) ($car->number(Choice::Balloons) ?? 1);
        if ($this->mostBalloons !== null && $balloons > $this->mostBalloons) {
            $breaches[] = new Breach('balloons', "It has {$balloons} balloons; the rules allow {$this->mostBalloons}.");
        }
        $straws = self::straws($car);
        if ($this->mostStraws !== null && $straws > $this->mostStraws) {
            $breaches[] = new Breach('straws', "It has {$straws} straws; the rules allow {$this->mostStraws}.");
        }
        $mass = MassSum::of($car)->massKg();
        if ($this->heaviestKg !== null && $mass !== null && $mass > $this->heaviestKg * (1 + 1e-9)) {
            $breaches[] = new Breach('heaviest', "It weighs {$units->show($mass, Scale::Weight)}; the rules allow {$units->show($this->heaviestKg, Scale::Weight)}.");
        }
        $length = $car->number(Choice::ChassisLength);
        if ($this->longestM !== null && $length !== null && $length > $this->longestM * (1 + 1e-9)) {
            $breaches[] = new Breach('longest', "Its chassis is {$units->show($length, Scale::Body)} long; the rules allow {$units->show($this->longestM, Scale::Body)}.");
        }

        return $breaches;
    }

    /** @return list<Breach> */
    private function names(Car $car): array
    {
        $breaches = [];
        foreach ([[PartKind::Chassis, Choice::Chassis], [PartKind::Wheel, Choice::WheelKind], [PartKind::Nozzle, Choice::NozzleKind]] as [$kind, $choice]) {
            $allowed = $this->allowed[$kind->value] ?? [];
            $name = $car->kind($choice);
            if ($allowed !== [] && $name !== null && !in_array(mb_strtolower($name), array_map(mb_strtolower(...), $allowed), true)) {
                $breaches[] = new Breach("allowed-{$kind->value}", "{$choice->label()} is “{$name}”; the rules allow " . implode(', ', $allowed) . '.');
            }
        }

        return $breaches;
    }

    /** @return list<Breach> */
    private function differences(Car $car, Car $kit, UnitSystem $units): array
    {
        $breaches = [];
        foreach ($this->held() as $step) {
            foreach (self::HELD[$step->value] as $choice) {
                $scale = $choice->scale();
                if ($scale === null) {
                    [$has, $should] = [$car->kind($choice), $kit->kind($choice)];
                    $differs = $has !== null && $should !== null && mb_strtolower($has) !== mb_strtolower($should);
                } else {
                    [$is, $meant] = [$car->number($choice), $kit->number($choice)];
                    $differs = $is !== null && $meant !== null && abs($is - $meant) > self::SAME_WITHIN * $meant;
                    [$has, $should] = [$is === null ? '' : $units->show($is, $scale), $meant === null ? '' : $units->show($meant, $scale)];
                }
                if ($differs) {
                    $breaches[] = new Breach("held-{$choice->value}", "{$choice->label()} is {$has}; it is held equal, and the kit has {$should}.");
                }
            }
        }

        return $breaches;
    }
}
