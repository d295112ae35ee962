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

    /** Of a hook from its end of the chassis, and how thick a rubber band is (m). Common practice, no source. */
    private const USUAL_HOOK = 0.005;
    private const USUAL_BAND = 0.001;

    /** Where the nozzle enters the balloon, as a share of the chassis, so that the balloon lies on it. */
    private const NECK = 0.5;

    /** Tubes pushed into each other: a quarter of each is inside the next. Common practice, no source. */
    private const SHOWN_OF_A_TUBE = 0.75;

    /**
     * @param list<float> $bores of the tubes, from the exit to the balloon
     * @param float $tubeM length of each
     * @param float $angle of the jet below the horizontal (rad); beyond π/2 it blows forward
     */
    public function __construct(
        public float $chassisLength,
        public float $chassisWidth,
        public float $chassisHeight,
        public float $rearAxle,
        public float $wheelbase,
        public float $frontTrack,
        public float $rearTrack,
        public float $wheelDiameter,
        public float $wheelThickness,
        public float $axleDiameter,
        public float $frontAxleLength,
        public float $rearAxleLength,
        public float $bearingBore,
        public float $frontBearing,
        public float $rearBearing,
        public float $balloonDiameter,
        public int $balloons,
        public array $bores,
        public float $tubeM,
        public int $outlets,
        public float $angle,
        public ?float $nozzleHeight,
        public float $overhang,
        /** At the hub, where the axle goes through; as at the rim where the wheel is solid. */
        public float $hubThickness,
        public ChassisForm $form = ChassisForm::Board,
        /** @var non-empty-list<float> how wide the chassis is along its length, as shares of its width, from the rear, evenly spaced */
        public array $widths = [1.0, 1.0],
        public NoseShape $nose = NoseShape::Flat,
        /** How far the tube goes into the balloon's neck; null where nobody has measured it. */
        public ?float $neckDepth = null,
        /** What drives it; a balloon where nobody said. */
        public EnergySource $source = EnergySource::Balloon,
        /** Which axle a band turns. */
        public DrivenEnd $driven = DrivenEnd::Rear,
        /** Of the hook, from the end of the chassis that is away from the driven axle (m). */
        public float $hookPlace = self::USUAL_HOOK,
        /** Of the chain, unstretched (m); null where nobody knows. */
        public ?float $chainLength = null,
        /** How wide what winds on the axle is, and how thick one strand (m). */
        public float $windingDiameter = self::USUAL_BAND,
        public float $bandThickness = self::USUAL_BAND,
        public int $bandsSideBySide = 1,
        /** What is wound on before a try; null where nobody said. */
        public ?int $turns = null,
        /** Of the hook, beside the middle (m). */
        public float $hookOffset = 0.0,
        /** Measured from the hook to the driven axle (m); null where the places of both say it. */
        private ?float $installed = null,
    ) {}

    public static function of(Car $car, Catalogue $catalogue, Kit $kit = new Kit()): self
    {
        $part = static fn(PartKind $kind, CarAttribute $choice): Part => $catalogue->named($kind, $car->kind($choice)) ?? $kit->part($kind);
        $chassis = $part(PartKind::Chassis, CarAttribute::Chassis);
        $wheel = $part(PartKind::Wheel, CarAttribute::WheelKind);
        $bearing = $part(PartKind::Bearing, CarAttribute::Bearing);
        $nozzle = $part(PartKind::Nozzle, CarAttribute::NozzleKind);
        $length = $car->number(CarAttribute::ChassisLength) ?? $chassis->value(CarAttribute::ChassisLength);
        $width = $car->number(CarAttribute::ChassisWidth) ?? $chassis->value(CarAttribute::ChassisWidth);
        $thickness = $car->number(CarAttribute::WheelThickness) ?? $wheel->value(CarAttribute::WheelThickness);
        $form = ChassisForm::tryFrom($car->kind(CarAttribute::ChassisForm) ?? '') ?? $chassis->form;
        [$rear, $wheelbase] = self::axlePlaces($car, $form, $length);
        $usual = new CutSizes(min(0.6, max(0.005, $width)), min(0.1, max(0.0003, $thickness)));
        $bores = array_values(array_filter(
            [
                $car->number(CarAttribute::NozzleBore) ?? $nozzle->value(CarAttribute::NozzleBore),
                $car->number(CarAttribute::WiderBore),
                $car->number(CarAttribute::WidestBore),
            ],
            static fn(?float $bore): bool => $bore !== null,
        ));

        $tube = max(0.005, $car->number(CarAttribute::NozzleLength) ?? $nozzle->value(CarAttribute::NozzleLength));

        return new self(
            $length,
            $width,
            $car->number(CarAttribute::ChassisHeight) ?? $chassis->value(CarAttribute::ChassisHeight),
            $rear,
            $wheelbase,
            $car->number(CarAttribute::Track) ?? $usual->trackM(),
            $car->ofRear(CarAttribute::RearTrack) ?? $usual->trackM(),
            $car->number(CarAttribute::WheelDiameter) ?? $wheel->value(CarAttribute::WheelDiameter),
            $thickness,
            $car->number(CarAttribute::AxleDiameter) ?? $bearing->value(CarAttribute::AxleDiameter),
            $car->number(CarAttribute::AxleLength) ?? $usual->axleLengthM(),
            $car->ofRear(CarAttribute::RearAxleLength) ?? $usual->axleLengthM(),
            $car->number(CarAttribute::BearingBore) ?? $bearing->value(CarAttribute::BearingBore),
            $car->number(CarAttribute::BearingLength) ?? $usual->bearingLengthM(),
            $car->ofRear(CarAttribute::RearBearingLength) ?? $usual->bearingLengthM(),
            $car->balloonDiameterM() ?? CarAttribute::USUAL_BALLOON_M,
            (int) ($car->number(CarAttribute::Balloons) ?? 1),
            $bores,
            $tube,
            (int) ($car->number(CarAttribute::NozzleOutlets) ?? 1),
            deg2rad($car->number(CarAttribute::NozzleAngle) ?? 0.0),
            $car->number(CarAttribute::NozzleHeight),
            $car->number(CarAttribute::NozzleOverhang) ?? self::usualOverhang($length, $tube, count($bores)),
            $car->number(CarAttribute::WheelHub) ?? min($thickness, $wheel->value(CarAttribute::WheelHub)),
            $form,
            ($form === ChassisForm::Outline ? Outline::read($car->kind(CarAttribute::ChassisOutline)) : null)?->widths() ?? $form->widths(),
            NoseShape::tryFrom($car->kind(CarAttribute::Nose) ?? '') ?? NoseShape::Flat,
            $car->number(CarAttribute::NeckDepth),
            $car->source() ?? EnergySource::Balloon,
            DrivenEnd::tryFrom($car->kind(CarAttribute::DrivenEnd) ?? '') ?? DrivenEnd::Rear,
            $car->number(CarAttribute::HookPlace) ?? self::USUAL_HOOK,
            $car->chainLengthM(),
            $car->number(CarAttribute::WindingDiameter)
                ?? $car->number(CarAttribute::AxleDiameter) ?? $bearing->value(CarAttribute::AxleDiameter),
            $car->number(CarAttribute::BandThickness) ?? self::USUAL_BAND,
            (int) ($car->number(CarAttribute::BandsSideBySide) ?? 1),
            $car->number(CarAttribute::TurnsWound) === null ? null : (int) $car->number(CarAttribute::TurnsWound),
            $car->number(CarAttribute::HookOffset) ?? 0.0,
            $car->number(CarAttribute::InstalledLength),
        );
    }

    /**
     * Where the rear axle is, and how far before it the front one (m): as recorded, by two of the three measures, or where they
     * usually are on such a chassis.
     *
     * @return array{float, float}
     */
    private static function axlePlaces(Car $car, ChassisForm $form, float $length): array
    {
        $rear = $car->number(CarAttribute::RearAxlePlace);
        $front = $car->number(CarAttribute::FrontAxlePlace);
        $wheelbase = $car->number(CarAttribute::Wheelbase);
        [$usualRear, $usualFront] = $form->usualAxles();
        if ($wheelbase === null && $front !== null) {
            $rear ??= $usualRear * $length;

            return [$rear, max(0.0, $length - $front - $rear)];
        }
        if ($rear === null && $wheelbase !== null) {
            $rear = $front !== null ? $length - $front - $wheelbase : ($usualRear + $usualFront) / 2 * $length - $wheelbase / 2;
        }

        return [max(0.0, $rear ?? $usualRear * $length), $wheelbase ?? ($usualFront - $usualRear) * $length];
    }

    /** So much of the tubes sticks out behind (m) that the balloon lies on the chassis. */
    public static function usualOverhang(float $chassisM, float $tubeM, int $tubes): float
    {
        return max(self::LEAST_OVERHANG, (self::SHOWN_OF_A_TUBE * ($tubes - 1) + 1.0) * $tubeM - self::NECK * $chassisM);
    }

    public function frontAxle(): float
    {
        return $this->rearAxle + $this->wheelbase;
    }

    /** Where the axle is that a band turns, and the other one. */
    public function drivenAxle(): float
    {
        return $this->driven === DrivenEnd::Rear ? $this->rearAxle : $this->frontAxle();
    }

    public function freeAxle(): float
    {
        return $this->driven === DrivenEnd::Rear ? $this->frontAxle() : $this->rearAxle;
    }

    public function hook(): float
    {
        return $this->driven === DrivenEnd::Rear ? $this->chassisLength - $this->hookPlace : $this->hookPlace;
    }

    /** From the hook to the driven axle (m). */
    public function installedLength(): float
    {
        return $this->installed ?? abs($this->hook() - $this->drivenAxle());
    }

    /** How high a band lies at its hook: on the chassis, or below it where that is hollow. */
    public function hookHeight(): float
    {
        return $this->chassisTop();
    }

    /** What is wound on (m); 0 where nobody said. */
    public function woundM(): float
    {
        return M_PI * ($this->windingDiameter + $this->bandThickness) * ($this->turns ?? 0);
    }

    /** Whether a straight line from the hook to the driven axle passes above the other axle, or below it. */
    public function bandClearsFreeAxle(): bool
    {
        $span = $this->hook() - $this->drivenAxle();
        $share = $span === 0.0 ? 0.0 : ($this->freeAxle() - $this->drivenAxle()) / $span;
        $height = $this->wheelRadius() + $this->windingDiameter / 2 + $share * (
            $this->hookHeight() - $this->wheelRadius() - $this->windingDiameter / 2
        );

        return abs($height - $this->wheelRadius()) > $this->bearingBore / 2;
    }

    /** Whether the chain passes the other axle on its way to the hook. */
    public function bandPassesFreeAxle(): bool
    {
        return abs($this->hook() - $this->drivenAxle()) > $this->wheelbase;
    }

    public function wheelRadius(): float
    {
        return $this->wheelDiameter / 2;
    }

    /** Under the bearings or the chassis, the lowest that does not turn. */
    public function groundClearance(): float
    {
        return min($this->wheelRadius() - $this->bearingBore / 2, $this->chassisBottom());
    }

    public function chassisBottom(): float
    {
        return $this->form->axleHeight() > 0.0
            ? $this->wheelRadius() - $this->form->axleHeight() * $this->chassisHeight
            : $this->wheelRadius() + $this->bearingBore / 2;
    }

    /** How wide the chassis is (m) at a place from its rear end. */
    public function widthAt(float $x): float
    {
        $last = count($this->widths) - 1;
        $at = max(0.0, min(1.0, $x / $this->chassisLength)) * $last;
        $before = (int) min(max(0, $last - 1), floor($at));

        return $this->chassisWidth * (
            $this->widths[$before] + ($at - $before) * ($this->widths[min($last, $before + 1)] - $this->widths[$before])
        );
    }

    public function chassisTop(): float
    {
        return $this->chassisBottom() + $this->chassisHeight;
    }

    /** The middle of the nozzle where it leaves the chassis. */
    public function nozzleAxis(): float
    {
        return $this->nozzleHeight ?? $this->chassisTop() + $this->bores[0] / 2;
    }

    /** The lowest point of the nozzle's end. */
    public function nozzleClearance(): float
    {
        return $this->nozzleAxis() - $this->overhang * sin($this->angle) - $this->bores[0] / 2 * abs(cos($this->angle));
    }

    /**
     * The tubes from the exit inwards: where each begins (from behind), its length and bore.
     *
     * @return list<array{x: float, length: float, bore: float}>
     */
    public function tubes(): array
    {
        $tubes = [];
        $end = -$this->overhang;
        foreach ($this->bores as $bore) {
            $tubes[] = ['x' => $end, 'length' => $this->tubeM, 'bore' => $bore];
            $end += self::SHOWN_OF_A_TUBE * $this->tubeM;
        }

        return $tubes;
    }

    /** Where the nozzle ends in the balloon's neck. */
    public function neck(): float
    {
        return -$this->overhang + (self::SHOWN_OF_A_TUBE * (count($this->bores) - 1) + 1.0) * $this->tubeM;
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
        $held = $this->nozzleAxis() + 0.9 * $radius * sin($this->angle);
        $beyond = max(0.0, $x - $this->chassisLength, -$x);
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
                hypot($x - $axle, max(0.0, $y - $this->wheelDiameter)),
                max(0.0, ($axle === $this->rearAxle ? $this->rearTrack : $this->frontTrack) - $this->wheelThickness) / 2,
            ) - $this->balloonDiameter / 2,
            [$this->rearAxle, $this->frontAxle()],
        );

        return min($gaps);
    }

    /** Between a front wheel's inner face and the chassis' side, with the axle in the middle; at or below zero they rub. */
    public function frontGap(): float
    {
        return ($this->frontTrack - $this->wheelThickness - $this->chassisWidth) / 2;
    }

    public function rearGap(): float
    {
        return ($this->rearTrack - $this->wheelThickness - $this->chassisWidth) / 2;
    }
}
