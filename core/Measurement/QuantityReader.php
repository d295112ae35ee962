<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

use Brick\Math\BigRational;

/**
 * Reads quantities as people write them: 8 1/2 in, 8½", 8.5", 21,6 cm, 216mm, 5 ft 3 in, 2 oz, 1:02.5.
 *
 * A number without a unit takes the unit of the form it was typed in.
 */
final readonly class QuantityReader
{
    private const MAX_CHARACTERS = 40;

    private const VULGAR_FRACTIONS = [
        '¼' => '1/4', '½' => '1/2', '¾' => '3/4', '⅓' => '1/3', '⅔' => '2/3',
        '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8', '⁄' => '/',
    ];

    private const TERM = '~\G\s*
        (?<number>
            (?<whole>\d+)[\s-]+(?<num>\d+)\s*/\s*(?<den>\d+)
          | (?<num2>\d+)\s*/\s*(?<den2>\d+)
          | \d[\d.,]*
          | [.,]\d+
        )
        \s*(?<unit>\'\'|′′|’’|["″”“\'′’]|\p{L}+\.?)?
        \s*~xu';

    public function __construct(
        private DecimalMark $decimalMark = DecimalMark::Either,
    ) {}

    /**
     * @param string $text what was typed
     * @param Unit $bareUnit the unit of a number typed without one
     *
     * @throws UnreadableQuantityException
     */
    public function read(string $text, Unit $bareUnit): Entry
    {
        $typed = trim(preg_replace('/[\s\x{00A0}\x{202F}]+/u', ' ', mb_scrub($text)) ?? '');
        $dimension = $bareUnit->dimension();
        if ($typed === '') {
            throw UnreadableQuantityException::empty();
        }
        if (mb_strlen($typed) > self::MAX_CHARACTERS) {
            throw UnreadableQuantityException::tooLong();
        }
        $spelled = self::inPlainDigits($typed);
        if (preg_match('/^[-−–]\s*[\d.,]/u', $spelled) === 1) {
            throw UnreadableQuantityException::negative($typed);
        }
        if ($dimension === Dimension::Time && preg_match('/^(\d{1,3}):([0-5]\d(?:[.,]\d+)?)$/', $spelled, $clock) === 1) {
            return new Entry(
                Quantity::of($clock[1], Unit::Minute)->plus(Quantity::of(str_replace(',', '.', $clock[2]), Unit::Second)),
                $typed,
            );
        }

        $spelled = trim((string) preg_replace(
            '~(?<=\d)\s*(?=[¼½¾⅓⅔⅛⅜⅝⅞])~u',
            ' ',
            $spelled,
        ));
        $spelled = strtr($spelled, self::VULGAR_FRACTIONS);
        $total = null;
        $previous = null;
        $unitTyped = false;
        $offset = 0;
        while ($offset < strlen($spelled)) {
            if (preg_match(self::TERM, $spelled, $term, PREG_UNMATCHED_AS_NULL, $offset) !== 1) {
                throw UnreadableQuantityException::noNumber($typed, $dimension);
            }
            $offset += strlen((string) $term[0]);
            $number = $this->number($term, $typed, $dimension);
            $unit = $bareUnit;
            if (($term['unit'] ?? null) !== null) {
                $unitTyped = true;
                $unit = Unit::fromWriting($term['unit']);
                if ($unit === null || $unit->dimension() !== $dimension) {
                    throw UnreadableQuantityException::unknownUnit($term['unit'], $dimension);
                }
            } elseif ($previous !== null) {
                $unit = $previous->continuesWith() ?? throw UnreadableQuantityException::mixedUnits($typed);
            }
            if ($previous !== null && $previous->continuesWith() !== $unit) {
                throw UnreadableQuantityException::mixedUnits($typed);
            }
            $part = Quantity::of($number, $unit);
            $total = $total === null ? $part : $total->plus($part);
            $previous = $unit;
        }
        if ($total === null) {
            throw UnreadableQuantityException::noNumber($typed, $dimension);
        }

        return new Entry($total, $unitTyped ? $typed : "{$typed} {$bareUnit->value}");
    }

    /** The digits of any script as 0 to 9, and the Arabic decimal sign as a point. */
    private static function inPlainDigits(string $text): string
    {
        return strtr(
            (string) preg_replace_callback(
                '/\p{Nd}/u',
                static fn(array $digit): string => (string) \IntlChar::charDigitValue($digit[0]),
                $text,
            ),
            ['٫' => '.'],
        );
    }

    /**
     * @param array<int|string, string|null> $term
     *
     * @throws UnreadableQuantityException
     */
    private function number(array $term, string $typed, Dimension $dimension): BigRational
    {
        $numerator = $term['num'] ?? $term['num2'] ?? null;
        $denominator = $term['den'] ?? $term['den2'] ?? null;
        if ($numerator !== null && $denominator !== null) {
            if (trim($denominator, '0') === '') {
                throw UnreadableQuantityException::divisionByZero($typed);
            }

            return BigRational::of("{$numerator}/{$denominator}")->plus($term['whole'] ?? 0);
        }

        $number = (string) ($term['number'] ?? '');
        if (preg_match_all('/[.,]/', $number) > 1) {
            throw UnreadableQuantityException::thousands($number);
        }
        if ($this->decimalMark === DecimalMark::Either && preg_match('/^[1-9]\d{0,2},\d{3}$/', $number) === 1) {
            throw UnreadableQuantityException::ambiguousComma($number);
        }
        $number = trim(str_replace(',', '.', $number));
        if (preg_match('/^(?:\d+(?:\.\d*)?|\.\d+)$/', $number) !== 1) {
            throw UnreadableQuantityException::noNumber($typed, $dimension);
        }
        [$whole, $decimals] = explode('.', "{$number}.");

        return BigRational::of(($whole === '' ? '0' : $whole) . '.' . ($decimals === '' ? '0' : $decimals));
    }
}
