<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/**
 * The parts that a class's cars may be built of, with starting values for the run model.
 *
 * Where a value says "memory", it was recalled without a document at hand, and a bench test should replace
 * it; sizes are common practice, no source.
 */
final readonly class Catalogue
{
    private const SIZE = 'common practice';
    private const LOSS = 'losses and masses from memory; sizes common practice';
    private const STRAW = 'common practice, no source';

    /** @param list<Part> $parts */
    public function __construct(public array $parts) {}

    public static function standard(): self
    {

        return new self([
            self::part(PartKind::Balloon, 'round 30 cm', [0.30, 0.060, 0.00025, 0.015], 'nominal size common practice; relaxed size and film from memory', '12 in round'),
            self::part(PartKind::Balloon, 'round 23 cm', [0.23, 0.050, 0.00025, 0.013], 'nominal size common practice; relaxed size and film from memory', '9 in round'),
            self::part(PartKind::Balloon, 'round 13 cm', [0.13, 0.035, 0.00022, 0.010], 'from memory', '5 in round'),
            self::part(PartKind::Nozzle, 'drinking straw', [0.006, 0.15], self::STRAW, 'straw'),
            self::part(PartKind::Nozzle, 'wide straw', [0.008, 0.15], self::STRAW),
            self::part(PartKind::Nozzle, 'bundle of straws', [0.006, 0.12], self::STRAW),
            self::part(PartKind::Nozzle, 'stepped tubes', [0.00635, 0.10], 'bores 12.7, 9.5 and 6.35 mm: common practice, no source'),
            self::part(PartKind::Nozzle, 'plastic tube', [0.0095, 0.15], self::STRAW),
            self::part(PartKind::Nozzle, 'baster tube', [0.006, 0.16], self::STRAW),
            self::part(PartKind::Nozzle, 'balloon neck', [0.012, 0.03], self::STRAW),
            self::part(PartKind::Wheel, 'bottle caps', [0.030, 0.0025, 0.7, 0.006, 0.014, 0.0015], self::LOSS, 'caps', 'milk-jug caps'),
            self::part(PartKind::Wheel, 'jar lids', [0.060, 0.010, 0.7, 0.006, 0.012, 0.001], self::LOSS, 'lids', 'yoghurt lids'),
            self::part(PartKind::Wheel, 'card discs', [0.060, 0.003, 0.5, 0.012, 0.003, 0.003], self::LOSS, 'card'),
            self::part(PartKind::Wheel, 'optical discs', [0.120, 0.016, 0.52, 0.006, 0.0012, 0.0012], self::LOSS, 'discs'),
            self::part(PartKind::Wheel, 'bought wheels', [0.035, 0.004, 0.6, 0.006, 0.010, 0.010], self::LOSS, 'wheel-and-axle set'),
            self::part(PartKind::Wheel, 'pulley wheels with rubber ring', [0.040, 0.006, 0.8, 0.015, 0.008, 0.008], self::LOSS),
            self::part(PartKind::Bearing, 'bamboo skewer in a plastic straw', [0.003, 0.30, 0.0008, 0.005], 'friction from memory'),
            self::part(PartKind::Bearing, 'steel rod in a plastic straw', [0.003, 0.18, 0.006, 0.005], 'friction from memory'),
            self::part(PartKind::Bearing, 'plastic hub on steel', [0.002, 0.15, 0.003, 0.0022], 'friction from memory'),
            self::part(PartKind::Bearing, 'brick-kit axle in its beam', [0.0048, 0.25, 0.001, 0.0049], 'friction from memory'),
            self::part(PartKind::Chassis, 'corrugated card', [0.075, 0.15, 0.004], self::SIZE, 'card'),
            self::part(PartKind::Chassis, 'foam board', [0.10, 0.13, 0.005], self::SIZE),
            self::part(PartKind::Chassis, 'packing foam', [0.075, 0.15, 0.025], self::SIZE),
            self::part(PartKind::Chassis, 'plastic bottle', [0.065, 0.20, 0.065], self::SIZE, 'bottle'),
            self::part(PartKind::Chassis, 'paper cup', [0.08, 0.10, 0.08], self::SIZE),
            self::part(PartKind::Chassis, 'craft stick', [0.02, 0.15, 0.002], self::SIZE),
            self::part(PartKind::Chassis, 'brick kit', [0.065, 0.13, 0.02], self::SIZE),
            self::part(PartKind::Surface, 'varnished wood', [0.0], 'from memory', 'wood', 'gym floor'),
            self::part(PartKind::Surface, 'vinyl', [0.001], 'from memory', 'lino'),
            self::part(PartKind::Surface, 'tile', [0.001], 'from memory'),
            self::part(PartKind::Surface, 'concrete', [0.004], 'from memory'),
            self::part(PartKind::Surface, 'asphalt', [0.008], 'from memory'),
            self::part(PartKind::Surface, 'short carpet', [0.04], 'from memory', 'carpet'),
        ]);
    }

    /** @param list<float> $values in the order of the kind's fields */
    private static function part(PartKind $kind, string $name, array $values, string $origin, string ...$also): Part
    {
        return new Part($kind, $name, array_combine(array_keys($kind->fields()), $values), $origin, array_values($also));
    }

    /**
     * This catalogue with parts of the educator's own, which stand before those of the same name.
     *
     * @param list<Part> $own
     */
    public function with(array $own): self
    {
        return new self([...$own, ...array_values(array_filter($this->parts, static function (Part $part) use ($own): bool {
            foreach ($own as $mine) {
                if ($mine->kind === $part->kind && $mine->isCalled($part->name)) {
                    return false;
                }
            }

            return true;
        }))]);
    }

    /** @return list<Part> */
    public function of(PartKind $kind): array
    {
        return array_values(array_filter($this->parts, static fn(Part $part): bool => $part->kind === $kind));
    }

    /** The part that goes by a name, or null. */
    public function named(PartKind $kind, ?string $name): ?Part
    {
        foreach ($this->of($kind) as $part) {
            if ($name !== null && $part->isCalled($name)) {
                return $part;
            }
        }

        return null;
    }

    /** The part taken where nothing is known: the first of its kind. */
    public function usual(PartKind $kind): Part
    {
        return $this->of($kind)[0] ?? throw new \LogicException("The catalogue has no {$kind->value}.");
    }
}
