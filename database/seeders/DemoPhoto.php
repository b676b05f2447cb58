<?php

namespace Database\Seeders;

use App\Models\Attachment;
use App\Models\AttachmentKind;
use App\Models\Visit;
use App\Records\Attachments\AttachmentFiles;
use App\Records\Attachments\CleanPhoto;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Metrum\Twin\Dice;

/** Photos of the demo town, drawn for it: simple pictures of what a technician would show. */
final readonly class DemoPhoto
{
    private const WIDTH = 1200;

    private const HEIGHT = 900;

    public function __construct(private Visit $visit, private AttachmentFiles $files = new AttachmentFiles())
    {
    }

    /**
     * @param  array{
     *     draw: string, about: string, of: string, caption: string, marks?: list<array<string, mixed>>
     * }  $told
     * @param  ?string  $after  id of the photo that was taken before
     */
    public function add(array $told, Carbon $at, ?string $after): Attachment
    {
        $photo = CleanPhoto::of($this->drawn($told['draw']));
        $one = Attachment::query()->create([
            'id' => strtolower((string) Str::ulid($at)),
            'visit_id' => $this->visit->id,
            'user_id' => $this->visit->user_id,
            'kind' => AttachmentKind::Photo,
            'about' => $told['about'],
            'of' => $told['of'],
            'caption' => $told['caption'],
            'taken_at' => $at,
            'bytes' => strlen($photo->bytes),
            'received' => strlen($photo->bytes),
            'sent_hash' => hash('sha256', $photo->bytes),
            'hash' => hash('sha256', $photo->bytes),
            'mime' => 'image/jpeg',
            'width' => $photo->width,
            'height' => $photo->height,
            'marks' => $told['marks'] ?? [],
            'after' => $after,
            'ready_at' => $at,
        ]);
        $this->files->keep($one, $photo->bytes, $photo->small);

        return $one;
    }

    private function drawn(string $what): string
    {
        $image = imagecreatetruecolor(self::WIDTH, self::HEIGHT);
        assert($image !== false);
        $dice = new Dice(crc32($what));
        match ($what) {
            'fins dirty' => $this->fins($image, $dice, 1.0),
            'fins clean' => $this->fins($image, $dice, 0.0),
            'fins dirty again' => $this->fins($image, $dice, 0.45),
            default => $this->gasket($image, $dice),
        };
        ob_start();
        imagejpeg($image, null, 88);

        return (string) ob_get_clean();
    }

    /** The face of a condenser: fins, and lint on them. */
    private function fins(\GdImage $image, Dice $dice, float $lint): void
    {
        $this->ground($image, [168, 176, 176], [120, 130, 132]);
        for ($x = 10; $x < self::WIDTH; $x += 14) {
            $shade = 70 + 30 * (($x / 14) % 3);
            $fin = $this->colour($image, [$shade, $shade + 8, $shade + 10]);
            imagefilledrectangle($image, $x, 0, $x + 4, self::HEIGHT, $fin);
            imageline($image, $x + 6, 0, $x + 6, self::HEIGHT, $this->colour($image, [212, 218, 216]));
        }
        for ($y = 90; $y < self::HEIGHT; $y += 150) {
            imagesetthickness($image, 9);
            imageline($image, 0, $y, self::WIDTH, $y + 6, $this->colour($image, [150, 104, 70]));
        }
        imagesetthickness($image, 2);
        for ($tuft = 0; $tuft < 2600 * $lint; $tuft++) {
            $x = (int) $dice->between(0.0, self::WIDTH * ($lint < 0.6 ? 0.6 : 1.0));
            $y = (int) $dice->between($lint < 0.6 ? 0.35 * self::HEIGHT : 0.0, self::HEIGHT);
            $grey = (int) $dice->between(96.0, 150.0);
            imagearc(
                $image,
                $x,
                $y,
                (int) $dice->between(14.0, 70.0),
                (int) $dice->between(8.0, 34.0),
                (int) $dice->between(0.0, 180.0),
                (int) $dice->between(180.0, 360.0),
                $this->colour($image, [$grey, $grey - 8, $grey - 22]),
            );
        }
    }

    /** The lower corner of a door, with a gap in its gasket. */
    private function gasket(\GdImage $image, Dice $dice): void
    {
        $this->ground($image, [222, 226, 224], [196, 204, 204]);
        imagefilledrectangle($image, 0, 640, self::WIDTH, self::HEIGHT, $this->colour($image, [96, 100, 100]));
        imagefilledrectangle($image, 700, 0, 770, 660, $this->colour($image, [52, 56, 58]));
        imagefilledrectangle($image, 0, 590, 770, 655, $this->colour($image, [52, 56, 58]));
        imagefilledpolygon(
            $image,
            [640, 590, 700, 596, 742, 640, 720, 655, 660, 652],
            $this->colour($image, [228, 232, 232]),
        );
        for ($drop = 0; $drop < 160; $drop++) {
            $size = (int) $dice->between(3.0, 12.0);
            imagefilledellipse(
                $image,
                (int) $dice->between(480.0, 900.0),
                (int) $dice->between(660.0, 860.0),
                $size,
                $size,
                $this->colour($image, [206, 222, 228]),
            );
        }
    }

    /**
     * @param  array{int, int, int}  $above
     * @param  array{int, int, int}  $below
     */
    private function ground(\GdImage $image, array $above, array $below): void
    {
        for ($y = 0; $y < self::HEIGHT; $y++) {
            $share = $y / self::HEIGHT;
            $mixed = array_map(
                static fn (int $a, int $b): int => (int) round($a + $share * ($b - $a)),
                $above,
                $below,
            );
            imageline($image, 0, $y, self::WIDTH, $y, $this->colour($image, $mixed));
        }
    }

    /** @param  array<int|float>  $rgb */
    private function colour(\GdImage $image, array $rgb): int
    {
        $part = static fn (int|float $one): int => max(0, min(255, (int) $one));

        return (int) imagecolorallocate($image, $part($rgb[0]), $part($rgb[1]), $part($rgb[2]));
    }
}
