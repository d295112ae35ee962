<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Session\WholeFileSessions;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\Session;
use Tests\Feature\FeatureTestCase;

final class SessionTest extends FeatureTestCase
{
    public function testASessionIsReplacedAsAWholeAndNothingIsLeftBeside(): void
    {
        $folder = sys_get_temp_dir() . '/skivo-sessions-' . bin2hex(random_bytes(4));
        mkdir($folder);
        $sessions = new WholeFileSessions(new Filesystem(), $folder, 10);
        $sessions->write('a', str_repeat('long', 100));
        $before = fopen("{$folder}/a", 'r');
        self::assertIsResource($before);
        $sessions->write('a', 'short');

        self::assertSame('short', $sessions->read('a'));
        self::assertSame(400, strlen((string) stream_get_contents($before)), 'whoever was reading still reads all of the old one');
        self::assertSame(['a'], array_values(array_diff((array) scandir($folder), ['.', '..'])));
        (new Filesystem())->deleteDirectory($folder);
    }

    public function testTheApplicationUsesThem(): void
    {
        self::assertInstanceOf(WholeFileSessions::class, Session::driver('whole-file')->getHandler());
    }
}
