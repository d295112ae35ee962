<?php

declare(strict_types=1);

namespace App\Forms;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A long list of short rows of numbers, read by hand and no further than it is right: rules with wildcards are expanded to one for each
 * number before any of them is looked at.
 */
final readonly class RowsOfNumbers implements ValidationRule
{
    /** @param non-empty-list<array{float, float}> $columns least and greatest of each number of a row */
    public function __construct(
        private int $fewest,
        private int $most,
        private array $columns,
        private string $complaint,
    ) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (!is_array($value) || count($value) < $this->fewest || count($value) > $this->most || !$this->areRows($value)) {
            $fail($this->complaint);
        }
    }

    /** @param array<array-key, mixed> $rows */
    private function areRows(array $rows): bool
    {
        foreach ($rows as $row) {
            if (!is_array($row) || count($row) !== count($this->columns)) {
                return false;
            }
            foreach (array_values($row) as $index => $number) {
                [$least, $greatest] = $this->columns[$index];
                if (!is_int($number) && !is_float($number) || $number < $least || $number > $greatest) {
                    return false;
                }
            }
        }

        return true;
    }
}
