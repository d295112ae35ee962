<?php

declare(strict_types=1);

namespace Devices;

/**
 * A camera without a bent lens, upright on a tripod beside the lane: x along the lane, y across it, away from the camera, z up, in m.
 */
final readonly class Lens
{
    /** @var array{float, float, float} along which the camera looks; to its right; and up in its picture */
    private array $forward;
    private array $right;
    private array $up;

    /**
     * @param array{float, float, float} $stands
     * @param array{float, float, float} $looksAt
     * @param float $focalPx focal length over the size of a pixel
     */
    public function __construct(public array $stands, array $looksAt, public float $focalPx, public int $width, public int $height)
    {
        $forward = self::unit([$looksAt[0] - $stands[0], $looksAt[1] - $stands[1], $looksAt[2] - $stands[2]]);
        $right = self::unit([$forward[1], -$forward[0], 0.0]);
        $this->forward = $forward;
        $this->right = $right;
        $this->up = [
            $right[1] * $forward[2] - $right[2] * $forward[1],
            $right[2] * $forward[0] - $right[0] * $forward[2],
            $right[0] * $forward[1] - $right[1] * $forward[0],
        ];
    }

    /** @return array{float, float} px to the right and down from the upper left of the picture */
    public function sees(float $x, float $y, float $z): array
    {
        $to = [$x - $this->stands[0], $y - $this->stands[1], $z - $this->stands[2]];
        $depth = max(1e-6, self::dot($to, $this->forward));

        return [
            $this->width / 2 + $this->focalPx * self::dot($to, $this->right) / $depth,
            $this->height / 2 - $this->focalPx * self::dot($to, $this->up) / $depth,
        ];
    }

    /** @return array{float, float} x and y of the floor that is seen in a point of the picture */
    public function floorAt(float $u, float $v): array
    {
        [$a, $b] = [($u - $this->width / 2) / $this->focalPx, ($this->height / 2 - $v) / $this->focalPx];
        $ray = array_map(fn(int $i): float => $this->forward[$i] + $a * $this->right[$i] + $b * $this->up[$i], [0, 1, 2]);
        $length = $ray[2] < -1e-9 ? -$this->stands[2] / $ray[2] : 1e9;

        return [$this->stands[0] + $length * $ray[0], $this->stands[1] + $length * $ray[1]];
    }

    /**
     * @param array{float, float, float} $of
     *
     * @return array{float, float, float}
     */
    private static function unit(array $of): array
    {
        $length = sqrt(self::dot($of, $of));

        return [$of[0] / $length, $of[1] / $length, $of[2] / $length];
    }

    /**
     * @param array<int, float> $a
     * @param array<int, float> $b
     */
    private static function dot(array $a, array $b): float
    {
        return $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    }
}
