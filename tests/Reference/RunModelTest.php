<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Exchange\DesignReader;
use Skivo\Core\Exchange\RunReport;
use Skivo\Core\Simulation\Simulator;

/** The simulated run against SciPy's solution of the same equations, computed while the test runs. */
final class RunModelTest extends TestCase
{
    use AgreesClosely;

    private const TOLERANCE = 1e-5;

    /** @var array<string, mixed>|null */
    private static ?array $solved = null;

    /** @return array<string, array<string, mixed>> what differs from the worked design of the first case */
    private static function differences(): array
    {
        return [
            'the worked design' => [],
            'light and free' => ['car' => ['mass_kg' => 0.03, 'rolling_coefficient' => 0.008]],
            'no start' => ['car' => ['mass_kg' => 0.4, 'rolling_coefficient' => 0.05]],
            'breakaway holds it' => ['car' => ['mass_kg' => 0.1, 'rolling_coefficient' => 0.07, 'breakaway_ratio' => 1.3]],
            'stops while it blows' => ['car' => ['rolling_coefficient' => 0.12], 'start' => ['speed_m_s' => 1.5]],
            'stepped tubes' => [
                'nozzle' => [
                    'segments' => [
                        ['bore_m' => 0.0127, 'length_m' => 0.1], ['bore_m' => 0.0095, 'length_m' => 0.1],
                        ['bore_m' => 0.00635, 'length_m' => 0.1],
                    ],
                ],
            ],
            'tubes that widen' => [
                'nozzle' => ['segments' => [['bore_m' => 0.004, 'length_m' => 0.05], ['bore_m' => 0.008, 'length_m' => 0.1]]],
            ],
            'a bundle' => ['nozzle' => ['parallel' => 5, 'segments' => [['bore_m' => 0.005, 'length_m' => 0.12]]]],
            'a long thin tube' => [
                'nozzle' => ['segments' => [['bore_m' => 0.002, 'length_m' => 0.4]]],
                'car' => ['mass_kg' => 0.02, 'rolling_coefficient' => 0.005],
            ],
            'no tube at all' => [
                'nozzle' => ['segments' => [['bore_m' => 0.009, 'length_m' => 0.0]], 'entry_loss' => 0.05, 'extra_loss' => 0.3],
            ],
            'two balloons' => ['balloon' => ['count' => 2, 'inflated_diameter_m' => 0.22], 'car' => ['mass_kg' => 0.09]],
            'blowing downwards' => ['nozzle' => ['angle_deg' => 25]],
            'blowing upwards' => ['nozzle' => ['angle_deg' => -15]],
            'off a ramp' => ['start' => ['speed_m_s' => 2.0]],
            'rolling with an empty balloon' => ['balloon' => ['inflated_diameter_m' => 0.06], 'start' => ['speed_m_s' => 1.2]],
            'a leak' => ['balloon' => ['leak_area_m2' => 4e-6]],
            'filled by mouth' => ['balloon' => ['filled_by' => 'mouth'], 'air' => ['temperature_c' => 12]],
            'hot humid air' => ['air' => ['temperature_c' => 38, 'pressure_pa' => 99000, 'relative_humidity' => 0.95]],
            'cold mountain air' => ['air' => ['temperature_c' => -5, 'pressure_pa' => 70000, 'relative_humidity' => 0.2]],
            'a stiff large balloon' => [
                'balloon' => [
                    'relaxed_diameter_m' => 0.09, 'film_thickness_m' => 0.0003, 'inflated_diameter_m' => 0.32, 'hardening' => 0.03,
                ],
                'car' => ['body_drag_area_m2' => 0.01],
            ],
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
        $actual = RunReport::of(Simulator::run(DesignReader::read(json_encode(self::design($name), JSON_THROW_ON_ERROR))));

        self::assertSame($expected['moves'], $actual['moves']);
        self::assertSame($expected['balloon_empty'] === null, $actual['balloon_empty'] === null);
        $this->compare($expected, $actual, '');
    }

    /** What the design that ships in the documentation gives, to one digit more than is promised. */
    public function testTheWorkedDesignToSixDigits(): void
    {
        $expected = self::solved()['the worked design']['initial'];
        $actual = RunReport::of(
            Simulator::run(DesignReader::read(json_encode(self::design('the worked design'), JSON_THROW_ON_ERROR))),
        )['initial'];

        foreach ($expected as $key => $value) {
            self::assertRelative($value, $actual[$key], 1e-6, $key);
        }
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
                $value === 0.0
                    ? self::assertEqualsWithDelta(0.0, $actual[$key], 1e-9, $path . $key)
                    : self::assertRelative((float) $value, (float) $actual[$key], self::TOLERANCE, $path . $key);
            }
        }
    }

    /** @return array<string, mixed> */
    private static function solved(): array
    {
        return self::$solved ??= SciPy::ask(
            "sys.path.insert(0, '"
                . __DIR__
                . "')\nimport run_model\nout = {name: run_model.solve(design) for name, design in data.items()}",
            array_combine(array_keys(self::differences()), array_map(self::design(...), array_keys(self::differences()))),
        );
    }

    /** @return array<string, mixed> */
    private static function design(string $name): array
    {
        return array_replace_recursive(
            [
                'balloon' => ['relaxed_diameter_m' => 0.06, 'film_thickness_m' => 0.00025, 'inflated_diameter_m' => 0.20],
                'nozzle' => ['segments' => [['bore_m' => 0.006, 'length_m' => 0.15]]],
                'car' => ['mass_kg' => 0.06, 'rolling_coefficient' => 0.03],
            ],
            self::differences()[$name],
        );
    }
}
