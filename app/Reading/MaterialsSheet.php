<?php

declare(strict_types=1);

namespace App\Reading;

use Skivo\Core\Exchange\Csv;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;

/** The list of materials as CSV, one line each. */
final readonly class MaterialsSheet
{
    public static function csv(ClassPlan $plan): string
    {
        $materials = $plan->materials();
        $rows = [['item', 'amount', 'for each', 'unit', 'spares', 'total', 'price each', 'cost', 'collect early', 'or instead']];
        foreach ($materials->lines as $line) {
            $rows[] = [
                Csv::text($line->name),
                $line->fixed === null ? self::number($line->amount) : '',
                $line->fixed === null ? $line->per->value : '',
                Csv::text($line->unit),
                $line->isSpared || $line->fixed !== null ? $plan->plan->spares_percent . ' %' : '',
                (string) $line->total($materials->class),
                $line->price === null ? '' : number_format($line->price, 2, '.', ''),
                self::cost($line, $materials->class),
                $line->isEarly ? 'yes' : '',
                Csv::text(implode(', ', $line->alternatives)),
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
