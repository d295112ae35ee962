<?php

declare(strict_types=1);

namespace Tests\Shell;

use PHPUnit\Framework\TestCase;
use Tests\CopiesTheTree;

/** An attribute of a car is added to a copy of the tree as CONTRIBUTING.md says, and with nothing else. */
final class AddAnAttributeTest extends TestCase
{
    use CopiesTheTree;

    private string $root = '';

    protected function setUp(): void
    {
        $this->root = sys_get_temp_dir() . '/skivo-' . bin2hex(random_bytes(4));
        $this->copyTree($this->root);
    }

    protected function tearDown(): void
    {
        exec('rm -rf ' . escapeshellarg($this->root));
    }

    public function testTheRecipeIsEnough(): void
    {
        $this->write('core/Car/Attribute/CarAttribute.php', "    case Mass = 'mass';\n", <<<'PHP'
                case Mass = 'mass';

                #[AttributeFacts(Step::Mass, Scale::Body, [0.01, 1.0], [0.02, 0.3], column: 'height of the mast', explains: Explains::AsNumber)]
                case MastHeight = 'mast_height';

            PHP);
        $this->write('lang/en/car.php', "    'mass' => 'mass',\n", "    'mass' => 'mass',\n    'mast_height' => 'height of the mast',\n");
        self::assertNotSame(0, $this->runs('php vendor/bin/phpunit tests/Core/ClassJsonTest.php')[0], 'the schemas are as they were');
        [$status, $said] = $this->runs('composer --no-interaction --quiet schemas');
        self::assertSame(0, $status, $said);
        [$status, $said] = $this->runs('php vendor/bin/phpunit --testsuite core --exclude-filter "SizesTest|FindingsProperties|Film|Race|Elastic"');
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('"mast_height"', (string) file_get_contents("{$this->root}/docs/class.schema.json"));
        // What is recorded of it, explains results, and is said by its name.
        [$status, $said] = $this->runs('php -r ' . escapeshellarg(<<<'PHP'
            require 'vendor/autoload.php';
            $class = ['cars' => []];
            foreach ([0.10, 0.10, 0.10, 0.20, 0.20, 0.20] as $at => $mast) {
                $runs = array_map(static fn(float $d): array => ['distance_m' => $d + 0.01 * $at], $mast > 0.15 ? [4.0, 4.1, 4.2] : [3.0, 3.1, 3.2]);
                $class['cars'][] = ['id' => "c{$at}", 'group' => "g{$at}", 'attributes' => ['mast_height' => $mast, 'mass' => 0.06], 'runs' => $runs];
            }
            $class['question'] = ['attribute' => 'mast_height'];
            echo json_encode(Skivo\Core\Exchange\FindingsReport::of(Skivo\Core\Findings\Findings::of(
                Skivo\Core\Exchange\ClassReader::read(json_encode($class, JSON_THROW_ON_ERROR)),
                draws: 20,
            ))['question'], JSON_THROW_ON_ERROR);
            PHP));
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('mast_height', $said);
    }

    private function write(string $file, string $after, string $instead): void
    {
        $held = (string) file_get_contents("{$this->root}/{$file}");
        self::assertSame(1, substr_count($held, $after), "{$file} has the line that this test goes by");
        file_put_contents("{$this->root}/{$file}", str_replace($after, $instead, $held));
    }

    /** @return array{int, string} exit status, and what it said */
    private function runs(string $command): array
    {
        exec('cd ' . escapeshellarg($this->root) . " && COMPOSER_ALLOW_SUPERUSER=1 {$command} 2>&1", $said, $status);

        return [$status, implode("\n", $said)];
    }
}
