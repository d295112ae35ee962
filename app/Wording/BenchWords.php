<?php

declare(strict_types=1);

namespace App\Wording;

use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Force;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Estimate;

/** The bench in words: how each test is done, what it gave, and what it stands for. */
final readonly class BenchWords
{
    public function __construct(private UnitSystem $units) {}

    /** @return list<string> how it is done, step by step */
    public function steps(BenchTest $test): array
    {
        return match ($test) {
            BenchTest::Ramp => ['Prop up a board and let it end flush on the floor. Balloon empty, on the car.', 'Hold the car on the board, measure how high its front axle is above where it will be on the floor, and let go.', 'Measure from below the release point to the stop, along the floor.', 'Three times from the same height. The height may be left empty after the first row.'],
            BenchTest::Tilt => ['Stand the car on a board and raise one end, nudging the car, until it just keeps rolling at a steady pace.', 'Measure how far the end is raised, and how long the board is along the floor.'],
            BenchTest::Pull => ['Hook a light thread to the front and pull it level with a luggage scale, slowly and steadily.', 'Read the scale while the car rolls, not as it starts. Or let a cup with coins pull over the table’s edge, and weigh the cup that just keeps it rolling.'],
            BenchTest::CoastDown => ['Two marks on the floor. Push the car off well before the first, balloon empty.', 'Time it from mark to mark.', 'Measure from the second mark to where it stops.'],
            BenchTest::StaticThrust => ['Stand a kitchen scale on its side against a wall, or upright with the car held above it, nose down, nozzle up.', 'Fill the balloon to its running size, set the scale to zero with the car touching, let go of the nozzle.', 'Read the highest steady value within the first second.'],
            BenchTest::FirstStretch => ['Mark a short stretch from the start line: about half a metre, well before the balloon is empty.', 'Time it from release to the mark, three times. From a film it is surer than by hand.'],
            BenchTest::Pressure => ['A clear hose bent to a U, half full of water, one end joined to the filled balloon.', 'Measure how much higher the water stands on the open side, and the balloon’s diameter at that moment.'],
            BenchTest::Spin => ['Lift the car, flick the wheel always alike, and time it until it stands.'],
        };
    }

    public function gives(BenchTest $test): string
    {
        return match ($test->measures()) {
            Force::Friction => 'Gives the friction f, in the place of what the parts say.',
            Force::Thrust => 'Gives the first push, in the place of what balloon and nozzle say.',
            Force::Pressure => 'Gives this balloon’s pressure, in the place of a usual one’s.',
            null => 'Compares wheels before and after a repair. No force follows from it.',
        };
    }

    /** A result with half its 95 % interval, as in 0.098 ± 0.012. */
    public function result(BenchTest $test, Estimate $estimate): string
    {
        return match ($test->measures()) {
            Force::Friction => 'f = ' . self::withHalf($estimate, 3),
            Force::Thrust => $this->thrust($estimate),
            Force::Pressure => self::withHalf($estimate, 2) . ' times the usual balloon’s pressure',
            null => self::withHalf($estimate, 1) . "\u{00A0}s",
        };
    }

    public function friction(Estimate $estimate): string
    {
        return self::withHalf($estimate, 3);
    }

    /** In mN, with what a scale would show. */
    public function thrust(Estimate $estimate): string
    {
        return self::withHalf($estimate->times(1000.0), 0) . "\u{00A0}mN, as of {$this->units->show($estimate->value / 9.80665, Scale::Weight)} on a scale";
    }

    /** @param list<BenchTest> $tests */
    public function origin(array $tests): string
    {
        return $tests === [] ? 'estimated from the parts' : 'measured: ' . Lists::and(array_map(static fn(BenchTest $test): string => mb_strtolower($test->label()), $tests), 9);
    }

    /**
     * The same in two words, for a table.
     *
     * @param list<BenchTest> $tests
     */
    public function briefly(array $tests): string
    {
        return $tests === [] ? 'from the parts' : 'by ' . Lists::and(array_map(static fn(BenchTest $test): string => mb_strtolower($test->label()), $tests), 2);
    }

    /** How measured forces compare with what the model has from the parts. */
    public function againstModel(Forces $forces): ?Sentence
    {
        if ($forces->isBeyondModel) {
            return new Sentence('The push on the scale is not one of this balloon.', 'No pressure that a balloon bears would give it through this nozzle. Check the reading, its unit, and the bore on the build sheet.');
        }
        $said = [];
        if ($forces->frictionIsMeasured()) {
            $said[] = 'rolls with ' . self::times($forces->friction->value / $forces->modelFriction->value) . ' the friction that its parts would have';
        }
        if ($forces->thrustIsMeasured()) {
            $said[] = 'is pushed by ' . self::times($forces->thrust->value / max(1e-9, $forces->modelThrust->value)) . ' what a usual balloon gives through this nozzle';
        }

        return $said === [] ? null : new Sentence('It ' . Lists::and($said, 9) . '.', $forces->frictionIsMeasured() && $forces->friction->value > 1.5 * $forces->modelFriction->value ? 'Glue, tape on an axle, a rubbing wheel or a crushed straw make such a difference.' : '');
    }

    public static function times(float $ratio): string
    {
        return match (true) {
            $ratio > 0.93 && $ratio < 1.07 => 'about',
            default => number_format($ratio, 1) . ' times',
        };
    }

    private static function withHalf(Estimate $estimate, int $decimals): string
    {
        $half = $estimate->interval()->high - $estimate->value;

        return number_format($estimate->value, $decimals) . ' ± ' . number_format($half, $decimals);
    }
}
