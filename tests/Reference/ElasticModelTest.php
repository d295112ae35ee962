<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Exchange\DesignReader;
use Skivo\Core\Exchange\RunReport;
use Skivo\Core\Simulation\ElasticSimulator;

/** The car with a wound band against SciPy's solution of the same equations, computed while the test runs. */
final class ElasticModelTest extends TestCase
{
    use AgreesClosely;

    /** @var array<string, mixed>|null */
    private static ?array $solved = null;

    /** @return array<string, array<string, mixed>> what differs from the worked design of the first case */
    private static function differences(): array
    {
        return [
            'the worked design' => [],
            'it grips all the way' => ['elastic' => ['turns' => 5], 'drive' => ['static_friction' => 1.0, 'kinetic_friction' => 0.8]],
            'it spins at the start' => ['elastic' => ['turns' => 22, 'section_area_m2' => 6e-6]],
            'it spins for long' => ['elastic' => ['turns' => 30, 'section_area_m2' => 8e-6], 'drive' => ['driven_load_share' => 0.3]],
            'tied, it brakes' => ['elastic' => ['release' => 'tied']],
            'tied, it brakes until the wheels slip' => [
                'elastic' => ['release' => 'tied', 'turns' => 2],
                'drive' => ['driven_load_share' => 0.2, 'static_friction' => 0.3, 'kinetic_friction' => 0.25],
                'start' => ['speed_m_s' => 1.6],
            ],
            'it hangs slack at rest' => ['elastic' => ['installed_length_m' => 0.15, 'turns' => 14]],
            'it is stretched at rest' => ['elastic' => ['installed_length_m' => 0.32, 'turns' => 6]],
            'no start' => ['elastic' => ['turns' => 3.5], 'car' => ['mass_kg' => 0.3, 'rolling_coefficient' => 0.08]],
            'breakaway holds it' => ['elastic' => ['turns' => 5], 'car' => ['rolling_coefficient' => 0.06, 'breakaway_ratio' => 3.0]],
            'spinning on the spot' => [
                'elastic' => ['turns' => 25, 'section_area_m2' => 8e-6], 'drive' => ['driven_load_share' => 0.05],
                'car' => ['rolling_coefficient' => 0.06],
            ],
            'pushed off' => ['start' => ['speed_m_s' => 0.8]],
            'pushed off with nothing wound' => ['elastic' => ['turns' => 0], 'start' => ['speed_m_s' => 1.2]],
            'it stops with turns left' => [
                'elastic' => ['turns' => 20], 'car' => ['rolling_coefficient' => 0.3, 'mass_kg' => 0.05], 'start' => ['speed_m_s' => 0.9],
            ],
            'large wheels' => ['drive' => ['wheel_radius_m' => 0.06, 'spin_inertia_kg_m2' => 4e-5], 'elastic' => ['turns' => 12]],
            'broken turns on a thick axle' => ['elastic' => ['turns' => 3.75], 'drive' => ['axle_radius_m' => 0.006]],
        ];
    }

    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        foreach (array_keys(self::differences()) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('cases')]
    public function testAgreesWithSciPy(string $name): void
    {
        $expected = self::solved()[$name];
        $run = ElasticSimulator::run(DesignReader::readElastic(json_encode(self::design($name), JSON_THROW_ON_ERROR)));
        $actual = RunReport::ofElastic($run);

        self::assertSame([$expected['moves'], $expected['initial']['slips']], [$actual['moves'], $actual['initial']['slips']]);
        self::assertSame($expected['band_free'] === null, $actual['band_free'] === null);
        $this->compare($expected, $actual, '');
    }

    public function testTheCasesAreWhatTheyAreCalled(): void
    {
        $solved = self::solved();
        self::assertFalse($solved['no start']['moves']);
        self::assertSame([false, true], [$solved['spinning on the spot']['moves'], $solved['spinning on the spot']['initial']['slips']]);
        self::assertSame(
            [true, false],
            [$solved['it spins at the start']['initial']['slips'], $solved['it grips all the way']['initial']['slips']],
        );
        self::assertGreaterThan(0.0, $solved['tied, it brakes until the wheels slip']['slip_time_s']);
        self::assertFalse($solved['tied, it brakes until the wheels slip']['initial']['slips'], 'it slips only later');
        self::assertNull($solved['it stops with turns left']['band_free']);
        self::assertLessThan($solved['the worked design']['distance_m'], $solved['tied, it brakes']['distance_m']);
    }

    /**
     * @param array<string, mixed> $expected
     * @param array<string, mixed> $actual
     */
    private function compare(array $expected, array $actual, string $path): void
    {
        foreach ($expected as $key => $value) {
            if (is_array($value)) {
                $this->compare($value, $actual[$key], "{$path}{$key}.");
            } elseif (is_float($value) || is_int($value)) {
                abs((float) $value) < 1e-9
                    ? self::assertEqualsWithDelta(0.0, $actual[$key], 1e-8, $path . $key)
                    : self::assertRelative((float) $value, (float) $actual[$key], 1e-5, $path . $key);
            }
        }
    }

    /** @return array<string, mixed> */
    private static function solved(): array
    {
        return self::$solved ??= SciPy::ask(
            "sys.path.insert(0, '"
                . __DIR__
                . "')\nimport elastic_model\nout = {name: elastic_model.solve(design) for name, design in data.items()}",
            array_combine(array_keys(self::differences()), array_map(self::design(...), array_keys(self::differences()))),
        );
    }

    /** @return array<string, mixed> */
    private static function design(string $name): array
    {
        return array_replace_recursive(
            [
                'elastic' => [
                    'relaxed_length_m' => 0.24, 'section_area_m2' => 3e-6, 'installed_length_m' => 0.2, 'turns' => 8, 'release' => 'free',
                ],
                'drive' => [
                    'axle_radius_m' => 0.002, 'wheel_radius_m' => 0.02, 'driven_load_share' => 0.6, 'static_friction' => 0.6,
                    'kinetic_friction' => 0.45, 'spin_inertia_kg_m2' => 2e-6,
                ],
                'car' => ['mass_kg' => 0.07, 'wheel_equivalent_mass_kg' => 0.003, 'rolling_coefficient' => 0.01],
            ],
            self::differences()[$name],
        );
    }
}
