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

    /** Between two runs somebody carries the car back in so long (s). */
    private const CARRIED_S = 1.2;
    private const CARRIED_PICTURES = 36;

    /** Pictures have their moment to this part of a second. */
    private const CLOCK = 10_000;

    /** What moves is drawn so many times larger, and then made as small as it is seen: its edges are as fine as a lens has them. */
    private const FINER = 4;

    /**
     * @param array{int, int} $from the upper left corner of what is drawn (px)
     * @param int $times larger than it is seen
     */
    private function __construct(private Lens $lens, private GdImage $floor, private array $from = [0, 0], private int $times = 1) {}

    /**
     * @param non-empty-list<non-empty-list<FilmedScene>> $runs before one camera, one after the other; on one lane, or on several at a time
     * @param bool $isTurned whether the phone was held upright: its film says that it is to be turned
     *
     * @throws RuntimeException where ffmpeg is missing or fails
     */
    public static function make(array $runs, string $file, bool $isTurned = false): void
    {
        $lens = $runs[0][0]->lens;
        $floor = imagecreatetruecolor($lens->width, $lens->height);
        $maker = new self($lens, $floor);
        $maker->drawFloor(
            array_values(array_unique(array_map(static fn(FilmedScene $scene): float => $scene->laneAtM, $runs[0]))),
            $runs[0][0]->tapes,
        );
        // Pictures stand as long as until the next: variable rate, as phones have it.
        $list = tempnam(sys_get_temp_dir(), 'film');
        $folder = "{$list}.d";
        mkdir($folder);
        try {
            $lines = [];
            $moments = self::moments($runs);
            foreach ($moments as $index => [$at, $scenes, $sceneS, $backShare]) {
                imagejpeg($maker->picture($scenes, $sceneS, $backShare), "{$folder}/{$index}.jpg", 97);
                $lines[] = "file '{$folder}/{$index}.jpg'\noption framerate " . self::CLOCK . "\nduration " . number_format(
                    ($moments[$index + 1][0] ?? $at + 1 / 30) - $at,
                    6,
                    '.',
                    '',
                );
            }
            file_put_contents($list, implode("\n", $lines) . "\n");
            self::ffmpeg(sprintf(
                '-f concat -safe 0 -i %s -fps_mode vfr -enc_time_base 1:90000 -g 60 -pix_fmt yuv420p -preset veryfast -crf 20 %s %s',
                escapeshellarg($list),
                $isTurned ? '-vf transpose=clock' : '',
                escapeshellarg($file),
            ));
            if ($isTurned) {
                rename($file, "{$folder}.mp4");
                self::ffmpeg(sprintf('-i %s -c copy -metadata:s:v:0 rotate=90 %s', escapeshellarg("{$folder}.mp4"), escapeshellarg($file)));
                unlink("{$folder}.mp4");
            }
        } finally {
            array_map(unlink(...), (array) glob("{$folder}/*.jpg"));
            rmdir($folder);
            unlink($list);
        }
    }

    private static function ffmpeg(string $how): void
    {
        exec("ffmpeg -hide_banner -loglevel error -y {$how} 2>&1", $said, $status);
        if ($status !== 0) {
            throw new RuntimeException(implode("\n", $said));
        }
    }

    /**
     * @param non-empty-list<non-empty-list<FilmedScene>> $runs
     *
     * @return list<array{float, non-empty-list<FilmedScene>, float, float|null}> s of the film, what it shows, s of that, and how far it is carried back
     */
    private static function moments(array $runs): array
    {
        $moments = [];
        $begins = 0.0;
        foreach ($runs as $number => $scenes) {
            $times = $scenes[0]->times;
            foreach ($scenes as $scene) {
                $times = count($scene->times) > count($times) ? $scene->times : $times;
            }
            $last = $times[count($times) - 1];
            foreach ($times as $at) {
                $moments[] = [$begins + $at, $scenes, $at, null];
            }
            $begins += $last;
            for ($i = 1; $i <= self::CARRIED_PICTURES && $number < count($runs) - 1; $i++) {
                $moments[] = [$begins + $i * self::CARRIED_S / self::CARRIED_PICTURES, $scenes, $last, $i / self::CARRIED_PICTURES];
            }
            $begins += self::CARRIED_S + 1 / 30;
        }

        return $moments;
    }

    /**
     * @param list<float> $lanes m across the floor
     * @param list<float> $tapes m along them
     */
    private function drawFloor(array $lanes, array $tapes): void
    {
        $lens = $this->lens;
        imagefill($this->floor, 0, 0, $this->colour($this->floor, [206, 202, 190]));
        for ($v = 0; $v < $lens->height; $v++) {
            if ($lens->floorAt($lens->width / 2, $v)[1] > 6.0) {
                continue;
            }
            for ($u = 0; $u < $lens->width; $u++) {
                [$x, $y] = $lens->floorAt($u + 0.5, $v + 0.5);
                imagesetpixel(
                    $this->floor,
                    $u,
                    $v,
                    $this->colour($this->floor, FilmedScene::planks($x, $y, self::isOn($lanes, $y) ? $tapes : [])),
                );
            }
        }
    }

    /** @param list<float> $lanes */
    private static function isOn(array $lanes, float $y): bool
    {
        return array_filter($lanes, static fn(float $lane): bool => abs($y - $lane) <= FilmedScene::LANE_WIDTH_M / 2) !== [];
    }

    /** @param non-empty-list<FilmedScene> $scenes */
    private function picture(array $scenes, float $at, ?float $backShare): GdImage
    {
        $image = imagecreatetruecolor($this->lens->width, $this->lens->height);
        imagecopy($image, $this->floor, 0, 0, 0, 0, $this->lens->width, $this->lens->height);
        // What is nearer to the camera hides what is behind it.
        foreach (array_reverse($scenes) as $scene) {
            $this->drawFinely($image, $scene, $at, $backShare);
        }
        $brighter = (int) round(180 * ($scenes[0]->gainAt($at) - 1.0));
        if ($brighter !== 0) {
            imagefilter($image, IMG_FILTER_BRIGHTNESS, $brighter);
        }

        return $image;
    }

    /** Draws what is about a car, and nothing beyond. */
    private function drawFinely(GdImage $image, FilmedScene $scene, float $at, ?float $backShare): void
    {
        $front = $scene->placeM($at) * (1.0 - ($backShare ?? 0.0));
        $near = $scene->acrossM($front);
        $u = $v = [];
        foreach ([$front - 0.45, $front + 0.1] as $x) {
            foreach ([$near - 0.02, $near + 0.2] as $y) {
                foreach ([0.0, 0.3] as $z) {
                    [$u[], $v[]] = $this->lens->sees($x, $y, $z);
                }
            }
        }
        $from = [max(0, (int) floor(min($u))), max(0, (int) floor(min($v)))];
        $size = [min($this->lens->width, (int) ceil(max($u))) - $from[0], min($this->lens->height, (int) ceil(max($v))) - $from[1]];
        if ($size[0] < 1 || $size[1] < 1) {
            return;
        }
        $large = imagecreatetruecolor(self::FINER * $size[0], self::FINER * $size[1]);
        imagecopyresized($large, $image, 0, 0, $from[0], $from[1], self::FINER * $size[0], self::FINER * $size[1], $size[0], $size[1]);
        (new self($this->lens, $this->floor, $from, self::FINER))->drawScene($large, $scene, $at, $backShare);
        imagecopyresampled($image, $large, $from[0], $from[1], 0, 0, $size[0], $size[1], self::FINER * $size[0], self::FINER * $size[1]);
        $this->drawShoe($image, $scene, $at);
    }

    private function drawShoe(GdImage $image, FilmedScene $scene, float $at): void
    {
        $shoe = $scene->shoeAt($at);
        if ($shoe !== null) {
            $this->upright(
                $image,
                $scene->laneAtM - 0.02,
                [[$shoe - 0.05, 0.0], [$shoe + 0.05, 0.0], [$shoe + 0.05, 0.05], [$shoe - 0.05, 0.12]],
                [52, 56, 74],
            );
        }
    }

    private function drawScene(GdImage $image, FilmedScene $scene, float $at, ?float $backShare): void
    {
        $front = $scene->placeM($at) * (1.0 - ($backShare ?? 0.0));
        $near = $scene->acrossM($front);
        $back = $front - FilmedScene::CAR_LENGTH_M;
        $shadow = imagecolorallocatealpha($image, 40, 30, 20, (int) (127 * $scene->shadowed()));
        $this->flat(
            $image,
            [
                [$back - 0.01, $near - 0.01], [$front + 0.03, $near - 0.01], [$front + 0.03, $near + self::TRACK_M],
                [$back - 0.01, $near + self::TRACK_M],
            ],
            (int) $shadow,
        );
        $this->side($image, $near + self::TRACK_M, $back, $front, [120, 44, 30]);
        $this->side($image, $near, $back, $front, [176, 62, 40]);
        $this->balloon($image, $scene, $at, $front, $near);
        $hand = $backShare === null ? $scene->handAt($at) : $front - 0.04;
        if ($hand !== null) {
            $this->upright($image, $near, [[$hand - 0.25, 0.0], [$hand, 0.0], [$hand, 0.06], [$hand - 0.25, 0.25]], [205, 150, 122]);
        }
    }

    /**
     * Wheels and body of one side.
     *
     * @param array{int, int, int} $body
     */
    private function side(GdImage $image, float $y, float $back, float $front, array $body): void
    {
        $this->upright(
            $image,
            $y,
            [[$back + 0.003, 0.013], [$front - 0.003, 0.013], [$front - 0.003, 0.032], [$back + 0.003, 0.032]],
            $body,
        );
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
    private function balloon(GdImage $image, FilmedScene $scene, float $at, float $front, float $near): void
    {
        $lasts = $scene->run->driveEnd->timeS ?? 1.0;
        $left = max(0.03, 1.0 - max(0.0, $at - $scene->releaseS) / max(0.1, $lasts));
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
        $this->polygon(
            $image,
            array_map(fn(array $corner): array => $this->lens->sees($corner[0], $y, $corner[1]), $corners),
            $this->colour($image, $colour),
        );
    }

    /** @param list<array{float, float}> $corners x and y */
    private function flat(GdImage $image, array $corners, int $colour): void
    {
        $this->polygon($image, array_map(fn(array $corner): array => $this->lens->sees($corner[0], $corner[1], 0.0), $corners), $colour);
    }

    /** @param list<array{float, float}> $corners px */
    private function polygon(GdImage $image, array $corners, int $colour): void
    {
        // A whole number is the middle of a pixel.
        $place = fn(float $px, int $axis): int => (int) round(($px - $this->from[$axis]) * $this->times - 0.5);
        imagefilledpolygon(
            $image,
            array_merge(...array_map(static fn(array $corner): array => [$place($corner[0], 0), $place($corner[1], 1)], $corners)),
            $colour,
        );
    }

    /** @param array<int, float|int> $of */
    private function colour(GdImage $image, array $of): int
    {
        return (int) imagecolorallocate(
            $image,
            ...array_map(static fn(float|int $level): int => (int) max(0, min(255, round($level))), $of),
        );
    }
}
