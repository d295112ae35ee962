<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\DrivenEnd;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\NoseShape;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\Part;

/**
 * Where everything on a car is (m): x forward from the rear end of the chassis, y up from the floor, z to the
 * left from the middle. What was not recorded stands where the parts list and common practice put it.
 *
 * The chassis lies on the bearings, the nozzle on the chassis, and the full balloon on what holds it up.
 */
final readonly class Layout
{
    private const LEAST_OVERHANG = 0.02;

    /** Between wheels that follow each other (m). Common practice, no source. */
    private const BETWEEN_WHEELS_M = 0.005;

    /** Where the nozzle enters the balloon, as a share of the chassis, so that the balloon lies on it. */
    private const NECK = 0.5;

    /** Tubes pushed into each other: a quarter of each is inside the next. Common practice, no source. */
    private const SHOWN_OF_A_TUBE = 0.75;

    public function __construct(
        public Body $body,
        public Axles $axles,
        public Wheels $wheels,
        public NozzlePlace $nozzle,
        public float $balloonDiameter,
        public int $balloons = 1,
        public BandPlace $band = new BandPlace(),
        /** What drives it; a balloon where nobody said. */
        public EnergySource $source = EnergySource::Balloon,
    ) {}

    public static function of(Car $car, Catalogue $catalogue, Kit $kit = new Kit()): self
    {
        $part = static fn(PartKind $kind, CarAttribute $choice): Part => $catalogue->named($kind, $car->kind($choice)) ?? $kit->part($kind);
        $body = self::bodyOf($car, $part(PartKind::Chassis, CarAttribute::Chassis));
        $wheels = self::wheelsOf($car, $part(PartKind::Wheel, CarAttribute::WheelKind));
        $bearing = $part(PartKind::Bearing, CarAttribute::Bearing);

        return new self(
            $body,
            self::axlesOf($car, $bearing, $body, $wheels),
            $wheels,
            self::nozzleOf($car, $part(PartKind::Nozzle, CarAttribute::NozzleKind), $body),
            $car->balloonDiameterM() ?? CarAttribute::USUAL_BALLOON_M,
            (int) ($car->number(CarAttribute::Balloons) ?? 1),
            self::bandOf($car, $bearing),
            $car->source() ?? EnergySource::Balloon,
        );
    }

    private static function bodyOf(Car $car, Part $chassis): Body
    {
        $form = ChassisForm::tryFrom($car->kind(CarAttribute::ChassisForm) ?? '') ?? $chassis->form;
        $outline = $form === ChassisForm::Outline ? Outline::read($car->kind(CarAttribute::ChassisOutline)) : null;

        return new Body(
            $car->number(CarAttribute::ChassisLength) ?? $chassis->value(CarAttribute::ChassisLength),
            $car->number(CarAttribute::ChassisWidth) ?? $chassis->value(CarAttribute::ChassisWidth),
            $car->number(CarAttribute::ChassisHeight) ?? $chassis->value(CarAttribute::ChassisHeight),
            $form,
            $outline?->widths() ?? $form->widths(),
            NoseShape::tryFrom($car->kind(CarAttribute::Nose) ?? '') ?? NoseShape::Flat,
        );
    }

    private static function wheelsOf(Car $car, Part $wheel): Wheels
    {
        $thickness = $car->number(CarAttribute::WheelThickness) ?? $wheel->value(CarAttribute::WheelThickness);

        return new Wheels(
            $car->number(CarAttribute::WheelDiameter) ?? $wheel->value(CarAttribute::WheelDiameter),
            $thickness,
            $car->number(CarAttribute::WheelHub) ?? min($thickness, $wheel->value(CarAttribute::WheelHub)),
        );
    }

    private static function axlesOf(Car $car, Part $bearing, Body $body, Wheels $wheels): Axles
    {
        [$rear, $wheelbase] = self::axlePlaces($car, $body, $wheels);
        $usual = new CutSizes(min(0.6, max(0.005, $body->width)), min(0.1, max(0.0003, $wheels->thickness)));

        return new Axles(
            $rear,
            $wheelbase,
            $car->number(CarAttribute::AxleDiameter) ?? $bearing->value(CarAttribute::AxleDiameter),
            $car->number(CarAttribute::BearingBore) ?? $bearing->value(CarAttribute::BearingBore),
            $car->number(CarAttribute::Track) ?? $usual->trackM(),
            $car->ofRear(CarAttribute::RearTrack) ?? $usual->trackM(),
            $car->number(CarAttribute::AxleLength) ?? $usual->axleLengthM(),
            $car->ofRear(CarAttribute::RearAxleLength) ?? $usual->axleLengthM(),
            $car->number(CarAttribute::BearingLength) ?? $usual->bearingLengthM(),
            $car->ofRear(CarAttribute::RearBearingLength) ?? $usual->bearingLengthM(),
        );
    }

    private static function nozzleOf(Car $car, Part $nozzle, Body $body): NozzlePlace
    {
        $bores = array_values(array_filter(
            [
                $car->number(CarAttribute::NozzleBore) ?? $nozzle->value(CarAttribute::NozzleBore),
                $car->number(CarAttribute::WiderBore), $car->number(CarAttribute::WidestBore),
            ],
            static fn(?float $bore): bool => $bore !== null,
        ));
        $tube = max(0.005, $car->number(CarAttribute::NozzleLength) ?? $nozzle->value(CarAttribute::NozzleLength));

        return new NozzlePlace(
            $bores,
            $tube,
            $car->number(CarAttribute::NozzleOverhang) ?? self::usualOverhang($body->length, $tube, count($bores)),
            (int) ($car->number(CarAttribute::NozzleOutlets) ?? 1),
            deg2rad($car->number(CarAttribute::NozzleAngle) ?? 0.0),
            $car->number(CarAttribute::NozzleHeight),
            $car->number(CarAttribute::NeckDepth),
        );
    }

    private static function bandOf(Car $car, Part $bearing): BandPlace
    {
        $turns = $car->number(CarAttribute::TurnsWound);
        $axle = $car->number(CarAttribute::AxleDiameter) ?? $bearing->value(CarAttribute::AxleDiameter);

        return new BandPlace(
            DrivenEnd::tryFrom($car->kind(CarAttribute::DrivenEnd) ?? '') ?? DrivenEnd::Rear,
            $car->number(CarAttribute::HookPlace) ?? BandPlace::USUAL_HOOK,
            $car->number(CarAttribute::HookOffset) ?? 0.0,
            $car->chainLengthM(),
            $car->number(CarAttribute::WindingDiameter) ?? $axle,
            $car->number(CarAttribute::BandThickness) ?? BandPlace::USUAL_BAND,
            (int) ($car->number(CarAttribute::BandsSideBySide) ?? 1),
            $turns === null ? null : (int) $turns,
            $car->number(CarAttribute::InstalledLength),
        );
    }

    /**
     * Where the rear axle is, and how far before it the front one (m): as recorded, by two of the three measures, or where they
     * usually are on such a chassis.
     *
     * @return array{float, float}
     */
    private static function axlePlaces(Car $car, Body $body, Wheels $wheels): array
    {
        $length = $body->length;
        $rear = $car->number(CarAttribute::RearAxlePlace);
        $front = $car->number(CarAttribute::FrontAxlePlace);
        $wheelbase = $car->number(CarAttribute::Wheelbase);
        [$usualRear, $usualFront] = self::usualAxles($body, $wheels);
        if ($wheelbase === null && $front !== null) {
            $rear ??= $usualRear * $length;

            return [$rear, max(0.0, $length - $front - $rear)];
        }
        if ($rear === null && $wheelbase !== null) {
            $rear = $front !== null ? $length - $front - $wheelbase : ($usualRear + $usualFront) / 2 * $length - $wheelbase / 2;
        }

        return [max(0.0, $rear ?? $usualRear * $length), $wheelbase ?? ($usualFront - $usualRear) * $length];
    }

    /**
     * Where axles usually sit, as shares of the length; farther apart where the wheels would touch each other, as far as the body goes.
     *
     * @return array{float, float}
     */
    private static function usualAxles(Body $body, Wheels $wheels): array
    {
        [$rear, $front] = $body->form->usualAxles();
        [$least, $most] = $body->form->axlesBetween();
        $wants = ($wheels->diameter + self::BETWEEN_WHEELS_M) / $body->length;
        if ($front - $rear >= $wants) {
            return [$rear, $front];
        }
        $apart = min($wants, $most - $least);
        $middle = max($least + $apart / 2, min($most - $apart / 2, ($rear + $front) / 2));

        return [$middle - $apart / 2, $middle + $apart / 2];
    }

    /** So much of the tubes sticks out behind (m) that the balloon lies on the chassis. */
    public static function usualOverhang(float $chassisM, float $tubeM, int $tubes): float
    {
        return max(self::LEAST_OVERHANG, (self::SHOWN_OF_A_TUBE * ($tubes - 1) + 1.0) * $tubeM - self::NECK * $chassisM);
    }

    public function frontAxle(): float
    {
        return $this->axles->rear + $this->axles->wheelbase;
    }

    /** Where the axle is that a band turns, and the other one. */
    public function drivenAxle(): float
    {
        return $this->band->driven === DrivenEnd::Rear ? $this->axles->rear : $this->frontAxle();
    }

    public function freeAxle(): float
    {
        return $this->band->driven === DrivenEnd::Rear ? $this->frontAxle() : $this->axles->rear;
    }

    public function hook(): float
    {
        return $this->band->driven === DrivenEnd::Rear ? $this->body->length - $this->band->hookPlace : $this->band->hookPlace;
    }

    /** From the hook to the driven axle (m). */
    public function installedLength(): float
    {
        return $this->band->installed ?? abs($this->hook() - $this->drivenAxle());
    }

    /** How high a band lies at its hook: on the chassis, or below it where that is hollow. */
    public function hookHeight(): float
    {
        return $this->chassisTop();
    }

    /** What is wound on (m); 0 where nobody said. */
    public function woundM(): float
    {
        return M_PI * ($this->band->windingDiameter + $this->band->thickness) * ($this->band->turns ?? 0);
    }

    /** Whether a straight line from the hook to the driven axle passes above the other axle, or below it. */
    public function bandClearsFreeAxle(): bool
    {
        $span = $this->hook() - $this->drivenAxle();
        $share = $span === 0.0 ? 0.0 : ($this->freeAxle() - $this->drivenAxle()) / $span;
        $height = $this->wheelRadius() + $this->band->windingDiameter / 2 + $share * (
            $this->hookHeight() - $this->wheelRadius() - $this->band->windingDiameter / 2
        );

        return abs($height - $this->wheelRadius()) > $this->axles->bearingBore / 2;
    }

    /** Whether the chain passes the other axle on its way to the hook. */
    public function bandPassesFreeAxle(): bool
    {
        return abs($this->hook() - $this->drivenAxle()) > $this->axles->wheelbase;
    }

    public function wheelRadius(): float
    {
        return $this->wheels->diameter / 2;
    }

    /** Under the bearings or the chassis, the lowest that does not turn. */
    public function groundClearance(): float
    {
        return min($this->wheelRadius() - $this->axles->bearingBore / 2, $this->chassisBottom());
    }

    public function chassisBottom(): float
    {
        return $this->body->form->axleHeight() > 0.0
            ? $this->wheelRadius() - $this->body->form->axleHeight() * $this->body->height
            : $this->wheelRadius() + $this->axles->bearingBore / 2;
    }

    /** How wide the chassis is (m) at a place from its rear end. */
    public function widthAt(float $x): float
    {
        $last = count($this->body->widths) - 1;
        $at = max(0.0, min(1.0, $x / $this->body->length)) * $last;
        $before = (int) min(max(0, $last - 1), floor($at));

        return $this->body->width * (
            $this->body->widths[$before] + ($at - $before) * ($this->body->widths[min($last, $before + 1)] - $this->body->widths[$before])
        );
    }

    public function chassisTop(): float
    {
        return $this->chassisBottom() + $this->body->height;
    }

    /** The middle of the nozzle where it leaves the chassis. */
    public function nozzleAxis(): float
    {
        // Through a hollow body it lies in its middle; on any other it lies on top.
        return $this->nozzle->height ?? (
            $this->body->form->isPierced()
                ? ($this->chassisBottom() + $this->chassisTop()) / 2
                : $this->chassisTop() + $this->nozzle->bores[0] / 2
        );
    }

    /** The lowest point of the nozzle's end. */
    public function nozzleClearance(): float
    {
        return $this->nozzleAxis() - $this->nozzle->overhang * sin($this->nozzle->angle) - $this->nozzle->bores[0] / 2 * abs(
            cos($this->nozzle->angle),
        );
    }

    /**
     * The tubes from the exit inwards: where each begins (from behind), its length and bore.
     *
     * @return list<array{x: float, length: float, bore: float}>
     */
    public function tubes(): array
    {
        $tubes = [];
        $end = -$this->nozzle->overhang;
        foreach ($this->nozzle->bores as $bore) {
            $tubes[] = ['x' => $end, 'length' => $this->nozzle->tubeM, 'bore' => $bore];
            $end += self::SHOWN_OF_A_TUBE * $this->nozzle->tubeM;
        }

        return $tubes;
    }

    /** Where the nozzle ends in the balloon's neck. */
    public function neck(): float
    {
        return -$this->nozzle->overhang + (self::SHOWN_OF_A_TUBE * (count($this->nozzle->bores) - 1) + 1.0) * $this->nozzle->tubeM;
    }

    /**
     * The middle of the full balloon, x and y. The tube holds it in line with itself; where it would sink into the
     * chassis it lies on it, or leans on its front edge.
     *
     * @return array{float, float}
     */
    public function balloonCentre(): array
    {
        $radius = $this->balloonDiameter / 2;
        $x = $this->neck() + 0.9 * $radius;
        $held = $this->nozzleAxis() + 0.9 * $radius * sin($this->nozzle->angle);
        $beyond = max(0.0, $x - $this->body->length, -$x);
        $resting = $beyond >= $radius ? 0.0 : $this->chassisTop() + sqrt($radius ** 2 - $beyond ** 2);

        return [$x, max($held, $resting)];
    }

    /** Between the floor and the full balloon; at or below zero it drags. */
    public function balloonClearance(): float
    {
        return $this->balloonCentre()[1] - $this->balloonDiameter / 2;
    }

    /** Between the balloon and the nearest wheel's top, in the plane of the wheel; below zero they touch. */
    public function wheelClearance(): float
    {
        [$x, $y] = $this->balloonCentre();
        $gaps = array_map(
            fn(float $axle): float => hypot(
                hypot($x - $axle, max(0.0, $y - $this->wheels->diameter)),
                max(
                    0.0,
                    ($axle === $this->axles->rear ? $this->axles->rearTrack : $this->axles->frontTrack) - $this->wheels->thickness,
                ) / 2,
            ) - $this->balloonDiameter / 2,
            [$this->axles->rear, $this->frontAxle()],
        );

        return min($gaps);
    }

    /** Between a front wheel's inner face and the chassis' side, with the axle in the middle; at or below zero they rub. */
    public function frontGap(): float
    {
        return ($this->axles->frontTrack - $this->wheels->thickness - $this->body->width) / 2;
    }

    public function rearGap(): float
    {
        return ($this->axles->rearTrack - $this->wheels->thickness - $this->body->width) / 2;
    }
}
