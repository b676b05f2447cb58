<?php

namespace App\View;

use App\Models\Attachment;
use App\Models\Visit;
use App\Records\Attachments\AttachmentFiles;
use App\Records\Attachments\PrintedPhoto;

/** The photos of a visit as its report shows them: what was taken before beside what came of it, then the rest. */
final readonly class ReportPhotos
{
    /** Photos of a report on paper. */
    private const MOST = 24;

    private PrintedPhoto $printed;

    /** @var list<array{Attachment, Attachment}> before and after */
    public array $pairs;

    /** @var list<Attachment> */
    public array $others;

    /** @var list<Attachment> spoken notes */
    public array $spoken;

    public function __construct(Visit $visit)
    {
        $this->printed = new PrintedPhoto(new AttachmentFiles());
        $all = array_values($visit->loadMissing('attachments')->attachments->all());
        $photos = array_values(array_filter($all, static fn (Attachment $one): bool => $one->isPhoto()));
        $pairs = [];
        $paired = [];
        foreach ($photos as $one) {
            $before = $one->after === null ? null : Attachment::shown()->whereKey($one->after)->first();
            if ($before !== null) {
                $pairs[] = [$before, $one];
                $paired += [$before->id => true, $one->id => true];
            }
        }
        $this->pairs = $pairs;
        $isAlone = static fn (Attachment $one): bool => ! isset($paired[$one->id]);
        $this->others = array_values(array_filter($photos, $isAlone));
        $isSpoken = static fn (Attachment $one): bool => ! $one->isPhoto();
        $this->spoken = array_values(array_filter($all, $isSpoken));
    }

    public function isEmpty(): bool
    {
        return $this->pairs === [] && $this->others === [] && $this->spoken === [];
    }

    /**
     * @param  string  $ahead  what is said before the words of one that was taken before, and of one after
     * @return list<list<array{address: string, words: string}>> rows of two, as they are printed
     */
    public function rows(string $ahead, string $behind): array
    {
        $cells = array_map(fn (array $one): ?array => $this->cell(...$one), $this->inOrder($ahead, $behind));

        return array_chunk(array_slice(array_values(array_filter($cells)), 0, self::MOST), 2);
    }

    /**
     * Each photo with what stands under it, pairs first.
     *
     * @return list<array{Attachment, string}>
     */
    public function inOrder(string $ahead, string $behind): array
    {
        $all = [];
        foreach ($this->pairs as [$before, $after]) {
            $all[] = [$before, "$ahead: ".$before->words()];
            $all[] = [$after, "$behind: ".$after->words()];
        }
        foreach ($this->others as $one) {
            $all[] = [$one, $one->words()];
        }

        return $all;
    }

    /** @return ?array{address: string, words: string} null where its file is gone */
    private function cell(Attachment $photo, string $words): ?array
    {
        $address = $this->printed->address($photo);

        return $address === null ? null : ['address' => $address, 'words' => $words];
    }
}
