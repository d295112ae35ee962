<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

/**
 * Rows as CSV (RFC 4180): UTF-8 with a byte order mark, so that spreadsheets read it as such, lines ended by CR LF.
 */
final readonly class Csv
{
    public const BYTE_ORDER_MARK = "\u{FEFF}";

    /** @param iterable<array<int|string, string>> $rows */
    public static function write(iterable $rows, Separator $separator = Separator::Comma): string
    {
        $file = fopen('php://temp', 'w+');
        if ($file === false) {
            throw new \RuntimeException('There is no memory to write the sheet in.');
        }
        foreach ($rows as $cells) {
            fputcsv($file, $cells, $separator->character(), '"', '', "\r\n");
        }
        rewind($file);

        return self::BYTE_ORDER_MARK . stream_get_contents($file);
    }

    /**
     * A text that a spreadsheet will not run as a formula (OWASP, CSV Injection): those that could start
     * one are led by an apostrophe, which SheetReader takes off again.
     */
    public static function text(string $text): string
    {
        return preg_match('/^\'*[=+\-@\t\r\n＝＋－＠]/u', $text) === 1 ? "'{$text}" : $text;
    }
}
