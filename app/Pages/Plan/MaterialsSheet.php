<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Label;
use App\Language\Text;
use App\Record\ClassPlan;
use Skivo\Core\Exchange\Csv;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;

/** The list of materials as CSV, one line each. */
final readonly class MaterialsSheet
{
    public static function csv(ClassPlan $plan): string
    {
        $materials = $plan->materials();
        $rows = [
            [
                Text::of('plan.materials_sheet.item'),
                Text::of('plan.materials_sheet.amount'),
                Text::of('plan.materials_sheet.for_each'),
                Text::of('plan.materials_sheet.unit'),
                Text::of('plan.materials_sheet.spares'),
                Text::of('plan.materials_sheet.total'),
                Text::of('plan.materials_sheet.price_each'),
                Text::of('plan.materials_sheet.cost'),
                Text::of('plan.materials_sheet.collect_early'),
                Text::of('plan.materials_sheet.or_instead'),
            ],
        ];
        foreach ($materials->lines as $line) {
            $rows[] = [
                Csv::text(MaterialWords::material($line)),
                $line->fixed === null ? self::number($line->amount) : '',
                $line->fixed === null ? Label::of($line->per) : '',
                Csv::text(MaterialWords::unit($line)),
                $line->isSpared || $line->fixed !== null ? $plan->plan->spares_percent . ' %' : '',
                (string) $line->total($materials->class),
                $line->price === null ? '' : number_format($line->price, 2, '.', ''),
                self::cost($line, $materials->class),
                $line->isEarly ? Text::of('frame.yes') : '',
                Csv::text(implode(', ', MaterialWords::instead($line))),
            ];
        }

        return Csv::write($rows);
    }

    private static function cost(Material $line, Headcount $class): string
    {
        $cost = $line->cost($class);

        return $cost === null ? '' : number_format($cost, 2, '.', '');
    }

    private static function number(float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }
}
