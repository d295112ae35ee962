<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Language\Text;
use Illuminate\Database\QueryException;
use PDOException;
use RedisException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Throwable;

/**
 * The database, or Redis, can't be reached, or takes nothing for now, as while another takes its place. What was sent was not confirmed.
 */
final class DatabaseIsAwayException extends HttpException
{
    private const AGAIN_S = 2;

    /** PostgreSQL's classes and codes: connection exceptions, shut down or starting, and one that may only be read. */
    private const CODES = '/^(08...|57P0[1-5]|25006)$/';

    /** PDO says no code of its own where there was no connection, and a pooler says what it lacks. */
    private const WORDS
        = '/could not connect|connection to server|server closed the connection|server conn crashed|server_login|query_wait_timeout|no connection to the server|pgbouncer cannot connect|SSL SYSCALL/i';

    public function __construct(Throwable $cause)
    {
        parent::__construct(503, Text::of('errors.page.no_database_for_runs'), $cause, ['Retry-After' => (string) self::AGAIN_S]);
    }

    public static function causedBy(Throwable $fault): bool
    {
        for ($each = $fault; $each !== null; $each = $each->getPrevious()) {
            if (
                $each instanceof RedisException
                || ($each instanceof QueryException || $each instanceof PDOException)
                    && (
                        preg_match(self::CODES, (string) ($each->errorInfo[0] ?? $each->getCode())) === 1
                        || preg_match(self::WORDS, $each->getMessage()) === 1
                    )
            ) {
                return true;
            }
        }

        return false;
    }
}
