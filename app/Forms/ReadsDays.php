<?php

declare(strict_types=1);

namespace App\Forms;

use App\Language\Moment;

/** Days that people type as they write them: before a request is judged, they are what a date field would have sent. */
trait ReadsDays
{
    private function readDays(string ...$fields): void
    {
        foreach ($fields as $field) {
            $typed = $this->input($field);
            if (is_string($typed)) {
                $this->merge([$field => Moment::read($typed)]);
            }
        }
    }
}
