<?php

declare(strict_types=1);

namespace Tests\Core;

use Devices\Lens;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Motion\Film\PhotoRule;
use Skivo\Core\Motion\Film\UnreadableFilmException;
use Tests\Long;

/** Sizes from a photograph, against a camera whose geometry is known exactly. */
final class PhotoRuleTest extends TestCase
{
    public function testWhatLiesInOnePlaneIsMeasuredByWhatIsKnownInIt(): void
    {
        $rule = PhotoRule::of([[600.0, 0.3]], 1.0);
        self::assertEqualsWithDelta(0.05, $rule->length(100.0)?->value, 1e-12);
        self::assertNull($rule->length(5.0), 'too short to tell');
        self::assertFalse($rule->isAskew);
        // A photo shown at a quarter of its size is tapped four times as coarsely.
        self::assertGreaterThan(
            2.0 * $rule->length(100.0)->standardUncertainty,
            PhotoRule::of([[600.0, 0.3]], 4.0)->length(100.0)?->standardUncertainty,
        );
    }

    public function testKnownLengthsThatDisagreeAreSaidToDoSo(): void
    {
        self::assertFalse(PhotoRule::of([[600.0, 0.3], [198.0, 0.1]], 1.0)->isAskew);
        self::assertTrue(PhotoRule::of([[600.0, 0.3], [150.0, 0.1]], 1.0)->isAskew);
        foreach ([[], [[5.0, 0.3]], [[600.0, 0.0]]] as $known) {
            try {
                PhotoRule::of($known, 1.0);
                self::fail('It says so.');
            } catch (UnreadableFilmException $unreadable) {
                self::assertStringStartsWith('photo.', $unreadable->remark()->code);
            }
        }
    }

    /**
     * Cars seen from the side with a ruler against them, by lot: a little askew, parts a little nearer or farther, taps as coarse as
     * fingers are.
     */
    public function testIntervalsCoverWhatIsTrue(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(5));
        $between = static fn(float $low, float $high): float => $low + ($high - $low) * $chance->getInt(0, 1_000_000) / 1_000_000;
        $normal = static fn(): float => sqrt(-2.0 * log($between(1e-9, 1.0))) * cos(2 * M_PI * $between(0.0, 1.0));
        $covered = $near = 0;
        $trials = 2000;
        for ($trial = 0; $trial < $trials; $trial++) {
            $away = $between(0.35, 0.8);
            $lens = new Lens([$between(-0.08, 0.08), -$away, $between(0.02, 0.12)], [$between(-0.03, 0.03), 0.0, 0.04], 3000.0, 4000, 3000);
            $shown = $between(4.0, 10.0);
            $tapped = static function (float $from, float $to, float $z, float $y) use ($lens, $shown, $normal): float {
                [$u0, $v0] = $lens->sees($from, $y, $z);
                [$u1, $v1] = $lens->sees($to, $y, $z);

                return hypot($u1 - $u0 + 1.2 * $shown * ($normal() - $normal()), $v1 - $v0 + 1.2 * $shown * ($normal() - $normal()));
            };
            $rule = PhotoRule::of([[$tapped(-0.15, 0.15, -0.01, 0.004 * $normal()), 0.3]], $shown);
            $true = $between(0.03, 0.2);
            $said = $rule->length($tapped(-$true / 2, $true / 2, 0.03, 0.004 * $normal()));
            if ($said === null) {
                $covered++;
                continue;
            }
            $interval = $said->interval();
            $covered += $interval->low <= $true && $true <= $interval->high ? 1 : 0;
            $near += abs($said->value / $true - 1.0) < 0.1 ? 1 : 0;
        }
        self::assertGreaterThan(0.92 * $trials, $covered);
        self::assertLessThan(0.985 * $trials, $covered);
        self::assertGreaterThan(0.9 * $trials, $near);
        if (Long::is()) {
            fwrite(STDERR, sprintf("photo: covered %.3f, within a tenth %.3f\n", $covered / $trials, $near / $trials));
        }
    }
}
