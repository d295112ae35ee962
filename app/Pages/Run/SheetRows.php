<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Record\ClassRecord;
use Skivo\Core\Exchange\RunRow;
use Skivo\Core\Exchange\SheetRow;

/** A class as the rows of its sheet. */
final readonly class SheetRows
{
    /** @return iterable<SheetRow> */
    public static function of(ClassRecord $record): iterable
    {
        foreach ($record->withRuns()->groups as $group) {
            if ($group->cars->isEmpty()) {
                yield new SheetRow(0, $group->name, $group->mark, 1, new \Skivo\Core\Car\Car(), null);
            }
            foreach ($group->cars as $car) {
                $choices = $car->choices;
                if ($car->runs->isEmpty()) {
                    yield new SheetRow(0, $group->name, $group->mark, $car->version, $choices, null);
                }
                foreach ($car->runs as $run) {
                    yield new SheetRow(
                        0,
                        $group->name,
                        $group->mark,
                        $car->version,
                        $choices,
                        new RunRow($run->try, $run->record()),
                    );
                }
            }
        }
    }
}
