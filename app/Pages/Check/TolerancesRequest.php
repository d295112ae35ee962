<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Label;
use App\Language\Text;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Tolerance;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;

/** The limits by which a challenge judges its checks, as typed; empty for the usual ones. */
final class TolerancesRequest extends FormRequest
{
    use InUnitsOfTheClass;

    public const LIMITS = ['fixBelow', 'goodFrom', 'goodTo', 'fixAbove'];

    /** Of what is no length or time: a right angle (degrees), and more than anybody drifts. */
    private const GREATEST_PLAIN = 90.0;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [];
        foreach (self::items() as $item) {
            foreach (self::limitsOf($item) as $limit) {
                $unit = self::isPlain($item)
                    ? null
                    : $this->units()->unit($item->scale() ?? throw new \LogicException('Only what is measured has limits.'));
                $rules[self::name($item, $limit)] = ['nullable', 'string', $unit === null
                    ? static function (string $attribute, mixed $value, Closure $fail): void {
                        $number = is_string($value) ? str_replace(',', '.', $value) : '';
                        if (!is_numeric($number) || (float) $number < 0.0 || (float) $number > self::GREATEST_PLAIN) {
                            $fail(Text::of('check.form.write_a_number_such_as_0'));
                        }
                    }
                    : new ReadsAs(
                        $unit,
                        static fn(float $si): ?Remark => $si <= $item->greatest() ? null : new Remark('check.too_large'),
                        $this->units(),
                    )];
            }
        }

        return $rules;
    }

    /** @return list<Closure> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            foreach (self::items() as $item) {
                if (!$this->tolerance($item)->isInOrder()) {
                    $validator->errors()->add(
                        self::name($item, self::limitsOf($item)[0]),
                        Text::of('check.form.what_must_be_mended_has_to', ['item' => Label::of($item)]),
                    );
                }
            }
        }];
    }

    /** @return array<string, array<string, float|null>> by item, only those that differ from the usual */
    public function tolerances(): array
    {
        $own = [];
        foreach (self::items() as $item) {
            $tolerance = $this->tolerance($item);
            if (!$tolerance->equals($item->usualTolerance())) {
                $own[$item->value] = [
                    'goodFrom' => $tolerance->goodFrom, 'goodTo' => $tolerance->goodTo, 'fixBelow' => $tolerance->fixBelow,
                    'fixAbove' => $tolerance->fixAbove,
                ];
            }
        }

        return $own;
    }

    /** @return list<CheckItem> those that are measured */
    public static function items(): array
    {
        return array_values(array_filter(CheckItem::cases(), static fn(CheckItem $item): bool => $item->usualTolerance() !== null));
    }

    /** @return list<string> the limits that an item has */
    public static function limitsOf(CheckItem $item): array
    {
        $usual = $item->usualTolerance();

        return array_values(array_filter(self::LIMITS, static fn(string $limit): bool => $usual?->{$limit} !== null));
    }

    public static function name(CheckItem $item, string $limit): string
    {
        return CheckRequest::key($item) . "_{$limit}";
    }

    /** Whether its limits are plain numbers: degrees, or a drift for the distance. */
    public static function isPlain(CheckItem $item): bool
    {
        return $item === CheckItem::Parallel || $item === CheckItem::Drift;
    }

    private function tolerance(CheckItem $item): Tolerance
    {
        $usual = $item->usualTolerance() ?? throw new \LogicException('Only what is measured has limits.');
        $limit = function (string $name) use ($item, $usual): ?float {
            $typed = $this->input(self::name($item, $name));
            if ($usual->{$name} === null || !is_string($typed)) {
                return $usual->{$name};
            }
            if (!self::isPlain($item)) {
                return ReadsAs::read(
                    $typed,
                    $this->units()->unit(
                        $item->scale() ?? throw new \LogicException('Only what is measured has limits.'),
                    ) ?? throw new \LogicException('It has a unit.'),
                )?->quantity->si();
            }
            $number = (float) str_replace(',', '.', $typed);

            return $item === CheckItem::Drift ? $number / $this->units()->perSi(Scale::Slope) : $number;
        };

        return new Tolerance($limit('goodFrom'), $limit('goodTo'), $limit('fixBelow'), $limit('fixAbove'));
    }
}
