<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Car\Attribute\NoseShape;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Release;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Geometry\MassSum;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Part;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\WheelMount;

/**
 * The one way from a recorded car to the run model: what the build sheet says is measured; what follows from
 * the kind of a part is taken from the catalogue; the rest is assumed.
 */
final readonly class CarModel
{
    /** The airtight check: for so long the nozzle is held closed (s). */
    private const CLOSED_FOR_S = 10.0;

    /**
     * @param array<string, Origin> $origins by the value of a CarAttribute
     * @param list<CarAttribute> $missing without which nothing can be said of how far it goes, and which nobody recorded
     */
    private function __construct(
        public Settings $settings,
        public array $origins,
        public array $missing = [],
    ) {}

    /**
     * A car that the model can compute with: what is recorded of it is in the settings as it stands, never nearer to what the model takes.
     *
     * @param string|null $surface of the challenge, where the car has none of its own
     * @param float|null $temperature of the air (°C); the usual one where it was not noted
     * @param PumpCurve|null $pump as the class measured it; a usual pump where it did not
     *
     * @throws BeyondModelException where something recorded lies beyond the model, or its drive is another
     */
    public static function of(
        Car $car,
        Catalogue $catalogue,
        ?string $surface = null,
        ?float $temperature = null,
        ?PumpCurve $pump = null,
    ): self {
        if (!self::isDriven($car, $catalogue)) {
            throw BeyondModelException::drivenByAnother();
        }
        $source = $car->source() ?? EnergySource::Balloon;
        // What belongs to another drive may be left on a build sheet, and says nothing of this one.
        $model = array_values(array_filter(CarAttribute::ofModel(), static fn(CarAttribute $each): bool => $each->belongsTo($source)));
        $values = new ModelValues();
        foreach ($model as $attribute) {
            $values->set($attribute, self::recorded($car, $attribute, $temperature), Origin::Measured);
        }
        if ($source->winds()) {
            foreach (self::ofBand($car, $catalogue) as $key => $value) {
                $values->set(CarAttribute::from($key), $value, Origin::Catalogue, isRecorded: false);
            }
        }
        $balloon = self::balloon($car, $catalogue);
        self::setByParts($values, $car, $catalogue, $balloon, $surface, $source);
        $missing = self::lacks($car, $source);
        if ($source->blows()) {
            $strokes = $car->number(CarAttribute::PumpStrokes);
            $filled = $strokes === null
                ? null
                : ($pump ?? PumpCurve::usual($balloon->value(CarAttribute::BalloonRelaxed)))->diameterM($strokes);
            $values->set(CarAttribute::BalloonSize, $filled, $pump === null ? Origin::Assumed : Origin::Measured);
            $isAssumed = $values->originOf(CarAttribute::BalloonSize) === Origin::Assumed;
            if ($values->keepWithinItsRubber() !== $filled && $strokes !== null && $isAssumed && !$car->has(CarAttribute::BalloonSize)) {
                // By a usual pump it would burst, so the pump is another: how full the balloon is, nobody knows.
                $missing[] = CarAttribute::BalloonSize;
            }
        }
        if ($source->winds()) {
            $values->keepWithinItsChain($source);
        }

        return new self($values->settings($source), $values->origins($model), $missing);
    }

    /** What is recorded of a car, as the model takes it; null where nothing is. A kind that the model takes as a number is 1 or 0. */
    private static function recorded(Car $car, CarAttribute $attribute, ?float $temperature): ?float
    {
        $is = static fn(\BackedEnum $option): ?float => $car->kind($attribute) === null
            ? null
            : (float) ($car->kind($attribute) === $option->value);

        return match ($attribute) {
            CarAttribute::BalloonSize => $car->balloonDiameterM(),
            CarAttribute::Mass => MassSum::of($car)->massKg(),
            CarAttribute::AirTemperature => $temperature,
            CarAttribute::WheelMount => $is(WheelMount::Spinning),
            CarAttribute::FilledBy => $is(FilledBy::Mouth),
            CarAttribute::BandEnd => $is(BandEnd::Tied),
            CarAttribute::ReleaseLoss => Release::tryFrom($car->kind(CarAttribute::Release) ?? '')?->extraLoss(),
            CarAttribute::ChainLength => $car->chainLengthM(),
            CarAttribute::NoseDrag => NoseShape::tryFrom($car->kind(CarAttribute::Nose) ?? '')?->dragCoefficient(),
            default => $car->number($attribute),
        };
    }

    /** What follows from the kinds of the parts; where nobody named one, from the usual one. */
    private static function setByParts(
        ModelValues $values,
        Car $car,
        Catalogue $catalogue,
        Part $balloon,
        ?string $surface,
        EnergySource $source,
    ): void {
        foreach (PartKind::cases() as $kind) {
            $name = $car->kind($kind->named());
            $known = match ($kind) {
                PartKind::Balloon => $car->number(CarAttribute::BalloonNominal) === null ? null : $balloon,
                PartKind::Surface => $catalogue->named($kind, $name ?? $surface),
                default => $catalogue->named($kind, $name),
            };
            foreach (CarAttribute::ofPart($kind) as $attribute) {
                if ($attribute->facts()->ruler !== null && $attribute->belongsTo($source)) {
                    $values->set(
                        $attribute,
                        ($known ?? $catalogue->usual($kind))->find($attribute),
                        $known === null ? Origin::Assumed : Origin::Catalogue,
                    );
                }
            }
        }
    }

    /** The same with a value that was measured by itself. */
    public function with(CarAttribute $setting, float $value): self
    {
        return new self($this->settings->with($setting, $value), [$setting->value => Origin::Measured] + $this->origins, $this->missing);
    }

    /** The same car under other settings, of which it is known as much. */
    public function as(Settings $settings): self
    {
        return new self($settings, $this->origins, $this->missing);
    }

    /**
     * The same with a leak, by the airtight check: closed, its full balloon loses so much of its diameter in ten seconds. The area is
     * that through which the lost air leaves at v = √(2p/ρ), by the pressure at the size in the middle.
     *
     * @param float|null $lostM null where nobody checked
     *
     * @throws BeyondModelException where more is lost than the model's leak lets out
     */
    public function leaking(?float $lostM): self
    {
        if ($lostM === null || $lostM <= 0.0 || !$this->source()->blows()) {
            return $this;
        }
        $design = $this->settings->design();
        $full = $design->balloon->inflatedDiameterM;
        $left = max($design->balloon->relaxedDiameterM, $full - $lostM);
        $pressure = $design->balloon->gaugePressurePa(($full + $left) / 2);
        $speed = sqrt(2.0 * $pressure / $design->jet()->densityKgM3());
        $area = $speed > 0.0 ? M_PI / 6 * ($full ** 3 - $left ** 3) / (self::CLOSED_FOR_S * $speed) : 0.0;

        [$least, $greatest] = CarAttribute::Leak->limits();

        return $area > $greatest
            ? throw BeyondModelException::by([CarAttribute::Leak->value => new Beyond($area, $least, $greatest)])
            : $this->with(CarAttribute::Leak, $area);
    }

    /** What drives it; a balloon where nobody said. */
    public function source(): EnergySource
    {
        return $this->settings->source;
    }

    public function count(Origin $origin): int
    {
        return count(array_filter($this->origins, static fn(Origin $each): bool => $each === $origin));
    }

    /** A nozzle that nobody knows, with no bore and no balloon, may be anything: what drives such a car is not known. */
    private static function isDriven(Car $car, Catalogue $catalogue): bool
    {
        $nozzle = $car->kind(CarAttribute::NozzleKind);
        $isStrange = $nozzle !== null && $catalogue->named(PartKind::Nozzle, $nozzle) === null && !$car->has(CarAttribute::NozzleBore)
            && !$car->has(CarAttribute::BalloonSize) && !$car->has(CarAttribute::BalloonNominal) && !$car->has(CarAttribute::PumpStrokes);

        return $car->source() !== null || !$isStrange;
    }

    /** @return list<CarAttribute> without which nothing can be said of how far it goes */
    private static function lacks(Car $car, EnergySource $source): array
    {
        return array_values(array_filter([
            !$source->blows() || $car->has(CarAttribute::NozzleBore) || $car->has(CarAttribute::NozzleKind)
                ? null
                : CarAttribute::NozzleBore,
            !$source->blows() || $car->has(CarAttribute::BalloonSize) || $car->has(CarAttribute::PumpStrokes)
                ? null
                : CarAttribute::BalloonSize,
            !$source->winds() || $car->chainLengthM() !== null ? null : CarAttribute::ChainLength,
            !$source->winds() || $car->has(CarAttribute::TurnsWound) ? null : CarAttribute::TurnsWound,
            !$source->rollsDown() || $car->has(CarAttribute::RampHeight) ? null : CarAttribute::RampHeight,
        ]));
    }

    /** @return array<string, float|null> what follows from where things are and what the rims are of, by the value of a CarAttribute */
    private static function ofBand(Car $car, Catalogue $catalogue): array
    {
        $layout = Layout::of($car, $catalogue);
        $mass = MassSum::of($car)->massKg();
        $ballast = min($mass ?? 0.0, $car->number(CarAttribute::Ballast) ?? 0.0);
        // Without ballast the weight is taken to lie over the middle of the chassis.
        $middle = $layout->body->length / 2;
        $share = $mass === null || $mass <= 0.0 || $ballast <= 0.0 ? 0.0 : $ballast / $mass;
        $centre = (1.0 - $share) * $middle + $share * ($car->number(CarAttribute::BallastPlace) ?? $layout->drivenAxle());
        $onDriven = $layout->axles->wheelbase > 0.0 ? 1.0 - abs($centre - $layout->drivenAxle()) / $layout->axles->wheelbase : 0.5;

        return [
            CarAttribute::InstalledLength->value => $layout->installedLength(),
            CarAttribute::WindingDiameter->value => $layout->band->windingDiameter,
            CarAttribute::DrivenLoadShare->value => max(0.05, min(1.0, $onDriven)),
            CarAttribute::Grip->value => Tyre::tryFrom($car->kind(CarAttribute::Tyre) ?? '')?->grip(),
        ];
    }

    private static function balloon(Car $car, Catalogue $catalogue): Part
    {
        $nominal = $car->number(CarAttribute::BalloonNominal);
        $balloons = $catalogue->of(PartKind::Balloon);
        if ($nominal === null) {
            return $catalogue->usual(PartKind::Balloon);
        }
        usort(
            $balloons,
            static fn(Part $a, Part $b): int => abs(
                $a->value(CarAttribute::BalloonNominal) - $nominal,
            ) <=> abs($b->value(CarAttribute::BalloonNominal) - $nominal),
        );

        return $balloons[0];
    }
}
