<?php

declare(strict_types=1);

namespace App\Models;

use GdImage;

/**
 * A photograph that somebody sends: decoded and encoded anew, so that nothing of the file but its picture comes through;
 * no metadata, no place where it was taken, no second file behind the first.
 */
final readonly class Photo
{
    /** More than this is no photograph from a phone, or a bomb. */
    private const MOST_PIXELS = 24_000_000;
    private const MOST_SIDE = 12_000;

    /** Larger than this nobody looks at it. */
    private const KEPT_SIDE = 1600;
    private const QUALITY = 82;
    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    private function __construct(
        public string $jpeg,
        public int $width,
        public int $height,
    ) {}

    /** The picture, or the key of what is wrong with the file. */
    public static function read(string $path): self|string
    {
        $bytes = (string) file_get_contents($path);
        // By the file's own head, before anything of it is unpacked.
        $size = @getimagesizefromstring($bytes);
        if ($size === false || !in_array($size[2], self::TYPES, true)) {
            return 'no_photo';
        }
        [$width, $height] = $size;
        if ($width < 1 || $height < 1 || $width > self::MOST_SIDE || $height > self::MOST_SIDE || $width * $height > self::MOST_PIXELS) {
            return 'too_many_pixels';
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            return 'broken';
        }
        $upright = self::upright($image, $size[2] === IMAGETYPE_JPEG ? $path : null);

        return self::encoded(self::scaled($upright));
    }

    private static function upright(GdImage $image, ?string $jpeg): GdImage
    {
        $held = $jpeg === null ? false : @exif_read_data($jpeg);
        $turned = match (is_array($held) ? (int) ($held['Orientation'] ?? 1) : 1) {
            3 => imagerotate($image, 180, 0),
            6 => imagerotate($image, -90, 0),
            8 => imagerotate($image, 90, 0),
            default => $image,
        };

        return $turned === false ? $image : $turned;
    }

    private static function scaled(GdImage $image): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $scale = min(1.0, self::KEPT_SIDE / max($width, $height));
        $kept = imagecreatetruecolor(max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale)));
        // What is see-through becomes white.
        imagefill($kept, 0, 0, (int) imagecolorallocate($kept, 255, 255, 255));
        imagecopyresampled($kept, $image, 0, 0, 0, 0, imagesx($kept), imagesy($kept), $width, $height);

        return $kept;
    }

    private static function encoded(GdImage $image): self
    {
        ob_start();
        imagejpeg($image, null, self::QUALITY);

        return new self((string) ob_get_clean(), imagesx($image), imagesy($image));
    }
}
