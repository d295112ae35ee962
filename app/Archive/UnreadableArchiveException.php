<?php

declare(strict_types=1);

namespace App\Archive;

use RuntimeException;
use Throwable;

/** A file that is no archive of a challenge, or not a whole one; its message is the key of a sentence. */
final class UnreadableArchiveException extends RuntimeException
{
    /** How much of a cell is shown (characters). */
    private const SHOWN = 40;

    /** @param array<string, string> $places which table, row, column and cell the sentence names */
    public function __construct(string $key, public readonly array $places = [], ?Throwable $previous = null)
    {
        parent::__construct($key, 0, $previous);
    }

    /** A cell that could not have been typed. */
    public static function cell(string $table, string $row, string $column, string $cell): self
    {
        return new self(
            'cell_does_not_fit',
            ['table' => $table, 'row' => $row, 'column' => $column, 'cell' => mb_strimwidth($cell, 0, self::SHOWN, '…')],
        );
    }

    /** A row that the database refuses. */
    public static function row(string $table, string $row, Throwable $previous): self
    {
        return new self('row_does_not_fit', ['table' => $table, 'row' => $row], $previous);
    }
}
