<?php

declare(strict_types=1);

namespace App\Language;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** Says what the core remarks on, in the units of a class. */
final readonly class Words
{
    public function __construct(private UnitSystem $units) {}

    public function say(Remark $remark): string
    {
        $values = array_map($this->value(...), $remark->values);
        $count = $remark->values['count'] ?? null;

        return is_int($count) ? trans_choice($remark->code, $count, $values) : (string) __($remark->code, $values);
    }

    public function show(Shown $shown): string
    {
        return $this->units->show($shown->si, $shown->scale, $shown->moreDecimals);
    }

    private function value(mixed $value): string
    {
        return match (true) {
            $value instanceof Shown => $this->show($value),
            $value instanceof Remark => $this->say($value),
            $value instanceof Unit => $value->value,
            $value instanceof \UnitEnum => Label::inside($value),
            is_array($value) => Lists::and(array_values(array_map($this->value(...), $value))),
            is_float($value) => Figure::of($value),
            default => is_scalar($value) ? (string) $value : '',
        };
    }
}
