<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Statistics\LinearModel;

/**
 * From pixels of a film to places on the lane. A line of the floor, seen in perspective, keeps cross ratios, whatever the camera's
 * angle: x = (a + b·s)/(1 + c·s), s along the line in the picture. Three marks fix it, more are fitted. Marks on both edges of
 * the lane fix the plane, by a homography, so that the line may lie anywhere on it
 * (Hartley & Zisserman, Multiple View Geometry, 2nd ed., 2.3 and 4.1; here with errors in the marks, by reweighting).
 */
final readonly class LaneScale
{
    public const FEWEST = 3;
    public const MOST = 24;

    /** A tap on a mark is off by so much in either direction (px, standard deviation), before marks say otherwise. From trial. */
    public const TAP_PX = 1.0;

    /** So many degrees of freedom that figure is worth. */
    private const TAP_FREEDOM = 4;

    /** Marks are fitted so often: the weights follow the scale, and settle at once. */
    private const ROUNDS = 6;

    /** On the line, the scale changes by less than this factor from end to end, or it is looked along. */
    private const GREATEST_SLANT = 60.0;

    /**
     * @param list<FilmMark> $marks
     * @param list<float> $fit a, b, c of the line; or of the plane, over and under the bar: x = (k₀·u + k₁·v + k₂)/(k₃·u + k₄·v + k₅)
     * @param float $perPx of the px that they were fitted in, by the picture's px: keeps the numbers near one
     * @param list<float> $missesM by which each mark lies beside what was fitted, along the lane
     */
    private function __construct(
        public FilmLine $line,
        public array $marks,
        private array $fit,
        private float $perPx,
        public array $missesM,
        public int $freedom,
    ) {}

    /**
     * @param list<FilmMark> $marks all on the line; or four or more on the edges, two at least on each
     *
     * @throws UnreadableFilmException where the marks can't fix a scale
     */
    public static function of(FilmLine $line, array $marks): self
    {
        if ($line->lengthPx < 40.0) {
            throw new UnreadableFilmException(new Remark('film.line_short'));
        }
        if (count($marks) > self::MOST) {
            throw new UnreadableFilmException(new Remark('film.too_many_marks', ['most' => self::MOST]));
        }
        $onEdges = array_filter($marks, static fn(FilmMark $mark): bool => $mark->edge !== null);
        $scale = $onEdges === [] ? self::ofLine($line, $marks) : self::ofPlane($line, $marks);
        // Forwards is forwards all along, and the far end is not looked at from the side of its own line.
        $slopes = array_map(static fn(float $share): float => $scale->metresPerPx($share * $line->lengthPx), [0.0, 0.25, 0.5, 0.75, 1.0]);
        if (min($slopes) <= 0.0 || max($slopes) > self::GREATEST_SLANT * min($slopes)) {
            throw new UnreadableFilmException(new Remark('film.marks_out_of_order'));
        }

        return $scale;
    }

    /** Of the lane (m) where the line's point so far along it lies. */
    public function placeM(float $alongPx): float
    {
        if (count($this->fit) === 3) {
            $s = $alongPx * $this->perPx;

            return ($this->fit[0] + $this->fit[1] * $s) / (1.0 + $this->fit[2] * $s);
        }

        return $this->ofPlaneM(...$this->line->at($alongPx));
    }

    /** How much of the lane one pixel of the line shows there (m). */
    public function metresPerPx(float $alongPx): float
    {
        return $this->placeM($alongPx + 0.5) - $this->placeM($alongPx - 0.5);
    }

    /** Where on the line (px) a place of the lane is seen; by bisection, for it grows all along. */
    public function alongPx(float $placeM): float
    {
        [$low, $high] = [-0.2 * $this->line->lengthPx, 1.2 * $this->line->lengthPx];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            $this->placeM($middle) < $placeM ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** How far a tap is off in either direction (px, standard deviation): of these marks, beside what taps usually are. */
    public function tapPx(): float
    {
        $squares = 0.0;
        foreach ($this->marks as $i => $mark) {
            $squares += ($this->missesM[$i] / max(1e-9, $this->metresPerTap($mark))) ** 2;
        }

        return sqrt((self::TAP_FREEDOM * self::TAP_PX ** 2 + $squares) / (self::TAP_FREEDOM + $this->freedom));
    }

    /** How much of the lane a tap that is off by one px in either direction is off by (m). */
    private function metresPerTap(FilmMark $mark): float
    {
        if (count($this->fit) === 3) {
            return $this->metresPerPx($this->line->along($mark->uPx, $mark->vPx));
        }

        return hypot(
            $this->ofPlaneM($mark->uPx + 0.5, $mark->vPx) - $this->ofPlaneM($mark->uPx - 0.5, $mark->vPx),
            $this->ofPlaneM($mark->uPx, $mark->vPx + 0.5) - $this->ofPlaneM($mark->uPx, $mark->vPx - 0.5),
        );
    }

    private function ofPlaneM(float $uPx, float $vPx): float
    {
        [$u, $v] = [$uPx * $this->perPx, $vPx * $this->perPx];

        return ($this->fit[0] * $u + $this->fit[1] * $v + $this->fit[2]) / ($this->fit[3] * $u + $this->fit[4] * $v + $this->fit[5]);
    }

    /** The mark farthest from where it should be (m). */
    public function greatestMissM(): float
    {
        return max(0.0, ...array_map(abs(...), $this->missesM));
    }

    /** A further mark checks the others only where there are more than it takes. */
    public function isChecked(): bool
    {
        return $this->freedom > 0;
    }

    /** @return list<self> the scale with each coordinate of each mark off by so much (px), to see what that changes; those that still give one */
    public function shaken(float $px): array
    {
        $shaken = [];
        foreach ($this->marks as $i => $mark) {
            foreach ($mark->edge === null ? [$this->alongLine($px)] : [[$px, 0.0], [0.0, $px]] as [$u, $v]) {
                try {
                    $shaken[] = self::of($this->line, array_values([$i => $mark->moved($u, $v)] + $this->marks));
                } catch (UnreadableFilmException) {
                    continue;
                }
            }
        }

        return $shaken;
    }

    /** @return array{float, float} */
    private function alongLine(float $px): array
    {
        return [
            $px * ($this->line->u1 - $this->line->u0) / $this->line->lengthPx,
            $px * ($this->line->v1 - $this->line->v0) / $this->line->lengthPx,
        ];
    }

    /**
     * @param list<FilmMark> $marks
     */
    private static function ofLine(FilmLine $line, array $marks): self
    {
        $perPx = 1.0 / $line->lengthPx;
        $s = array_map(static fn(FilmMark $mark): float => $line->along($mark->uPx, $mark->vPx) * $perPx, $marks);
        self::mustDiffer($s, $marks);
        [$b, $c] = [1.0, 0.0];
        $fit = null;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $rows = $right = [];
            foreach ($marks as $i => $mark) {
                // ρ = x·(1 + c·s) − a − b·s, which a pixel changes by c·x − b.
                $weight = 1.0 / max(1e-9, abs($c * $mark->placeM - $b));
                $rows[] = [$weight, $weight * $s[$i], -$weight * $mark->placeM * $s[$i]];
                $right[] = $weight * $mark->placeM;
            }
            $fit = self::solve($rows, $right);
            [, $b, $c] = $fit;
        }
        $x = static fn(float $at): float => ($fit[0] + $fit[1] * $at) / (1.0 + $fit[2] * $at);

        return new self(
            $line,
            $marks,
            $fit,
            $perPx,
            array_map(static fn(FilmMark $mark, float $at): float => $x($at) - $mark->placeM, $marks, $s),
            count($marks) - 3,
        );
    }

    /**
     * @param list<FilmMark> $marks
     */
    private static function ofPlane(FilmLine $line, array $marks): self
    {
        foreach ([0, 1] as $edge) {
            $on = array_values(array_filter($marks, static fn(FilmMark $mark): bool => $mark->edge === $edge));
            if (count($on) < 2) {
                throw new UnreadableFilmException(new Remark('film.two_on_each_edge'));
            }
            self::mustDiffer(
                array_map(static fn(FilmMark $mark): float => $line->along($mark->uPx, $mark->vPx) / $line->lengthPx, $on),
                $on,
                2,
            );
        }
        if (array_filter($marks, static fn(FilmMark $mark): bool => $mark->edge === null) !== []) {
            throw new UnreadableFilmException(new Remark('film.two_on_each_edge'));
        }
        $perPx = 1.0 / $line->lengthPx;
        $perM = 1.0 / max(0.1, ...array_map(static fn(FilmMark $mark): float => abs($mark->placeM), $marks));
        // From the lane to the picture, since taps err and tapes do not: u and v over 1 + g·x + h·y, whose size is each one's weight.
        [$g, $h] = [0.0, 0.0];
        $fit = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $rows = $right = [];
            foreach ($marks as $mark) {
                [$x, $y, $u, $v] = [$mark->placeM * $perM, (float) $mark->edge, $mark->uPx * $perPx, $mark->vPx * $perPx];
                $w = 1.0 / max(1e-3, abs(1.0 + $g * $x + $h * $y));
                $rows[] = [$w, $w * $x, $w * $y, 0.0, 0.0, 0.0, -$w * $u * $x, -$w * $u * $y];
                $right[] = $w * $u;
                $rows[] = [0.0, 0.0, 0.0, $w, $w * $x, $w * $y, -$w * $v * $x, -$w * $v * $y];
                $right[] = $w * $v;
            }
            $fit = self::solve($rows, $right);
            [, , , , , , $g, $h] = $fit;
        }
        [$a, $b, $c, $d, $e, $f] = $fit;
        // Back from the picture: the second row over the first of the inverse of [[a, b, c], [d, e, f], [1, g, h]], by cofactors.
        $back = [
            ($f - $d * $h) / $perM, ($a * $h - $c) / $perM, ($c * $d - $a * $f) / $perM,
            $e * $h - $f * $g, $c * $g - $b * $h, $b * $f - $c * $e,
        ];
        $scale = new self($line, $marks, $back, $perPx, [], count($marks) - 4);

        return new self(
            $line,
            $marks,
            $back,
            $perPx,
            array_map(static fn(FilmMark $mark): float => $scale->ofPlaneM($mark->uPx, $mark->vPx) - $mark->placeM, $marks),
            count($marks) - 4,
        );
    }

    /**
     * @param list<float> $s
     * @param list<FilmMark> $marks
     */
    private static function mustDiffer(array $s, array $marks, int $least = self::FEWEST): void
    {
        $places = array_map(static fn(FilmMark $mark): string => (string) $mark->placeM, $marks);
        if (count($marks) < $least) {
            throw new UnreadableFilmException(new Remark('film.too_few_marks', ['least' => $least, 'count' => count($marks)]));
        }
        if (count(array_unique($places)) < $least) {
            throw new UnreadableFilmException(new Remark('film.marks_same_place'));
        }
        sort($s);
        for ($i = 1; $i < count($s); $i++) {
            if ($least === self::FEWEST && $s[$i] - $s[$i - 1] < 0.01) {
                throw new UnreadableFilmException(new Remark('film.marks_same_place'));
            }
        }
    }

    /**
     * @param list<list<float>> $rows
     * @param list<float> $right
     *
     * @return list<float>
     */
    private static function solve(array $rows, array $right): array
    {
        // Every row twice: then there are more than unknowns even where the marks only just fix them, with the same solution.
        $fit = LinearModel::fit([...$rows, ...$rows], [...$right, ...$right]);
        if ($fit === null) {
            throw new UnreadableFilmException(new Remark('film.marks_out_of_order'));
        }

        return $fit->coefficients;
    }
}
