<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** What was typed is more likely a slip than right. */
final readonly class Slip
{
    public function __construct(
        /** What was typed, as it was read (SI). */
        public float $value,
        /** What is expected (SI). */
        public float $expected,
        /** What was meant instead, most likely (SI); null where nothing of the kind fits. */
        public ?float $meant = null,
        /** In which unit, where only that was another. */
        public ?Unit $in = null,
    ) {}

    /** What is asked. */
    public function question(Scale $scale): Remark
    {
        $key = $this->value > $this->expected ? 'more' : 'less';
        $values = [
            'value' => new Shown($this->value, $scale, $this->value < 0.1 * $this->expected ? 1 : 0),
            'expected' => new Shown(self::roughly($this->expected), $scale),
        ];

        return match (true) {
            $this->meant === null => new Remark("quantity.slip.{$key}", $values),
            $this->in === null => new Remark("quantity.slip.{$key}_meant", $values + ['meant' => new Shown($this->meant, $scale)]),
            default => new Remark(
                "quantity.slip.{$key}_unit",
                $values + ['meant' => +round($this->meant / $this->in->inSiRoughly(), 3), 'unit' => $this->in],
            ),
        };
    }

    /** To two digits: more are not known beforehand. */
    private static function roughly(float $si): float
    {
        return round($si, 1 - (int) floor(log10($si)));
    }
}
