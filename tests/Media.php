<?php

namespace Tests;

use App\Models\Attachment;
use App\Models\Visit;
use App\Records\Attachments\AttachmentFiles;
use App\Records\Attachments\CleanPhoto;
use Illuminate\Support\Str;

/** Pictures and sounds made for tests, sound ones and broken ones. */
final class Media
{
    /** A JPEG: left half dark, right half light, so that it can be seen which way it is turned. */
    public static function photo(int $width = 400, int $height = 300): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        assert($image !== false);
        $light = (int) imagecolorallocate($image, 240, 240, 235);
        imagefilledrectangle($image, intdiv($width, 2), 0, $width, $height, $light);
        ob_start();
        imagejpeg($image, null, 90);

        return (string) ob_get_clean();
    }

    /** The same as a camera writes it: with its maker, where it was, and how it was held (EXIF orientation). */
    public static function asOfCamera(int $orientation): string
    {
        $maker = "Hollow Camera\0\0\0";
        $tiff = "II*\0".pack('V', 8).pack('v', 3)
            // Maker, orientation, and the place's own directory.
            .pack('vvVV', 0x010F, 2, strlen($maker), 50)
            .pack('vvVvv', 0x0112, 3, 1, $orientation, 0)
            .pack('vvVV', 0x8825, 4, 1, 50 + strlen($maker))
            .pack('V', 0)
            .$maker
            .pack('v', 1).pack('vvV', 1, 2, 2)."N\0\0\0".pack('V', 0);
        $segment = "Exif\0\0".$tiff;

        return substr_replace(self::photo(), "\xFF\xE1".pack('n', strlen($segment) + 2).$segment, 2, 0);
    }

    /** A photo that was sent and kept. */
    public static function kept(Visit $visit, string $caption = '', ?Attachment $after = null): Attachment
    {
        $clean = CleanPhoto::of(self::photo());
        $one = Attachment::query()->create([
            'id' => strtolower((string) Str::ulid()),
            'visit_id' => $visit->id,
            'user_id' => $visit->user_id,
            'kind' => 'photo',
            'about' => 'visit',
            'of' => 'Visit',
            'caption' => $caption,
            'taken_at' => now(),
            'bytes' => strlen($clean->bytes),
            'sent_hash' => '',
            'hash' => hash('sha256', $clean->bytes),
            'mime' => 'image/jpeg',
            'width' => $clean->width,
            'height' => $clean->height,
            'marks' => [['shape' => 'arrow', 'x' => 0.1, 'y' => 0.1, 'to_x' => 0.4, 'to_y' => 0.5, 'word' => '']],
            'after' => $after?->id,
            'ready_at' => now(),
        ]);
        (new AttachmentFiles())->keep($one, $clean->bytes, $clean->small);

        return $one;
    }

    /** A WAV of so many seconds. */
    public static function sound(float $seconds = 2.0): string
    {
        $wave = '';
        for ($sample = 0; $sample < 8000 * $seconds; $sample++) {
            $wave .= pack('v', (int) (8000 * sin($sample / 6)) & 0xFFFF);
        }
        $format = pack('vvVVvv', 1, 1, 8000, 16000, 2, 16);

        return 'RIFF'.pack('V', 36 + strlen($wave)).'WAVEfmt '.pack('V', 16).$format.
            'data'.pack('V', strlen($wave)).$wave;
    }

    /**
     * What is none, or none any more: cut short, with its head torn, of another kind, or too large.
     *
     * @param  string  $sound  one that is whole
     * @param  list<string>  $others  what begins as it should and is nothing
     * @return \Generator<int, string>
     */
    public static function broken(string $sound, array $others, int $count): \Generator
    {
        mt_srand(26);
        $length = strlen($sound);
        for ($number = 0; $number < $count; $number++) {
            yield match ($number % 5) {
                0 => substr($sound, 0, mt_rand(0, $length - 400)),
                1 => random_int(0, 9).substr($sound, 1 + mt_rand(0, 30)),
                2 => str_repeat(chr(mt_rand(0, 255)), mt_rand(1, 3000)),
                3 => $others[mt_rand(0, count($others) - 1)],
                default => substr($sound, 0, mt_rand(4, 20)).str_repeat("\0", mt_rand(0, 900)),
            };
        }
    }
}
