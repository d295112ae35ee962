<?php

declare(strict_types=1);

namespace Devices;

use GdImage;
use RuntimeException;

/** Draws what a phone beside the lane sees, picture by picture, and has ffmpeg make a film of it. */
final readonly class FilmMaker
{
    private const WHEEL_M = 0.015;
    private const TRACK_M = 0.08;
    private const CORNERS = 20;

    private function __construct(private FilmedScene $scene, private GdImage $floor) {}

    /** @throws RuntimeException where ffmpeg is missing or fails */
    public static function make(FilmedScene $scene, string $file): void
    {
        $lens = $scene->lens;
        $floor = imagecreatetruecolor($lens->width, $lens->height);
        $maker = new self($scene, $floor);
        $maker->drawFloor();
        // Pictures stand as long as until the next: variable rate, as phones have it.
        $list = tempnam(sys_get_temp_dir(), 'film');
        $folder = "{$list}.d";
        mkdir($folder);
        try {
            $lines = [];
            foreach ($scene->times as $index => $at) {
                imagejpeg($maker->picture($at), "{$folder}/{$index}.jpg", 97);
                $lines[] = "file '{$folder}/{$index}.jpg'\nduration " . number_format(($scene->times[$index + 1] ?? $at + 1 / 30) - $at, 6, '.', '');
            }
            file_put_contents($list, implode("\n", $lines) . "\n");
            exec(sprintf(
                'ffmpeg -hide_banner -loglevel error -y -f concat -safe 0 -i %s -fps_mode vfr -enc_time_base 1:90000 -pix_fmt yuv420p %s 2>&1',
                escapeshellarg($list),
                escapeshellarg($file),
            ), $said, $status);
            if ($status !== 0) {
                throw new RuntimeException(implode("\n", $said));
            }
        } finally {
            array_map(unlink(...), (array) glob("{$folder}/*.jpg"));
            rmdir($folder);
            unlink($list);
        }
    }

    private function drawFloor(): void
    {
        $lens = $this->scene->lens;
        imagefill($this->floor, 0, 0, $this->colour($this->floor, [206, 202, 190]));
        for ($v = 0; $v < $lens->height; $v++) {
            if ($lens->floorAt($lens->width / 2, $v)[1] > 6.0) {
                continue;
            }
            for ($u = 0; $u < $lens->width; $u++) {
                [$x, $y] = $lens->floorAt($u + 0.5, $v + 0.5);
                imagesetpixel($this->floor, $u, $v, $this->colour($this->floor, FilmedScene::planks($x, $y, abs($y) <= FilmedScene::LANE_WIDTH_M / 2 ? $this->scene->tapes : [])));
            }
        }
    }

    private function picture(float $at): GdImage
    {
        $lens = $this->scene->lens;
        $image = imagecreatetruecolor($lens->width, $lens->height);
        imagecopy($image, $this->floor, 0, 0, 0, 0, $lens->width, $lens->height);
        imageantialias($image, true);
        $front = $this->scene->placeM($at);
        $near = $this->scene->acrossM($front);
        $back = $front - FilmedScene::CAR_LENGTH_M;
        $shadow = imagecolorallocatealpha($image, 40, 30, 20, (int) (127 * $this->scene->shadowed()));
        $this->flat($image, [[$back - 0.01, $near - 0.01], [$front + 0.03, $near - 0.01], [$front + 0.03, $near + self::TRACK_M], [$back - 0.01, $near + self::TRACK_M]], (int) $shadow);
        $this->side($image, $near + self::TRACK_M, $back, $front, [120, 44, 30]);
        $this->side($image, $near, $back, $front, [176, 62, 40]);
        $this->balloon($image, $at, $front, $near);
        $hand = $this->scene->handAt($at);
        if ($hand !== null) {
            $this->upright($image, $near, [[$hand - 0.25, 0.0], [$hand, 0.0], [$hand, 0.06], [$hand - 0.25, 0.25]], [205, 150, 122]);
        }
        $shoe = $this->scene->shoeAt($at);
        if ($shoe !== null) {
            $this->upright($image, -0.02, [[$shoe - 0.05, 0.0], [$shoe + 0.05, 0.0], [$shoe + 0.05, 0.05], [$shoe - 0.05, 0.12]], [52, 56, 74]);
        }
        imagefilter($image, IMG_FILTER_BRIGHTNESS, (int) round(180 * ($this->scene->gainAt($at) - 1.0)));

        return $image;
    }

    /**
     * Wheels and body of one side.
     *
     * @param array{int, int, int} $body
     */
    private function side(GdImage $image, float $y, float $back, float $front, array $body): void
    {
        $this->upright($image, $y, [[$back + 0.003, 0.013], [$front - 0.003, 0.013], [$front - 0.003, 0.032], [$back + 0.003, 0.032]], $body);
        foreach ([$front - self::WHEEL_M, $back + self::WHEEL_M] as $axle) {
            $rim = [];
            for ($i = 0; $i < self::CORNERS; $i++) {
                $angle = 2 * M_PI * $i / self::CORNERS;
                $rim[] = [$axle + self::WHEEL_M * cos($angle), self::WHEEL_M * (1.0 + sin($angle))];
            }
            $this->upright($image, $y, $rim, [38, 40, 46]);
        }
    }

    /** It empties while it pushes. */
    private function balloon(GdImage $image, float $at, float $front, float $near): void
    {
        $lasts = $this->scene->run->driveEnd->timeS ?? 1.0;
        $left = max(0.03, 1.0 - max(0.0, $at - $this->scene->releaseS) / max(0.1, $lasts));
        $radius = 0.1 * $left ** (1 / 3);
        $round = [];
        for ($i = 0; $i < self::CORNERS; $i++) {
            $angle = 2 * M_PI * $i / self::CORNERS;
            $round[] = [$front - 0.05 + $radius * cos($angle), 0.04 + $radius * (1.0 + sin($angle))];
        }
        $this->upright($image, $near + self::TRACK_M / 2, $round, [214, 96, 120]);
    }

    /**
     * A flat thing that stands across the line of sight.
     *
     * @param list<array{float, float}> $corners x and z
     * @param array{int, int, int} $colour
     */
    private function upright(GdImage $image, float $y, array $corners, array $colour): void
    {
        $this->polygon($image, array_map(fn(array $corner): array => $this->scene->lens->sees($corner[0], $y, $corner[1]), $corners), $this->colour($image, $colour));
    }

    /** @param list<array{float, float}> $corners x and y */
    private function flat(GdImage $image, array $corners, int $colour): void
    {
        $this->polygon($image, array_map(fn(array $corner): array => $this->scene->lens->sees($corner[0], $corner[1], 0.0), $corners), $colour);
    }

    /** @param list<array{float, float}> $corners px */
    private function polygon(GdImage $image, array $corners, int $colour): void
    {
        imagefilledpolygon($image, array_merge(...array_map(static fn(array $corner): array => [(int) round($corner[0]), (int) round($corner[1])], $corners)), $colour);
    }

    /** @param array<int, float|int> $of */
    private function colour(GdImage $image, array $of): int
    {
        return (int) imagecolorallocate($image, ...array_map(static fn(float|int $level): int => (int) max(0, min(255, round($level))), $of));
    }
}
