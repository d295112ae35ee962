<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/**
 * Kinds that a build sheet offers; any other may be typed. Common practice, no source.
 */
final readonly class Suggestions
{
    /** @return list<string> */
    public static function for(Choice $choice): array
    {
        return match ($choice) {
            Choice::NozzleKind => ['drinking straw', 'wide straw', 'bundle of straws', 'stepped tubes', 'baster tube', 'plastic tube', 'balloon neck'],
            Choice::WheelKind => ['bottle caps', 'jar lids', 'card discs', 'optical discs', 'bought wheels', 'pulley wheels with rubber ring'],
            Choice::Chassis => ['corrugated card', 'foam board', 'packing foam', 'plastic bottle', 'paper cup', 'craft stick', 'brick kit'],
            Choice::Bearing => ['bamboo skewer in a plastic straw', 'steel rod in a plastic straw', 'plastic hub on steel', 'brick-kit axle in its beam'],
            Choice::Joint => ['elastic band', 'tape', 'hot glue'],
            Choice::Surface => ['varnished wood', 'vinyl', 'tile', 'concrete', 'short carpet', 'asphalt'],
            default => [],
        };
    }
}
