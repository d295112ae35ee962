<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Challenge;
use App\Models\MaterialLine;
use App\Models\Plan;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\CutSizes;
use Skivo\Core\Car\Kit;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Car\Step;
use Skivo\Core\Session\Caution;
use Skivo\Core\Session\CutPlan;
use Skivo\Core\Session\DoesNotFitException;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Materials;
use Skivo\Core\Session\Phase;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Timetable;

/** How a challenge is prepared, with all that follows from it. */
final readonly class ClassPlan
{
    /** What straws and skewers are cut from and with, unless typed otherwise (m). Common practice, no source. */
    private const USUAL = [
        'end_play' => 0.0015, 'overhang' => 0.003, 'side_gap' => 0.003, 'straw_length' => 0.2, 'skewer_length' => 0.3, 'kerf' => 0.001,
    ];

    public Kit $kit;

    public Headcount $class;

    public CutSizes $sizes;

    private function __construct(
        public Challenge $challenge,
        public Plan $plan,
        public Catalogue $catalogue,
    ) {
        $this->kit = $plan->kit($catalogue);
        // As many as are planned; more where more have come.
        $this->class = new Headcount(
            max($plan->groups, $challenge->groups()->count()),
            $plan->group_size,
            $plan->spares_percent / 100,
            $challenge->lanes,
        );
        $this->sizes = new CutSizes(
            $this->length('chassis_width'),
            $this->length('wheel_thickness'),
            $this->length('end_play'),
            $this->length('overhang'),
            $this->length('side_gap'),
        );
    }

    public static function of(Challenge $challenge): self
    {
        return new self($challenge, $challenge->sessionPlan(), $challenge->catalogue());
    }

    /** Null where a piece is longer than what it is cut from. */
    public function cuts(): ?CutPlan
    {
        $cutting = $this->cutting();

        return $cutting instanceof CutPlan ? $cutting : null;
    }

    /** The piece that is longer than what it is cut from; null where there is none. */
    public function doesNotFit(): ?DoesNotFitException
    {
        $cutting = $this->cutting();

        return $cutting instanceof DoesNotFitException ? $cutting : null;
    }

    /** A length of the cutting as planned (m): as typed, or else the usual one. */
    public function length(string $cut): float
    {
        return $this->plan->getAttribute($cut)?->quantity->si() ?? $this->usualLength($cut);
    }

    /** What it is unless it was typed (m). */
    public function usualLength(string $cut): float
    {
        return match ($cut) {
            'chassis_width' => $this->kit->part(PartKind::Chassis)->value(CarAttribute::ChassisWidth),
            'wheel_thickness' => $this->kit->part(PartKind::Wheel)->value(CarAttribute::WheelThickness),
            'nozzle_length' => $this->kit->part(PartKind::Nozzle)->value(CarAttribute::NozzleLength),
            default => self::USUAL[$cut] ?? throw new \LogicException("{$cut} is no length of the cutting."),
        };
    }

    public function materials(): Materials
    {
        $lines = $this->challenge->materialLines;
        $changes = $lines->whereNotNull('key')->mapWithKeys(
            static fn(MaterialLine $line): array => [(string) $line->key => [$line->amount, $line->price]],
        )->all();
        $own = array_values($lines->whereNull('key')->map(static fn(MaterialLine $line): Material => $line->toCore())->all());

        return Materials::of(
            $this->kit,
            $this->class,
            $this->cuts(),
            $changes,
            $own,
            $this->plan->by_mouth,
            in_array(Step::Mass, $this->challenge->rules()->free, true),
        );
    }

    /** What a car built of the kit is like: what a build sheet starts from and held parts must equal. */
    public function kitCar(): Car
    {
        return $this->kit->car($this->challenge->units, $this->sizes);
    }

    /** @return list<Caution> */
    public function cautions(): array
    {
        return Caution::for($this->kit, $this->plan->by_mouth, $this->plan->latex_free);
    }

    /**
     * Those that were not on the sheet when it was last read.
     *
     * @return list<Caution>
     */
    public function newCautions(): array
    {
        return $this->challenge->safety_read_at === null || $this->challenge->safety_read === [] ? []
            : array_values(
                array_filter(
                    $this->cautions(),
                    fn(Caution $caution): bool => !in_array($caution->value, $this->challenge->safety_read, true),
                ),
            );
    }

    /** @param int $groups as many as there are; those planned where there is none yet */
    public function runOrder(int $groups): RunOrder
    {
        return new RunOrder($groups > 0 ? $groups : $this->plan->groups, $this->challenge->tries, $this->challenge->lanes);
    }

    public function timetable(int $groups): Timetable
    {
        $minutes = [];
        foreach (Phase::cases() as $phase) {
            $minutes[$phase->value] = $this->plan->minutes($phase);
        }
        $runs = $this->runOrder($groups);

        return new Timetable(
            $minutes,
            $runs,
            $this->plan->tries_again > 0 ? new RunOrder($runs->groups, $this->plan->tries_again, $this->challenge->lanes) : null,
            $this->plan->heat_min,
            (float) $this->plan->session_min,
        );
    }

    private function cutting(): CutPlan|DoesNotFitException
    {
        return once(function (): CutPlan|DoesNotFitException {
            try {
                return CutPlan::of(
                    $this->kit,
                    $this->sizes,
                    $this->length('straw_length'),
                    $this->length('skewer_length'),
                    $this->length('kerf'),
                    $this->length('nozzle_length'),
                    $this->plan->nozzles_each,
                    $this->class->cars(),
                );
            } catch (DoesNotFitException $doesNotFit) {
                return $doesNotFit;
            }
        });
    }
}
