<?php

namespace App\Records\Attachments;

use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;

/**
 * A photo as it is kept: known by its content, turned upright, and drawn anew as JPEG, so that nothing a camera wrote
 * besides (place, maker, owner) is in it.
 */
final readonly class CleanPhoto
{
    /** Longest side as it is kept, and of its small picture. */
    private const LONGEST = 2000;

    private const SMALL = 360;

    private const QUALITY = 82;

    private const SMALL_QUALITY = 72;

    /** Pixels that can be read: a device that makes none smaller sends 12 megapixels. */
    private const MOST_PIXELS = 13_000_000;

    private const KINDS = [
        IMAGETYPE_JPEG => 'JPEG',
        IMAGETYPE_PNG => 'PNG',
        IMAGETYPE_WEBP => 'WebP',
    ];

    private const JPEG_END = "\xFF\xD9";

    private function __construct(
        public string $bytes,
        public string $small,
        public int $width,
        public int $height,
    ) {
    }

    /** @throws NotKept */
    public static function of(string $bytes): self
    {
        if ($bytes === '') {
            throw new NotKept('The photo is empty: nothing arrived. Take it again.');
        }
        self::check($bytes);
        $lenient = ini_set('gd.jpeg_ignore_warning', '0');
        try {
            $image = @(new ImageManager(new Driver(), autoOrientation: true, decodeAnimation: false))->read($bytes);
            $image->scaleDown(self::LONGEST, self::LONGEST);
            $small = clone $image;

            return new self(
                (string) $image->toJpeg(self::QUALITY),
                (string) $small->scaleDown(self::SMALL, self::SMALL)->toJpeg(self::SMALL_QUALITY),
                $image->width(),
                $image->height(),
            );
        } catch (RuntimeException|\ErrorException|\Error) {
            throw new NotKept('The photo is damaged and cannot be read. Take it again, or choose another file.');
        } finally {
            ini_set('gd.jpeg_ignore_warning', (string) $lenient);
        }
    }

    /** @throws NotKept where it is no picture, or is larger than can be read */
    private static function check(string $bytes): void
    {
        $size = @getimagesizefromstring($bytes);
        $kind = $size === false ? null : self::KINDS[$size[2]] ?? null;
        if ($size === false || $kind === null) {
            $mime = (new \finfo(FILEINFO_MIME_TYPE))->buffer($bytes);
            throw new NotKept("This is no photo that can be kept (found: $mime). Possible: JPEG, PNG or WebP.");
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw new NotKept(sprintf(
                'The photo has %d × %d pixels; the limit is %d megapixels. Send a smaller one.',
                $size[0],
                $size[1],
                intdiv(self::MOST_PIXELS, 1_000_000),
            ));
        }
        if ($size[2] === IMAGETYPE_JPEG && ! str_contains(substr($bytes, -64), self::JPEG_END)) {
            throw new NotKept('The photo ends too early: part of it is missing. Send it again.');
        }
    }
}
