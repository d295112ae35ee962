<?php

declare(strict_types=1);

namespace App\Forms;

use Skivo\Core\Measurement\Expected;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnreadableQuantityException;

/** For forms in which quantities are typed: each is judged by what is expected of it, and what looks like a slip is asked about. */
trait JudgesQuantities
{
    /** What is asked of a field; null where nothing is. */
    private function slipIn(string $field, Expected $expected, Unit $bareUnit, Scale $scale): ?string
    {
        $typed = $this->input($field);
        try {
            $si = ReadsAs::read($typed, $bareUnit)?->quantity->si();
        } catch (UnreadableQuantityException) {
            // It is refused anyway.
            return null;
        }
        $slip = $si === null ? null : $expected->slip($si, ReadsAs::bare($typed, $bareUnit));

        return $slip === null ? null : $this->words()->say($slip->question($scale));
    }
}
