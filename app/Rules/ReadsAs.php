<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnreadableQuantity;

/** A field in which a person types a quantity, such as 8 1/2 in. */
final class ReadsAs implements ValidationRule
{
    /**
     * @param Unit $bareUnit of a number typed without one
     * @param Closure(float): ?string $complaint what is wrong with a value in SI, or null
     */
    public function __construct(
        private readonly Unit $bareUnit,
        private readonly Closure $complaint,
    ) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            $wrong = ($this->complaint)(self::read($value, $this->bareUnit)?->quantity->si() ?? 0.0);
            if ($wrong !== null) {
                $fail($wrong);
            }
        } catch (UnreadableQuantity $unreadable) {
            $fail($unreadable->getMessage());
        }
    }

    /** @throws UnreadableQuantity */
    public static function read(mixed $value, Unit $bareUnit): ?Entry
    {
        return is_scalar($value) && trim((string) $value) !== ''
            ? (new QuantityReader())->read((string) $value, $bareUnit)
            : null;
    }
}
