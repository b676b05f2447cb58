<?php

namespace App\Records\Attachments;

use App\Models\Attachment;
use Intervention\Image\Drivers\Gd\Driver;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;
use Intervention\Image\Interfaces\ImageInterface;
use Intervention\Image\Typography\FontFactory;

/** A photo as it is printed: small enough for a page of many, with its marks drawn on it. */
final readonly class PrintedPhoto
{
    /** Longest side of one, px, and how it is kept. */
    private const LONGEST = 900;

    private const QUALITY = 72;

    /** Share of the width that a stroke is wide, a letter high, and an arrow's head long. */
    private const STROKE = 0.007;

    private const LETTER = 0.036;

    private const HEAD = 0.034;

    /** Half of an arrow's head, rad. */
    private const OPENING = 0.5;

    private const COLOUR = 'ffd24a';

    public function __construct(private AttachmentFiles $files)
    {
    }

    /** As an address that holds all of it; null where its file is gone. */
    public function address(Attachment $photo): ?string
    {
        $bytes = $this->bytes($photo);

        return $bytes === null ? null : 'data:image/jpeg;base64,'.base64_encode($bytes);
    }

    /** As JPEG; null where its file is gone. */
    public function bytes(Attachment $photo): ?string
    {
        $bytes = $this->files->read($photo);
        if ($bytes === null) {
            return null;
        }
        try {
            $image = (new ImageManager(new Driver()))->read($bytes)->scaleDown(self::LONGEST, self::LONGEST);
            foreach (array_filter(array_map(PhotoMark::from(...), $photo->marks ?? [])) as $mark) {
                self::draw($image, $mark);
            }

            return (string) $image->toJpeg(self::QUALITY);
        } catch (RuntimeException) {
            return null;
        }
    }

    private static function draw(ImageInterface $image, PhotoMark $mark): void
    {
        $width = $image->width();
        $height = $image->height();
        [$x, $y] = [(int) round($mark->x * $width), (int) round($mark->y * $height)];
        [$toX, $toY] = [(int) round($mark->toX * $width), (int) round($mark->toY * $height)];
        match ($mark->shape) {
            MarkShape::Circle => self::circle($image, [$x, $y], (int) max(0.012 * $width, hypot($toX - $x, $toY - $y))),
            MarkShape::Arrow => self::arrow($image, [$x, $y], [$toX, $toY]),
            MarkShape::Word => self::word($image, [$x, $y], $mark),
        };
    }

    /** @param  array{int, int}  $middle */
    private static function circle(ImageInterface $image, array $middle, int $radius): void
    {
        $image->drawCircle(...$middle, init: static function ($circle) use ($radius, $image): void {
            $circle->radius($radius);
            $circle->border(self::COLOUR, self::stroke($image));
        });
    }

    /**
     * @param  array{int, int}  $from
     * @param  array{int, int}  $to
     */
    private static function arrow(ImageInterface $image, array $from, array $to): void
    {
        $angle = atan2($to[1] - $from[1], $to[0] - $from[0]);
        $length = self::HEAD * $image->width();
        self::line($image, $from, $to);
        foreach ([self::OPENING, -self::OPENING] as $turn) {
            $end = [
                (int) round($to[0] - $length * cos($angle + $turn)),
                (int) round($to[1] - $length * sin($angle + $turn)),
            ];
            self::line($image, $end, $to);
        }
    }

    /**
     * @param  array{int, int}  $from
     * @param  array{int, int}  $to
     */
    private static function line(ImageInterface $image, array $from, array $to): void
    {
        $image->drawLine(static function ($line) use ($from, $to, $image): void {
            $line->from(...$from);
            $line->to(...$to);
            $line->color(self::COLOUR);
            $line->width(self::stroke($image));
        });
    }

    /** @param  array{int, int}  $place */
    private static function word(ImageInterface $image, array $place, PhotoMark $mark): void
    {
        $image->text($mark->word, ...$place, font: static function (FontFactory $font) use ($image, $mark): void {
            $font->filename(base_path('vendor/dompdf/dompdf/lib/fonts/DejaVuSans-Bold.ttf'));
            $font->size(self::LETTER * $image->width());
            $font->color(self::COLOUR);
            $font->align($mark->endsAtItsPlace() ? 'right' : 'left');
        });
    }

    private static function stroke(ImageInterface $image): int
    {
        return max(2, (int) round(self::STROKE * $image->width()));
    }
}
