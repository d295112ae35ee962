<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Car\Attribute\AttributeRole;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\MassSum;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\PartTrait;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;

/** What a challenge leaves free, what it holds equal to the kit, and the limits on what a car may be built of. */
final readonly class Rules
{
    /** Two parts are held equal when their measures agree to a tenth: hand-made parts differ. Common practice, no source. */
    private const SAME_WITHIN = 0.1;

    /** The kinds of parts that a rule may limit to some. */
    private const LIMITED = [PartKind::Chassis, PartKind::Wheel, PartKind::Nozzle];

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
        /** Where the parts are looked up by their names; the standard one where null. */
        private ?Catalogue $catalogue = null,
    ) {}

    /**
     * What is recorded of every car of such a challenge: what the class asks about, what groups may vary, and what a scale shows.
     *
     * @return list<CarAttribute> in the order in which cars are built
     */
    public function recorded(?CarAttribute $asked): array
    {
        $varied = $this->isFreeDesign()
            ? CarAttribute::inRole(static fn(AttributeRole $role): bool => $role->tellsApart)
            : array_merge(...array_map(
                self::compared(...),
                $this->free === [] ? [Step::Mass] : $this->free,
            ));
        $columns = array_filter([...$varied, CarAttribute::Mass, $asked]);

        return array_values(array_filter(CarAttribute::recorded(), static fn(CarAttribute $each): bool => in_array($each, $columns, true)));
    }

    /**
     * @param list<EnergySource> $sources of the class's cars
     *
     * @return list<VoidReason> why a try may be void
     */
    public function voidReasons(array $sources = [EnergySource::Balloon]): array
    {
        $reasons = [];
        foreach (VoidReason::cases() as $reason) {
            $happens = array_filter($sources, $reason->happensTo(...)) !== [];
            if ($happens && ($reason !== VoidReason::Pushed || $this->pushIsFoul)) {
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
    public function breaches(Car $car, Car $kit): array
    {
        return [...$this->limits($car), ...$this->names($car), ...$this->differences($car, $kit)];
    }

    /** What they let groups change, and how far. */
    public function leeway(): Leeway
    {
        return new Leeway(
            $this->isFreeDesign() ? null : $this->free,
            array_filter([
                CarAttribute::Balloons->value => $this->mostBalloons === null ? null : (float) $this->mostBalloons,
                CarAttribute::NozzleOutlets->value => $this->mostStraws === null ? null : (float) $this->mostStraws,
                CarAttribute::Mass->value => $this->heaviestKg,
                CarAttribute::ChassisLength->value => $this->longestM,
            ], static fn(?float $most): bool => $most !== null),
            array_filter(array_combine(
                array_map(static fn(PartKind $kind): string => $kind->named()->value, self::LIMITED),
                array_map(fn(PartKind $kind): array => $this->allowed[$kind->value] ?? [], self::LIMITED),
            )),
        );
    }

    /** Straws in the car: its nozzle's tubes, and a bearing on each axle. */
    public static function straws(Car $car, Catalogue $catalogue): int
    {
        $has = static fn(PartKind $kind, PartTrait $trait): bool => $catalogue->named(
            $kind,
            $car->kind($kind->named()),
        )?->is($trait) === true;
        $tubes = 1 + ($car->number(CarAttribute::WiderBore) === null ? 0 : 1) + ($car->number(CarAttribute::WidestBore) === null ? 0 : 1);
        $inNozzle = $has(PartKind::Nozzle, PartTrait::Straw) ? $tubes * (int) ($car->number(CarAttribute::NozzleOutlets) ?? 1) : 0;

        return $inNozzle + ($has(PartKind::Bearing, PartTrait::TurnsInStraw) ? 2 : 0);
    }

    /** @return list<Breach> */
    private function limits(Car $car): array
    {
        $breaches = [];
        $balloons = (int) ($car->number(CarAttribute::Balloons) ?? 1);
        if ($this->mostBalloons !== null && $balloons > $this->mostBalloons) {
            $breaches[] = Breach::of('balloons', 'balloons', ['count' => $balloons, 'most' => $this->mostBalloons]);
        }
        $straws = self::straws($car, $this->catalogue ?? Catalogue::standard());
        if ($this->mostStraws !== null && $straws > $this->mostStraws) {
            $breaches[] = Breach::of('straws', 'straws', ['count' => $straws, 'most' => $this->mostStraws]);
        }
        $mass = MassSum::of($car)->massKg();
        if ($this->heaviestKg !== null && $mass !== null && $mass > $this->heaviestKg * (1 + 1e-9)) {
            $breaches[] = Breach::of(
                'heaviest',
                'heaviest',
                ['mass' => new Shown($mass, Scale::Weight), 'most' => new Shown($this->heaviestKg, Scale::Weight)],
            );
        }
        $length = $car->number(CarAttribute::ChassisLength);
        if ($this->longestM !== null && $length !== null && $length > $this->longestM * (1 + 1e-9)) {
            $breaches[] = Breach::of(
                'longest',
                'longest',
                ['length' => new Shown($length, Scale::Body), 'most' => new Shown($this->longestM, Scale::Body)],
            );
        }

        return $breaches;
    }

    /** @return list<Breach> */
    private function names(Car $car): array
    {
        $breaches = [];
        foreach (self::LIMITED as $kind) {
            $allowed = $this->allowed[$kind->value] ?? [];
            $name = $car->kind($kind->named());
            if ($allowed !== [] && $name !== null && !in_array(mb_strtolower($name), array_map(mb_strtolower(...), $allowed), true)) {
                $breaches[] = Breach::of(
                    "allowed-{$kind->value}",
                    'allowed',
                    ['attribute' => $kind->named(), 'name' => $name, 'allowed' => implode(', ', $allowed)],
                );
            }
        }

        return $breaches;
    }

    /** @return list<Breach> */
    private function differences(Car $car, Car $kit): array
    {
        $breaches = [];
        foreach ($this->held() as $step) {
            foreach (self::compared($step) as $choice) {
                if ($choice->isKind()) {
                    [$has, $should] = [$car->kind($choice), $kit->kind($choice)];
                    $differs = $has !== null && $should !== null && mb_strtolower($has) !== mb_strtolower($should);
                } else {
                    [$is, $meant] = [$car->number($choice), $kit->number($choice)];
                    $differs = $is !== null && $meant !== null && abs($is - $meant) > self::SAME_WITHIN * $meant;
                    [$has, $should] = [$choice->shown($is ?? 0.0, 0), $choice->shown($meant ?? 0.0, 0)];
                }
                if ($differs) {
                    $breaches[] = Breach::of("held-{$choice->value}", 'held', ['attribute' => $choice, 'has' => $has, 'should' => $should]);
                }
            }
        }

        return $breaches;
    }

    /** @return list<CarAttribute> what is compared of a part that is held equal */
    private static function compared(Step $step): array
    {
        return CarAttribute::inRole(static fn(AttributeRole $role): bool => $role->isHeld, $step);
    }
}
