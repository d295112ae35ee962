<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Motion\Trace\Trace;
use Skivo\Core\Motion\Trace\UnreadableTraceException;

/**
 * Reads a trace from CSV: a moment (s) and a place (m) a line, the first two columns, with or without a header; comma,
 * semicolon or tab between them. A header may say cm or mm, or ms.
 */
final readonly class TraceFile
{
    /**
     * @return list<array{float, float}>
     *
     * @throws UnreadableTraceException
     */
    public static function read(string $bytes): array
    {
        if (!mb_check_encoding($bytes, 'UTF-8') || str_contains($bytes, "\0")) {
            throw new UnreadableTraceException(new Remark('trace.not_text'));
        }
        $lines = array_filter(
            explode("\n", str_replace(["\r\n", "\r", "\u{FEFF}"], ["\n", "\n", ''], $bytes)),
            static fn(string $line): bool => trim($line) !== '',
        );
        $points = [];
        $second = $metre = 1.0;
        foreach ($lines as $index => $line) {
            $separator = str_contains($line, "\t") ? "\t" : (str_contains($line, ';') ? ';' : ',');
            $cells = array_map(static fn(?string $cell): string => trim((string) $cell), str_getcsv($line, $separator, '"', ''));
            $numbers = array_map(
                static fn(?string $cell): string => $separator === ',' ? (string) $cell : str_replace(',', '.', (string) $cell),
                array_slice($cells, 0, 2),
            );
            if (count($numbers) === 2 && is_numeric($numbers[0]) && is_numeric($numbers[1])) {
                $points[] = [(float) $numbers[0] * $second, (float) $numbers[1] * $metre];
            } elseif ($points === []) {
                $second = preg_match('/\bms\b/i', (string) $cells[0]) === 1 ? 0.001 : 1.0;
                $metre = match (true) {
                    preg_match('/\bmm\b/i', $cells[1] ?? '') === 1 => 0.001,
                    preg_match('/\bcm\b/i', $cells[1] ?? '') === 1 => 0.01,
                    default => 1.0,
                };
            } else {
                throw new UnreadableTraceException(
                    new Remark('trace.not_a_point', ['line' => $index + 1, 'text' => mb_strimwidth($line, 0, 40, '…')]),
                );
            }
        }
        Trace::of($points);

        return $points;
    }
}
