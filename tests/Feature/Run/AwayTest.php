<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Exceptions\DatabaseIsAwayException;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Route;
use PDOException;
use PHPUnit\Framework\Attributes\TestWith;
use RedisException;
use Tests\Feature\FeatureTestCase;
use Throwable;

/** Where the database does not answer for a moment, that is said, and nothing is taken for a fault. */
final class AwayTest extends FeatureTestCase
{
    public function testAPageAndALaneAreToldToTryAgain(): void
    {
        Route::get(
            '/away',
            static fn() => throw self::fault(
                'SQLSTATE[08006] [7] connection to server at "127.0.0.1", port 6432 failed: Connection refused',
            ),
        );
        $this->get('/away')
            ->assertStatus(503)
            ->assertHeader('Retry-After', '2')
            ->assertSee('Skivo is away for a moment')
            ->assertSee('Nothing is lost.');
        $this->getJson('/away')
            ->assertStatus(503)
            ->assertJsonPath('message', 'Where runs are stored does not answer just now. Until it does, runs wait on the device.');
    }

    /** As PostgreSQL, PgBouncer and Redis say it. */
    #[TestWith(['SQLSTATE[HY000]: General error: 7 server closed the connection unexpectedly', true])]
    #[TestWith(['SQLSTATE[08P01]: <<Unknown error>>: 7 FATAL: query_wait_timeout', true])]
    #[TestWith(['SQLSTATE[08006] [7] FATAL: server login has been failing, try again later (server_login_retry)', true])]
    #[TestWith(['SQLSTATE[57P01]: Admin shutdown: 7 FATAL: terminating connection due to administrator command', true])]
    #[TestWith(['SQLSTATE[25006]: Read only sql transaction: 7 ERROR: cannot execute INSERT in a read-only transaction', true])]
    #[TestWith(['SQLSTATE[23505]: Unique violation: 7 ERROR: duplicate key value violates unique constraint', false])]
    #[TestWith(['SQLSTATE[42P01]: Undefined table: 7 ERROR: relation "connections" does not exist', false])]
    public function testWhatIsAwayIsToldFromWhatIsWrong(string $said, bool $isAway): void
    {
        self::assertSame($isAway, DatabaseIsAwayException::causedBy(self::fault($said)));
    }

    public function testRedisMayBeAwayToo(): void
    {
        self::assertTrue(DatabaseIsAwayException::causedBy(new \RuntimeException('', 0, new RedisException('Connection refused'))));
        self::assertFalse(DatabaseIsAwayException::causedBy(new \RuntimeException('server closed the connection unexpectedly')));
    }

    private static function fault(string $said): Throwable
    {
        $cause = new PDOException($said);
        $cause->errorInfo = [preg_match('/SQLSTATE\[(\w+)\]/', $said, $found) === 1 ? $found[1] : 'HY000'];

        return new QueryException('pgsql', 'select 1', [], $cause);
    }
}
