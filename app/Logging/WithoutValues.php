<?php

declare(strict_types=1);

namespace App\Logging;

use Illuminate\Database\QueryException;
use Illuminate\Log\Logger;
use Monolog\Logger as Monolog;
use Monolog\LogRecord;
use PDOException;
use Throwable;

/**
 * Keeps what was stored or typed out of the log: of a fault in the database only its code, the statement with its
 * placeholders and where it came from are written, never the message, which holds values.
 */
final class WithoutValues
{
    public function __invoke(Logger $logger): void
    {
        $monolog = $logger->getLogger();
        if ($monolog instanceof Monolog) {
            $monolog->pushProcessor(self::cleaned(...));
        }
    }

    public static function cleaned(LogRecord $record): LogRecord
    {
        $fault = $record->context['exception'] ?? null;
        if (!$fault instanceof Throwable || ($cause = self::ofDatabase($fault)) === null) {
            return $record;
        }
        $statement = $cause instanceof QueryException ? $cause->getSql() : 'a statement';

        return $record->with(
            message: "Database fault {$cause->getCode()} in: {$statement}",
            context: ['at' => "{$cause->getFile()}:{$cause->getLine()}", 'from' => array_slice(
                array_map(
                    static fn(array $frame): string => ($frame['file'] ?? '?') . ':' . ($frame['line'] ?? '?'),
                    $cause->getTrace(),
                ),
                0,
                40,
            )],
        );
    }

    private static function ofDatabase(Throwable $fault): QueryException|PDOException|null
    {
        for ($each = $fault; $each !== null; $each = $each->getPrevious()) {
            if ($each instanceof QueryException || $each instanceof PDOException) {
                return $each;
            }
        }

        return null;
    }
}
