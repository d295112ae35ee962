<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/**
 * One step of the build, at the car's own sizes: what is done is drawn strong, what is there already pale. Forward is to the
 * right, as on the lane. In px; places and sizes come in m.
 */
final readonly class StepDrawing
{
    public const WIDTH = 360;
    public const HEIGHT = 190;
    public const MIDDLE = self::HEIGHT / 2;

    /** Steps that are shown from above. */
    private const FROM_ABOVE = [
        BuildStep::BuildFrame, BuildStep::CutChassis, BuildStep::FoldChassis, BuildStep::Reinforce, BuildStep::BodyDries,
        BuildStep::MarkAxles, BuildStep::BearingsOn, BuildStep::BearingsThrough, BuildStep::BearingsSet, BuildStep::AxlesOn,
        BuildStep::AxlesThrough, BuildStep::SecondWheels, BuildStep::FirstWheels, BuildStep::WheelsOn, BuildStep::WheelsSet,
        BuildStep::CutSlot,
    ];

    private CarShapes $car;
    private DriveShapes $drive;
    private TableShapes $table;

    public function __construct(private Layout $layout, private BuildTask $task, private UnitSystem $units)
    {
        $this->car = new CarShapes(
            $layout,
            in_array($task->step, self::FROM_ABOVE, true),
            $task->step === BuildStep::PowerOn || $task->step === BuildStep::Clearance,
            $task->lengthsM['height'] ?? 0.0,
        );
        $this->drive = new DriveShapes($layout, $this->car);
        $this->table = new TableShapes($layout, $task, $units);
    }

    /** @return list<Shape> */
    public function shapes(): array
    {
        return match ($this->task->step->part()) {
            Step::Chassis => $this->chassis(),
            Step::Axles => $this->axles(),
            Step::Wheels => $this->wheels(),
            default => $this->power(),
        };
    }

    /** @return list<Shape> */
    private function chassis(): array
    {
        $car = $this->car;

        return match ($this->task->step) {
            BuildStep::LabelOff => [...$car->ground(), ...$car->side('card'), ...$car->label()],
            BuildStep::SnapStick => $this->table->snapped(),
            BuildStep::OpenBody => [...$car->ground(), ...$car->side('card see-through'), ...$car->openings()],
            BuildStep::Reinforce => [...$car->board('card pale'), ...$car->strips()],
            BuildStep::BodyDries => [...$car->board('card pale'), ...$car->strips(), ...$this->table->clock()],
            BuildStep::PierceChassis => [...$car->side('card'), ...$car->holes()],
            default => $this->chassisCut($car),
        };
    }

    /** @return list<Shape> */
    private function axles(): array
    {
        $car = $this->car;
        $axles = $this->layout->axles;

        return match ($this->task->step) {
            BuildStep::MarkAxles => [...$car->board('card pale'), ...$this->axleLines($car)],
            BuildStep::CutBearings => $this->table->pieces('straw', 'bearing', $axles->bearingBore),
            BuildStep::CutAxles => $this->table->pieces('rod', 'axle', $axles->diameter),
            BuildStep::BearingsOn => [...$car->board('card pale'), ...$car->bearings('straw'), ...$car->held($this->isTaped())],
            BuildStep::BearingsThrough => [...$car->bearings('straw'), ...$car->board('card see-through')],
            BuildStep::BearingsSet => [...$car->board('card pale'), ...$car->bearings('straw pale'), ...$this->table->clock()],
            BuildStep::AxlesOn => $this->task->how === 'through'
                ? [...$car->bareAxles(), ...$car->board('card see-through')]
                : [...$car->board('card pale'), ...$car->bareAxles(), ...$car->held($this->isTaped())],
            default => $this->table->points(),
        };
    }

    /** @return list<Shape> */
    private function wheels(): array
    {
        $car = $this->car;
        $underneath = fn(): array => [...$car->board('card pale'), ...$car->bearings('straw pale')];

        return match ($this->task->step) {
            BuildStep::MiddlePieces => $this->table->middlePiece(),
            BuildStep::MiddlesSet => [...$this->table->middlePiece(), ...$this->table->clock()],
            BuildStep::PierceWheels => $this->table->pierced(),
            BuildStep::CutHubs => $this->table->pieces('straw', 'hub', $this->layout->axles->bearingBore),
            BuildStep::HubsIn => $this->table->hub(),
            BuildStep::FirstWheels => $car->axlesWith(1, false),
            BuildStep::FirstWheelsSet => [...$this->table->upright(), ...$this->table->clock()],
            BuildStep::AxlesThrough => [...$underneath(), ...$car->axlesWith(1, true)],
            BuildStep::SecondWheels => [...$underneath(), ...$car->axlesWith(2, true)],
            BuildStep::WheelsOn => [...$car->board('card pale'), ...$car->axlesWith(2, true)],
            BuildStep::WheelsSet => [...$car->board('card pale'), ...$car->axlesWith(2, true), ...$this->table->clock()],
            BuildStep::HoldWheels => $this->table->held(),
            BuildStep::RubberOnRims => [...$car->ground(), ...$car->side('card pale'), ...$car->wheels('wheel'), ...$this->drive->rubber()],
            default => [...$car->ground(), ...$car->side('card'), ...$car->wheels('wheel'), ...$car->push()],
        };
    }

    /** @return list<Shape> what drives the car, and what is put on it */
    private function power(): array
    {
        [$car, $drive, $table] = [$this->car, $this->drive, $this->table];
        $pale = fn(): array => [...$car->ground(), ...$car->side('card pale'), ...$car->wheels('wheel pale')];

        return match ($this->task->step) {
            BuildStep::Decorate => [...$car->ground(), ...$car->side('card'), ...$car->pattern(), ...$car->wheels('wheel pale')],
            BuildStep::PaintDries => [
                ...$car->ground(), ...$car->side('card'), ...$car->pattern(), ...$car->wheels('wheel pale'), ...$table->clock(),
            ],
            BuildStep::TopPlate => [...$pale(), ...$drive->plate()],
            BuildStep::Post => [...$pale(), ...$drive->post($this->task->lengthsM['height'] ?? 0.04)],
            BuildStep::CutNozzle => $table->pieces('tube', 'nozzle', $this->layout->nozzle->bores[0] ?? 0.006, 1),
            BuildStep::Bundle => $table->bundle(),
            BuildStep::NestTubes => $table->nested(),
            BuildStep::CutLip => $table->lip(),
            BuildStep::StretchBalloon => $table->limpBalloon(),
            BuildStep::JoinBalloon => $table->joint(),
            BuildStep::JointSets => [...$table->joint(), ...$table->clock()],
            BuildStep::Airtight => $table->closed(),
            BuildStep::TubeOn => [...$pale(), ...$drive->nozzle(), ...$drive->lift()],
            BuildStep::PowerOn => [
                ...$car->ground(), ...$drive->balloon('skin pale'), ...$car->side('card pale'), ...$car->wheels('wheel pale'),
                ...$drive->nozzle(), ...$drive->lift(),
            ],
            BuildStep::FitHook => [...$car->ground(), ...$car->side('card'), ...$car->wheels('wheel pale'), ...$drive->hook()],
            BuildStep::CutSlot => [...$car->board('card'), ...$drive->slot()],
            BuildStep::KnotChain => $table->chain(),
            BuildStep::HookChain => [...$pale(), ...$drive->band()],
            BuildStep::WindOnce => [
                ...$car->ground(), ...$car->side('card pale'), ...$car->wheels('wheel'), ...$drive->band(), ...$drive->winding(),
            ],
            default => [
                ...$car->ground(), ...$drive->balloon('skin'), ...$drive->nozzle(), ...$car->side('card pale'),
                ...$car->wheels('wheel pale'), ...$drive->gap(),
            ],
        };
    }

    private function isTaped(): bool
    {
        return str_ends_with($this->task->how, 'tape') || str_ends_with($this->task->how, 'double');
    }

    private function shown(float $m): string
    {
        return $this->units->show($m, Scale::Body);
    }

    /** @return list<Shape> */
    private function chassisCut(CarShapes $car): array
    {
        $l = $this->layout;
        $shapes = $car->board('card strong');
        if ($this->task->step === BuildStep::FoldChassis) {
            foreach ([-1, 1] as $sign) {
                $shapes[] = Shape::line(
                    'dashed',
                    $car->x(0.1 * $l->body->length),
                    $car->z($sign * 0.32 * $l->body->width),
                    $car->x(0.9 * $l->body->length),
                    $car->z($sign * 0.32 * $l->body->width),
                );
            }
        }
        [$bottom, $right] = [$car->z($l->body->width / 2), $car->x($l->body->length)];

        return [
            ...$shapes,
            ...Shape::measured($car->x(0.0), $right, min(self::HEIGHT - 22, $bottom + 10), $this->shown($l->body->length)),
            Shape::line('measure', $right + 9, $car->z(-$l->body->width / 2), $right + 9, $bottom),
            Shape::text($this->shown($l->body->width), $right + 15, self::MIDDLE + 5, 'start'),
        ];
    }
    /** @return list<Shape> where the axles go, and the middle line */
    private function axleLines(CarShapes $car): array
    {
        $l = $this->layout;
        $shapes = [Shape::line('dashed', $car->x(0.0), self::MIDDLE, $car->x($l->body->length), self::MIDDLE)];
        foreach ([$l->axles->rear, $l->frontAxle()] as $row => $at) {
            $half = $l->widthAt($at) / 2;
            $shapes[] = Shape::line('mark-line', $car->x($at), $car->z(-$half), $car->x($at), $car->z($half));
            $y = $row === 0 ? $car->z(-$l->body->width / 2) - 8 : $car->z($l->body->width / 2) + 8;
            array_push(
                $shapes,
                Shape::line('measure', $car->x(0.0), $y, $car->x($at), $y),
                Shape::text($this->shown($at), ($car->x(0.0) + $car->x($at)) / 2, $row === 0 ? $y - 5 : $y + Shape::LETTERING),
            );
        }

        return $shapes;
    }
}
