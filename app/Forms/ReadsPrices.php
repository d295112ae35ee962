<?php

declare(strict_types=1);

namespace App\Forms;

/** Amounts and prices as people write them: 0,10 and $0.10 and 10.00 € are numbers, too. */
trait ReadsPrices
{
    /** @param list<string> $fields */
    private function readPrices(array $fields): void
    {
        foreach ($fields as $field) {
            $typed = $this->input($field);
            if (is_string($typed)) {
                $this->merge([$field => str_replace(',', '.', (string) preg_replace('/^\s*\p{Sc}\s*|\s*\p{Sc}\s*$/u', '', $typed))]);
            }
        }
    }
}
