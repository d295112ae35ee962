<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** Rows are written by actions and by nobody else: whatever else may, here or by a name below, would be a second way. */
final class OnlyActionsWriteTest extends TestCase
{
    /** Of Eloquent and its query builder. */
    private const WRITES = [
        'save', 'saveQuietly', 'saveOrFail', 'saveMany', 'createMany', 'createQuietly', 'forceCreate', 'firstOrCreate', 'updateOrCreate',
        'createOrFirst', 'updateQuietly', 'updateOrFail',
        'deleteQuietly', 'forceDelete', 'insert', 'insertOrIgnore', 'insertGetId', 'insertUsing', 'upsert', 'updateOrInsert', 'increment',
        'decrement', 'incrementEach', 'touchOwners',
        'attach', 'detach', 'sync', 'syncWithoutDetaching', 'truncate', 'unprepared',
    ];

    /** Also what pages, policies and collections call their own: of these, only what is called on a query or a relation counts. */
    private const OFTEN_OTHERS = ['create', 'update', 'delete'];
    private const QUERIES = [
        'query', 'newQuery', 'withTrashed', 'table', 'where', 'whereKey', 'hasMany', 'runs', 'cars', 'groups', 'challenges', 'devices',
        'entries', 'readings', 'signIns', 'apiTokens', 'races',
    ];

    /** Not of the application's rows: the benchmark fills a database of its own; an answer that was worked out is kept. */
    private const BESIDE = ['Actions/', 'Console/Bench/', 'Console/Commands/Bench.php'];

    public function testNobodyElseDoes(): void
    {
        $found = [];
        $seen = 0;
        foreach ((new Finder())->files()->in(dirname(__DIR__, 2) . '/app')->name('*.php') as $file) {
            $path = str_replace('\\', '/', $file->getRelativePathname());
            $writes = self::writesIn($file->getContents());
            if (array_filter(self::BESIDE, static fn(string $beside): bool => str_starts_with($path, $beside)) !== []) {
                $seen += count($writes);
                continue;
            }
            foreach ($writes as $line => $name) {
                $found[] = "{$path}:{$line} {$name}()";
            }
        }
        self::assertSame([], $found);
        self::assertGreaterThan(50, $seen, 'actions write, and this test sees it');
    }

    /** @return array<int, string> what is called, by line */
    private static function writesIn(string $code): array
    {
        $tree = (new ParserFactory())->createForHostVersion()->parse($code) ?? [];
        $calls = (new NodeFinder())->find($tree, static fn(Node $node): bool => $node instanceof MethodCall || $node instanceof StaticCall);
        $found = [];
        foreach ($calls as $call) {
            assert($call instanceof MethodCall || $call instanceof StaticCall);
            $name = $call->name instanceof Node\Identifier ? $call->name->name : '';
            $isOfTheDatabase = $call instanceof StaticCall
                && $call->class instanceof Node\Name
                && $call->class->getLast() === 'DB'
                && in_array($name, ['insert', 'update', 'delete'], true);
            if (
                $isOfTheDatabase
                || $call instanceof MethodCall
                && (in_array($name, self::WRITES, true) || in_array($name, self::OFTEN_OTHERS, true) && self::isAQuery($call->var))
            ) {
                $found[$call->getStartLine()] = $name;
            }
        }

        return $found;
    }

    private static function isAQuery(Node $of): bool
    {
        while ($of instanceof MethodCall || $of instanceof StaticCall) {
            if ($of->name instanceof Node\Identifier && in_array($of->name->name, self::QUERIES, true)) {
                return true;
            }
            $of = $of instanceof MethodCall ? $of->var : $of->class;
        }

        return false;
    }
}
