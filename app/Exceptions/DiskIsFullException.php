<?php

declare(strict_types=1);

namespace App\Exceptions;

use App\Language\Text;
use Illuminate\Database\QueryException;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Throwable;

/** There was no room to store something. Nothing of it was stored. */
final class DiskIsFullException extends HttpException
{
    public function __construct(Throwable $cause)
    {
        parent::__construct(507, Text::of('errors.page.no_room_for_runs'), $cause);
    }

    /** By PostgreSQL's own code (53100, disk full), or by what the system says when a file cannot be written. */
    public static function causedBy(Throwable $fault): bool
    {
        for ($each = $fault; $each !== null; $each = $each->getPrevious()) {
            if (
                ($each instanceof QueryException && ($each->errorInfo[0] ?? $each->getCode()) === '53100')
                    || str_contains($each->getMessage(), 'No space left on device')
            ) {
                return true;
            }
        }

        return false;
    }
}
