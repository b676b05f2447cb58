<?php

namespace App\Records\Attachments;

use App\Models\Attachment;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Storage;

/** The bytes of attachments: whole, small, and as far as they have come. */
final class AttachmentFiles
{
    private const FOLDER = 'attachments';

    private Filesystem $disk;

    public function __construct()
    {
        $name = config('filesystems.attachments');
        $this->disk = Storage::disk(is_string($name) ? $name : null);
    }

    private static function whole(Attachment $one): string
    {
        return self::FOLDER.'/'.$one->visit_id.'/'.$one->id;
    }

    private static function small(Attachment $one): string
    {
        return self::whole($one).'.small';
    }

    private static function piece(Attachment $one, int $from): string
    {
        return self::FOLDER.'/coming/'.$one->id.'/'.sprintf('%010d', $from);
    }

    public function keep(Attachment $one, string $bytes, string $small = ''): void
    {
        $this->disk->put(self::whole($one), $bytes);
        if ($small !== '') {
            $this->disk->put(self::small($one), $small);
        }
    }

    /** Null where its file is gone. */
    public function read(Attachment $one, bool $small = false): ?string
    {
        $path = $small ? self::small($one) : self::whole($one);

        return $this->disk->exists($path) ? $this->disk->get($path) : null;
    }

    public function addPiece(Attachment $one, int $from, string $bytes): void
    {
        $this->disk->put(self::piece($one, $from), $bytes);
    }

    /** All that has come so far, in order. */
    public function come(Attachment $one): string
    {
        $pieces = $this->disk->files(dirname(self::piece($one, 0)));
        sort($pieces);

        return implode('', array_map(fn (string $path): string => (string) $this->disk->get($path), $pieces));
    }

    public function dropPieces(Attachment $one): void
    {
        $this->disk->deleteDirectory(dirname(self::piece($one, 0)));
    }

    /** Of all attachments that there ever were. */
    public function forgetAll(): void
    {
        $this->disk->deleteDirectory(self::FOLDER);
    }

    public function remove(Attachment $one): void
    {
        $this->dropPieces($one);
        $this->disk->delete([self::whole($one), self::small($one)]);
    }
}
