<?php

declare(strict_types=1);

namespace App\Forms;

use App\Language\Words;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\UnreadableQuantityException;

/** A field in which a person types a quantity, such as 8 1/2 in. */
final class ReadsAs implements ValidationRule
{
    /**
     * @param Unit $bareUnit of a number typed without one
     * @param Closure(float): ?Remark $complaint what is wrong with a value in SI, or null
     * @param UnitSystem $units in which that is said
     */
    public function __construct(
        private readonly Unit $bareUnit,
        private readonly Closure $complaint,
        private readonly UnitSystem $units,
    ) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            $wrong = ($this->complaint)(self::read($value, $this->bareUnit)?->quantity->si() ?? 0.0);
            if ($wrong !== null) {
                $fail((new Words($this->units))->say($wrong));
            }
        } catch (UnreadableQuantityException $unreadable) {
            $fail((new Words($this->units))->say($unreadable->remark()));
        }
    }

    /** The unit in which what was typed is read, where it was typed without one; else null. */
    public static function bare(mixed $value, Unit $unit): ?Unit
    {
        return is_scalar($value) && preg_match('/[\p{L}"″”“\'′’]/u', (string) $value) === 1 ? null : $unit;
    }

    /** @throws UnreadableQuantityException */
    public static function read(mixed $value, Unit $bareUnit): ?Entry
    {
        return is_scalar($value) && trim((string) $value) !== ''
            ? (new QuantityReader())->read((string) $value, $bareUnit)
            : null;
    }
}
