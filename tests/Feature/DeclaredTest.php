<?php

declare(strict_types=1);

namespace Tests\Feature;

use Composer\Autoload\ClassLoader;
use PHPUnit\Framework\TestCase;
use ReflectionClass;
use ReflectionFunction;
use Symfony\Component\Finder\Finder;

/**
 * What the code uses is declared: extensions and packages in composer.json, folders in the documents, which stay short where they should.
 */
final class DeclaredTest extends TestCase
{
    /** Read in two minutes with the commands left out. */
    private const README_WORDS = 900;

    /** What every PHP has, whatever it was built with. */
    private const ALWAYS = [
        'Core', 'standard', 'date', 'pcre', 'hash', 'SPL', 'Reflection', 'random', 'json', 'ctype', 'tokenizer', 'filter', 'session',
        'Phar',
    ];

    public function testTheExtensionsThatAreUsedAreDeclared(): void
    {
        $used = [];
        foreach ($this->sources('app', 'core', 'config', 'database', 'devices', 'routes') as $name => $code) {
            foreach (\PhpToken::tokenize($code) as $at => $token) {
                if ($token->is([T_STRING, T_NAME_FULLY_QUALIFIED])) {
                    $extension = $this->extension(ltrim($token->text, '\\'));
                    if ($extension !== null) {
                        $used[$extension][] = $name;
                    }
                }
            }
        }
        $declared = array_map(
            static fn(string $name): string => substr($name, 4),
            array_filter(
                array_keys($this->composer()['require'] + $this->composer()['suggest']),
                static fn(string $name): bool => str_starts_with($name, 'ext-'),
            ),
        );
        foreach ($used as $extension => $names) {
            $missing[] = in_array($extension, $declared, true) ? null : "{$extension}: " . implode(', ', array_unique($names));
        }
        self::assertSame([], array_filter($missing ?? []));
        self::assertArrayHasKey('gd', $used);
        self::assertArrayHasKey('zip', $used);
    }

    public function testThePackagesThatAreImportedAreDeclared(): void
    {
        $composer = $this->composer();
        $for = [
            'require' => $this->sources('app', 'core', 'config', 'database', 'devices', 'routes'),
            'require-dev' => $this->sources('tests'),
        ];
        foreach ($for as $list => $sources) {
            $declared = array_keys($list === 'require' ? $composer['require'] : $composer['require'] + $composer['require-dev']);
            foreach ($sources as $name => $code) {
                preg_match_all('/^use (?:function )?([A-Z][\\\\\w]+)(?: as \w+)?;/m', $code, $uses);
                foreach ($uses[1] as $class) {
                    $package = $this->package($class);
                    // What the framework is made of comes with it, at the versions that it asks for.
                    if (
                        $package !== null
                        && !str_starts_with($package, 'symfony/')
                        && !in_array($package, ['nesbot/carbon', 'monolog/monolog', 'psr/log', 'psr/http-message'], true)
                    ) {
                        $missing[$package] = in_array($package, $declared, true) ? null : "{$class} in {$name}";
                    }
                }
            }
        }
        self::assertSame([], array_filter($missing ?? []));
    }

    /** The list says of every package what its files were when somebody looked at them. */
    public function testEveryPackageIsListedWithItsHash(): void
    {
        $lines = file(self::root('php-packages.txt'), FILE_IGNORE_NEW_LINES) ?: [];
        self::assertGreaterThan(50, count($lines));
        foreach ($lines as $line) {
            self::assertMatchesRegularExpression('~^[a-z0-9._/-]+ \S+ [0-9a-f]{64}$~', $line);
        }
    }

