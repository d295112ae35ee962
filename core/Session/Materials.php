<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\Supply;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\Part;
use Skivo\Core\Car\Part\PartTrait;

/**
 * What a class needs for the kit that was chosen: what to buy or collect, and what lies in each group's kit.
 *
 * Amounts are common practice, no source; each can be changed.
 */
final readonly class Materials
{
    /** Keys of what cars are made of, in the order in which they stand. */
    private const PARTS = [
        'chassis', 'wheels', 'axles', 'skewers', 'rods', 'balloons', 'straws', 'straws-for-bearings', 'straws-for-nozzles', 'nozzle-straws',
        'nozzles',
    ];

    /** @param list<Material> $lines in the order in which one would look for them */
    private function __construct(
        public array $lines,
        public Headcount $class,
        private ?CutPlan $cuts,
    ) {}

    /**
     * @param CutPlan|null $cuts null where the lengths don't fit what they are cut from
     * @param array<string, array{0: float|null, 1: float|null, 2?: int|null}> $changes amount, price and pack, by the key of a line
     * @param list<Material> $own further lines
     * @param bool $byMouth whether balloons are filled by mouth
     * @param bool $massVaries whether groups may choose how heavy their car is
     */
    public static function of(
        Kit $kit,
        BuildSteps $steps,
        Headcount $class,
        ?CutPlan $cuts,
        array $changes = [],
        array $own = [],
        bool $byMouth = false,
        bool $massVaries = false,
    ): self {
        $blows = self::takes($steps, BuildStep::StretchBalloon);
        $lines = [
            ...self::parts($kit, $class, $cuts, $byMouth, $blows),
            ...self::supplies($steps),
            ...($massVaries ? [new Material('ballast', 4, Per::Group)] : []),
            ...self::ofTheLane(),
        ];

        return new self(
            [...array_map(static fn(Material $line): Material => $line->with(...($changes[$line->key] ?? [null, null])), $lines), ...$own],
            $class,
            $cuts,
        );
    }

    /**
     * For a class that compares two: what both are built of once, and of the rest what each of the two takes.
     *
     * @param self $one for the groups that build the one, with as many straws as they take
     * @param self $other for those that build the other
     * @param bool $isRebuilt whether each group gets both, since it changes the one for the other
     * @param array<string, array{0: float|null, 1: float|null, 2?: int|null}> $changes amount, price and pack, by the key of a line
     */
    public function ofTwo(self $one, self $other, bool $isRebuilt, array $changes = []): self
    {
        $share = fn(self $of): float => $isRebuilt ? 1.0 : $of->class->groups / max(1, $this->class->groups);
        $lines = [];
        foreach ($this->lines as $line) {
            [$a, $b] = [$one->line($line->key), $other->line($line->key)];
            if ($line->ownName === null && ($a === null || $b === null || $a->part !== $b->part)) {
                continue;
            }
            if ($a?->fixed === null || $b?->fixed === null) {
                $lines[] = $line;
                continue;
            }
            $lines[] = $line->totalling($isRebuilt ? max($a->fixed, $b->fixed) : $a->fixed + $b->fixed, $this->class);
        }
        foreach ([[$one, $other, false], [$other, $one, true]] as [$of, $beside, $isOther]) {
            foreach ($of->lines as $line) {
                $same = $beside->line($line->key);
                $isShared = $same !== null && $same->part === $line->part;
                // Who changes the nozzle keeps the bearings.
                $isHad = $isOther && $isRebuilt && $line->key === 'straws-for-bearings';
                if ($line->ownName === null && !$isShared && !$isHad) {
                    $lines[] = $line->for($share($of), $isOther);
                }
            }
        }
        usort($lines, static fn(Material $a, Material $b): int => self::rank($a) <=> self::rank($b));

        return new self(array_map(
            static fn(Material $line): Material => $line->with(...($changes[$line->key] ?? [null, null])),
            $lines,
        ), $this->class, $this->cuts);
    }

    private function line(string $key): ?Material
    {
        foreach ($this->lines as $line) {
            if ($line->key === $key) {
                return $line;
            }
        }

        return null;
    }

    /** What cars are made of stands first, in the order of the build. */
    private static function rank(Material $line): int
    {
        $place = array_search($line->kind(), self::PARTS, true);

        return $place === false ? count(self::PARTS) : $place;
    }

    /** @return list<Material> of what the cars are made */
    private static function parts(Kit $kit, Headcount $class, ?CutPlan $cuts, bool $byMouth, bool $blows): array
    {
        $of = static fn(PartKind $kind): array => ['part' => $kit->name($kind), 'alternatives' => self::others($kind, $kit)];
        $isCollected = static fn(PartKind $kind): bool => $kit->has($kind, PartTrait::Collected);

        return [
            new Material(
                'chassis',
                1,
                Per::Group,
                ...$of(PartKind::Chassis),
                isSpared: true,
                isEarly: $isCollected(PartKind::Chassis),
            ),
            new Material('wheels', 4, Per::Group, ...$of(PartKind::Wheel), isSpared: true, isEarly: $isCollected(PartKind::Wheel)),
            self::axles($kit, $class, $cuts),
            ...($blows ? [
                // By mouth each child has its own: nobody shares a mouthpiece.
                $byMouth
                    ? new Material('balloons', 1, Per::Learner, ...$of(PartKind::Balloon), isSpared: true)
                    : new Material('balloons', 2, Per::Group, ...$of(PartKind::Balloon), isSpared: true),
            ] : []),
            ...self::nozzle($kit, $class, $cuts, $blows),
        ];
    }

    private static function takes(BuildSteps $steps, BuildStep $step): bool
    {
        return in_array($step, array_column($steps->tasks, 'step'), true);
    }

    /** @return list<Material> whatever the steps of the build are done with, once each */
    private static function supplies(BuildSteps $steps): array
    {
        $taken = [];
        foreach ($steps->tasks as $task) {
            foreach ($task->supplies() as $supply) {
                $taken[$supply->value] = $supply;
            }
        }

        return array_values(array_map(self::supply(...), array_filter(
            Supply::cases(),
            // Pens are on the list of the lane.
            static fn(Supply $each): bool => isset($taken[$each->value]) && $each !== Supply::Pens,
        )));
    }

    private static function supply(Supply $supply): Material
    {
        [$amount, $per, $isSpared] = match ($supply) {
            Supply::Cutters, Supply::Knife, Supply::Saw => [1.0, Per::WholeClass, false],
            Supply::Scissors, Supply::Ruler, Supply::Putty, Supply::Pegs, Supply::Stickers, Supply::Card => [1.0, Per::Group, false],
            Supply::Pins, Supply::Brushes => [2.0, Per::Group, false],
            Supply::Tape, Supply::DoubleSidedTape, Supply::CraftGlue, Supply::Pump => [0.5, Per::Group, false],
            Supply::GlueGun, Supply::Paint => [0.25, Per::Group, false],
            Supply::GlueSticks, Supply::PaperClips, Supply::StrawPieces => [1.0, Per::Group, true],
            Supply::ElasticBands => [2.0, Per::Group, true],
            Supply::DriveBands => [4.0, Per::Group, true],
            Supply::Pens => [1.0, Per::Learner, false],
        };

        return new Material($supply->value, $amount, $per, isSpared: $isSpared);
    }

    /** @return list<Material> what a run day takes */
    private static function ofTheLane(): array
    {
        return [
            new Material('eyes', 1, Per::Learner),
            new Material('tape-measure', 1, Per::Lane),
            new Material('stopwatch', 1, Per::Lane),
            new Material('floor-tape', 1, Per::WholeClass),
            new Material('scale', 1, Per::WholeClass),
            new Material('notes', 1, Per::Learner),
            new Material('paper', 2, Per::Group),
            new Material('pens', 1, Per::Learner),
        ];
    }

    /** What everything with a price costs; null where nothing has one. */
    public function cost(): ?float
    {
        $costs = array_filter(
            array_map(fn(Material $line): ?float => $line->cost($this->class), $this->lines),
            static fn(?float $cost): bool => $cost !== null,
        );

        return $costs === [] ? null : array_sum($costs);
    }

    /** Whether some line has no price, so that the sum is a part only. */
    public function isPricedInPart(): bool
    {
        return array_filter($this->lines, static fn(Material $line): bool => $line->price === null) !== [];
    }

    /** @return list<Material> what must be collected early */
    public function early(): array
    {
        return array_values(array_filter($this->lines, static fn(Material $line): bool => $line->isEarly));
    }

    /** @return list<Material> what lies in one group's kit, whole; straws and skewers are cut to their pieces */
    public function inKit(): array
    {
        return array_values(array_filter($this->lines, static fn(Material $line): bool => $line->per === Per::Group
                && $line->amount >= 1.0 && !in_array(
                    $line->key,
                    ['straws', 'straws-for-bearings', 'straws-for-nozzles', 'nozzle-straws', 'skewers', 'rods'],
                    true,
                )));
    }

    /** @return array<string, array{float, int}> the cut pieces in one group's kit: length in m and number, by the value of a CutPiece */
    public function piecesInKit(): array
    {
        return $this->cuts?->pieces() ?? [];
    }

    private static function axles(Kit $kit, Headcount $class, ?CutPlan $cuts): Material
    {
        $others = self::others(PartKind::Bearing, $kit);
        if ($cuts === null || !$kit->bearsOnStraws()) {
            return new Material('axles', 2, Per::Group, $kit->bearing, true, alternatives: $others);
        }

        return new Material(
            $kit->usesSkewers() ? 'skewers' : 'rods',
            $cuts->axles->count() / max(1, $class->groups),
            Per::Group,
            alternatives: $others,
            fixed: $cuts->axles->count(),
        );
    }

    /** @return list<Material> */
    private static function nozzle(Kit $kit, Headcount $class, ?CutPlan $cuts, bool $blows): array
    {
        $lines = [];
        $others = self::others(PartKind::Nozzle, $kit);
        $each = static fn(CuttingStock $stock): float => $stock->count() / max(1, $class->groups);
        if ($cuts !== null && $cuts->straws->count() > 0) {
            $forNozzles = $blows && $kit->nozzleIsOfBearingStraw();
            $key = $forNozzles && $kit->bearsOnStraws() ? 'straws' : ($kit->bearsOnStraws() ? 'straws-for-bearings' : 'straws-for-nozzles');
            $lines[] = new Material(
                $key,
                $each($cuts->straws),
                Per::Group,
                alternatives: $forNozzles ? $others : [],
                fixed: $cuts->straws->count(),
            );
        }
        if (!$blows) {
            return $lines;
        }
        if ($cuts !== null && $cuts->nozzleStraws->count() > 0) {
            $lines[] = new Material(
                'nozzle-straws',
                $each($cuts->nozzleStraws),
                Per::Group,
                $kit->nozzle,
                alternatives: $others,
                fixed: $cuts->nozzleStraws->count(),
            );
        }
        if ($cuts === null || !$kit->blowsThroughStraws()) {
            $lines[] = new Material('nozzles', 1, Per::Group, $kit->nozzle, true, alternatives: $others);
        }

        return $lines;
    }

    /** @return list<string> */
    private static function others(PartKind $kind, Kit $kit): array
    {
        return array_values(array_map(
            static fn(Part $part): string => $part->name,
            array_filter($kit->catalogue()->of($kind), static fn(Part $part): bool => !$part->isCalled($kit->name($kind) ?? '')),
        ));
    }
}
