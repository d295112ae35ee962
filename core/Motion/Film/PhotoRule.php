<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Statistics\Estimate;

/**
 * A ruler that is laid over a photograph: something of known length in it says how long other things in the same plane are. What a tap
 * is off by at each end, and what lies a little nearer or farther than the known thing, makes up the uncertainty (GUM 5.1.6, relative).
 */
final readonly class PhotoRule
{
    /** A tap is off by so many px of the screen in either direction (standard deviation). From trial, as marks on a film. */
    private const TAP_PX = 1.2;

    /** A part lies nearer or farther than the known thing, and the photo is taken a little askew: so much of a length. From trial. */
    private const OUT_OF_PLANE = 0.012;

    /** A length shorter than so many px of the screen tells nothing. */
    public const SHORTEST_PX = 12.0;

    /** Known lengths that differ by more than this many standard deviations do not lie in one plane, or one is wrong. */
    private const APART = 3.0;

    private function __construct(
        private float $mPerPx,
        private float $relative,
        private float $perScreenPx,
        public bool $isAskew,
    ) {}

    /**
     * @param list<array{float, float}> $known px in the photo, and m, of each thing of known length
     * @param float $perScreenPx px of the photo to one of the screen on which it was tapped
     *
     * @throws UnreadableFilmException where nothing known is there, or too short
     */
    public static function of(array $known, float $perScreenPx): self
    {
        if ($known === []) {
            throw new UnreadableFilmException(new Remark('photo.nothing_known'));
        }
        $perScreenPx = max(1e-3, $perScreenPx);
        $weights = $logs = [];
        foreach ($known as [$px, $metres]) {
            if ($px < self::SHORTEST_PX * $perScreenPx || $metres <= 0.0) {
                throw new UnreadableFilmException(new Remark('photo.known_too_short'));
            }
            $weights[] = 1.0 / (self::ofTaps($px, $perScreenPx) ** 2 + self::OUT_OF_PLANE ** 2);
            $logs[] = log($metres / $px);
        }
        $sum = array_sum($weights);
        $mean = array_sum(array_map(static fn(float $w, float $log): float => $w * $log, $weights, $logs)) / $sum;
        $apart = 0.0;
        foreach ($logs as $i => $log) {
            $apart = max($apart, abs($log - $mean) * sqrt($weights[$i]));
        }
        // Of one known length, its own plane is the plane; it errs by its taps alone.
        $relative = count($known) === 1 ? self::ofTaps($known[0][0], $perScreenPx) : sqrt(1.0 / $sum);

        return new self(exp($mean), $relative, $perScreenPx, $apart > self::APART);
    }

    /** How long something is that takes so many px of the photo (m). Null where it is too short to tell. */
    public function length(float $px): ?Estimate
    {
        if ($px < self::SHORTEST_PX * $this->perScreenPx) {
            return null;
        }
        $metres = $px * $this->mPerPx;
        $relative = sqrt($this->relative ** 2 + self::ofTaps($px, $this->perScreenPx) ** 2 + self::OUT_OF_PLANE ** 2);

        return new Estimate($metres, $metres * $relative);
    }

    /** What the taps at both its ends make a length uncertain by, of itself. */
    private static function ofTaps(float $px, float $perScreenPx): float
    {
        return M_SQRT2 * self::TAP_PX * $perScreenPx / $px;
    }
}