    public function testTheArchitectureNamesTheFoldersThatAreThere(): void
    {
        $are = static fn(string $in): array => array_map(basename(...), glob(self::root("{$in}/*"), GLOB_ONLYDIR) ?: []);
        $text = (string) file_get_contents(self::root('docs/architecture.md'));
        $part = static fn(string $from, string $to): string => substr(
            $text,
            (int) strpos($text, $from),
            (int) strpos($text, $to) - (int) strpos($text, $from),
        );
        preg_match_all('~^  (\w+)/ ~m', $part("\ncore/", "\napp/"), $core);
        self::assertEqualsCanonicalizing($are('core'), $core[1]);
        preg_match_all('~^  (?:\w+/ ?)+~m', $part("\napp/", "\nresources/"), $app);
        self::assertEqualsCanonicalizing($are('app'), explode('/ ', trim(implode(' ', array_map(trim(...), $app[0])), '/ ')));
        preg_match_all('~^    ((?:\w+/ ?)+)$~m', $part("\napp/", "\nresources/"), $rooms);
        self::assertEqualsCanonicalizing($are('app/Pages'), explode('/ ', trim($rooms[1][0], '/ ')));
    }

    public function testEveryLinkInTheDocumentsLeadsSomewhere(): void
    {
        $checked = 0;
        foreach ([self::root('README.md'), self::root('CONTRIBUTING.md'), ...(glob(self::root('docs/*.md')) ?: [])] as $document) {
            preg_match_all('~\]\((?!https?:|#)([^)#]+)~', (string) file_get_contents($document), $links);
            foreach ($links[1] as $link) {
                self::assertFileExists(dirname($document) . "/{$link}", basename($document));
                $checked++;
            }
        }
        self::assertGreaterThan(40, $checked);
        self::assertLessThanOrEqual(
            self::README_WORDS,
            str_word_count((string) file_get_contents(self::root('README.md'))),
            'README in two minutes',
        );
    }

    private function extension(string $name): ?string
    {
        $extension = function_exists($name) && (new ReflectionFunction($name))->isInternal()
            ? (new ReflectionFunction($name))->getExtensionName()
            : (
                class_exists($name, false)
                && (new ReflectionClass($name))->isInternal() ? (new ReflectionClass($name))->getExtensionName() : false
            );

        return is_string($extension) && !in_array($extension, self::ALWAYS, true) ? strtolower($extension) : null;
    }

    private function package(string $class): ?string
    {
        foreach (ClassLoader::getRegisteredLoaders() as $vendor => $loader) {
            $file = $loader->findFile($class);
            if (
                is_string($file)
                && preg_match('~/([^/]+/[^/]+)~', substr((string) realpath($file), strlen((string) realpath($vendor))), $found) === 1
                && str_starts_with((string) realpath($file), (string) realpath($vendor))
            ) {
                return $found[1] === 'laravel/framework' ? 'laravel/framework' : $found[1];
            }
        }

        return null;
    }

    /** @return array<string, string> by name */
    private function sources(string ...$folders): array
    {
        $sources = [];
        foreach (Finder::create()->files()->name('*.php')->in(array_map(self::root(...), $folders)) as $file) {
            $sources[$file->getRelativePathname()] = $file->getContents();
        }

        return $sources;
    }

    /** @return array{require: array<string, string>, require-dev: array<string, string>, suggest: array<string, string>} */
    private function composer(): array
    {
        /** @var array{require: array<string, string>, require-dev: array<string, string>, suggest: array<string, string>} $composer */
        $composer = json_decode((string) file_get_contents(self::root('composer.json')), true, 16, JSON_THROW_ON_ERROR);

        return $composer;
    }

    private static function root(string $path): string
    {
        return dirname(__DIR__, 2) . "/{$path}";
    }

    public function testWhatRunsByLongOnlyIsListedWithItsReason(): void
    {
        $tree = dirname(__DIR__);
        $long = [];
        foreach ((new Finder())->files()->in($tree)->name('*Test.php')->notName('DeclaredTest.php') as $file) {
            if (preg_match("/#\[Group\('long'\)\]|\bLong::or\(|Long::is\(\) \?|\|\| Long::is/", $file->getContents()) === 1) {
                $long[] = $file->getBasename('.php');
            }
        }
        preg_match_all(
            '/^\| `(\w+Test)` \| .{10,} \| .{5,} \|$/m',
            (string) file_get_contents(dirname($tree) . '/CONTRIBUTING.md'),
            $listed,
        );
        self::assertNotSame([], $long);
        self::assertEqualsCanonicalizing($long, $listed[1]);
    }
}
