<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\Kit;
use Skivo\Core\Car\Part;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/**
 * What a class needs for the kit that was chosen: what to buy or collect, and what lies in each group's kit.
 *
 * Amounts are common practice, no source; each can be changed.
 */
final readonly class Materials
{
    /** @param list<Material> $lines in the order in which one would look for them */
    private function __construct(
        public array $lines,
        public Headcount $class,
        private ?CutPlan $cuts,
    ) {}

    /**
     * @param CutPlan|null $cuts null where the lengths don't fit what they are cut from
     * @param array<string, array{float|null, float|null}> $changes amount and price, by the key of a line
     * @param list<Material> $own further lines
     * @param bool $byMouth whether balloons are filled by mouth
     * @param bool $massVaries whether groups may choose how heavy their car is
     */
    public static function of(Kit $kit, Catalogue $catalogue, Headcount $class, ?CutPlan $cuts, array $changes = [], array $own = [], bool $byMouth = false, bool $massVaries = false): self
    {
        $pierces = $kit->usesSkewers() || str_contains($kit->wheels, 'caps') || str_contains($kit->wheels, 'lids');
        $lines = [
            new Material('chassis', self::chassis($kit), 1, Per::Group, 'pieces', true, self::isFound($kit->chassis), self::others(PartKind::Chassis, $kit->chassis, $catalogue)),
            new Material('wheels', "Wheels: {$kit->wheels}", 4, Per::Group, 'wheels', true, self::isFound($kit->wheels), self::others(PartKind::Wheel, $kit->wheels, $catalogue)),
            ...self::axles($kit, $catalogue, $class, $cuts),
            new Material('balloons', "Balloons: {$kit->balloon}", 2, Per::Group, 'balloons', true, false, self::others(PartKind::Balloon, $kit->balloon, $catalogue)),
            ...self::nozzle($kit, $catalogue, $class, $cuts),
            new Material('bands', 'Elastic bands', 2, Per::Group, 'bands', true, false, ['tape']),
            new Material('tape', 'Sticky tape', 0.5, Per::Group, 'rolls', false, false, ['masking tape']),
            ...($kit->usesHotGlue() ? [
                new Material('glue-gun', 'Glue gun, low temperature', 0.25, Per::Group, 'guns', false, false, ['tape', 'craft glue, with time to set']),
                new Material('glue-sticks', 'Glue sticks', 1, Per::Group, 'sticks', true),
            ] : []),
            new Material('scissors', 'Scissors', 1, Per::Group, 'pairs'),
            ...($pierces ? [
                new Material('pins', 'Push pins, for pilot holes', 2, Per::Group, 'pins'),
                new Material('putty', 'Putty to pierce on', 1, Per::Group, 'lumps', false, false, ['cork', 'thick eraser']),
            ] : []),
            ...($massVaries ? [new Material('ballast', 'Ballast, to make a car heavier', 4, Per::Group, 'pieces', false, false, ['coins', 'washers', 'modelling clay'])] : []),
            ...($byMouth ? [] : [new Material('pump', 'Balloon pump', 0.5, Per::Group, 'pumps', false, false, ['by mouth: one balloon, one child'])]),
            new Material('eyes', 'Eye protection', 1, Per::Learner, 'pairs'),
            new Material('tape-measure', 'Tape measure, the length of the lane', 1, Per::Lane, 'tapes', false, false, ['marks on the floor and a ruler']),
            new Material('stopwatch', 'Stopwatch', 1, Per::Lane, 'watches', false, false, ['the clock on the Run page']),
            new Material('floor-tape', 'Tape for start line and lanes', 1, Per::WholeClass, 'rolls'),
            new Material('scale', 'Kitchen scale', 1, Per::WholeClass, 'scales'),
            new Material('notes', 'Notebook sheets', 1, Per::Learner, 'sheets'),
            new Material('paper', 'Paper to sketch on', 2, Per::Group, 'sheets'),
            new Material('pens', 'Pens and pencils', 1, Per::Learner, 'pens'),
        ];

        return new self(
            [...array_map(static fn(Material $line): Material => $line->with(...($changes[$line->key] ?? [null, null])), $lines), ...$own],
            $class,
            $cuts,
        );
    }

    /** What everything with a price costs; null where nothing has one. */
    public function cost(): ?float
    {
        $costs = array_filter(array_map(fn(Material $line): ?float => $line->cost($this->class), $this->lines), static fn(?float $cost): bool => $cost !== null);

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

    /**
     * What lies in one group's kit, as its label says: name and number. Straws and skewers are cut to their pieces.
     *
     * @return list<array{string, int}>
     */
    public function kitContents(UnitSystem $units): array
    {
        $contents = [];
        foreach ($this->lines as $line) {
            if ($line->per !== Per::Group || $line->amount < 1.0 || in_array($line->key, ['straws', 'nozzle-straws', 'skewers'], true)) {
                continue;
            }
            $contents[] = [$line->name, (int) ceil($line->amount)];
        }
        foreach ($this->cuts?->pieces() ?? [] as $name => [$length, $each]) {
            $contents[] = ["{$name}, {$units->show($length, Scale::Body)}", $each];
        }

        return $contents;
    }

    /** @return list<Material> */
    private static function axles(Kit $kit, Catalogue $catalogue, Headcount $class, ?CutPlan $cuts): array
    {
        $others = self::others(PartKind::Bearing, $kit->bearing, $catalogue);
        if ($cuts === null || !$kit->bearsOnStraws()) {
            return [new Material('axles', "Axles: {$kit->bearing}", 2, Per::Group, 'axles', true, false, $others)];
        }
        $rod = $kit->usesSkewers() ? 'Bamboo skewers' : 'Rods for axles';

        return [new Material('skewers', $rod, $cuts->axles->count() / max(1, $class->groups), Per::Group, 'pieces', false, false, $others, null, $cuts->axles->count())];
    }

    /** @return list<Material> */
    private static function nozzle(Kit $kit, Catalogue $catalogue, Headcount $class, ?CutPlan $cuts): array
    {
        $lines = [];
        $others = self::others(PartKind::Nozzle, $kit->nozzle, $catalogue);
        if ($cuts !== null && $cuts->straws->count() > 0) {
            $forNozzles = $kit->nozzleIsOfBearingStraw();
            $what = $forNozzles && $kit->bearsOnStraws() ? 'for bearings and nozzles' : ($kit->bearsOnStraws() ? 'for bearings' : 'for nozzles');
            $lines[] = new Material('straws', "Drinking straws, {$what}", $cuts->straws->count() / max(1, $class->groups), Per::Group, 'straws', false, false, $forNozzles ? $others : [], null, $cuts->straws->count());
        }
        if ($cuts !== null && $cuts->nozzleStraws->count() > 0) {
            $lines[] = new Material('nozzle-straws', "Nozzle: {$kit->nozzle}", $cuts->nozzleStraws->count() / max(1, $class->groups), Per::Group, 'straws', false, false, $others, null, $cuts->nozzleStraws->count());
        }
        if ($cuts === null || !$kit->blowsThroughStraws()) {
            $lines[] = new Material('nozzles', "Nozzle: {$kit->nozzle}", 1, Per::Group, 'nozzles', true, false, $others);
        }

        return $lines;
    }

    private static function chassis(Kit $kit): string
    {
        return "Chassis: {$kit->chassis}";
    }

    /** Things that are collected from households, which takes weeks. Common practice, no source. */
    private static function isFound(string $name): bool
    {
        return preg_match('/cap|lid|disc|bottle|cup|packing/i', $name) === 1 && preg_match('/card disc/i', $name) !== 1;
    }

    /** @return list<string> */
    private static function others(PartKind $kind, string $but, Catalogue $catalogue): array
    {
        return array_values(array_map(
            static fn(Part $part): string => $part->name,
            array_filter($catalogue->of($kind), static fn(Part $part): bool => !$part->isCalled($but)),
        ));
    }
}
