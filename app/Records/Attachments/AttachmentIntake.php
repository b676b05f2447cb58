<?php

namespace App\Records\Attachments;

use App\Models\Attachment;
use App\Models\AttachmentKind;
use Illuminate\Support\Facades\DB;

/** Takes an attachment in pieces, which may come twice or go on later, and keeps it once when all of it came. */
final readonly class AttachmentIntake
{
    /** Bytes of a piece at most. */
    public const PIECE = 512 * 1024;

    public function __construct(private AttachmentFiles $files)
    {
    }

    /**
     * Begins with one, or goes on with what came of it.
     *
     * @param  array<string, mixed>  $told
     *
     * @throws NotKept where another one has its id
     */
    public function begin(array $told): Attachment
    {
        $known = Attachment::query()->whereKey($told['id'])->first();
        if ($known === null) {
            return Attachment::query()->create($told)->refresh();
        }
        if ($known->visit_id !== $told['visit_id'] || $known->sent_hash !== $told['sent_hash']) {
            throw new NotKept('Another photo or voice note has this number. Take it again.');
        }

        return $known;
    }

    /**
     * Takes a piece; what came before is passed over.
     *
     * @return int bytes that have come now: where to go on
     *
     * @throws NotKept where all of it came and cannot be kept
     */
    public function take(Attachment $one, int $from, string $piece): int
    {
        if ($one->ready_at !== null) {
            return $one->bytes;
        }
        if ($from !== $one->received || $piece === '') {
            return $one->received;
        }
        $this->files->addPiece($one, $from, $piece);
        // Two senders of the same piece count it once.
        $counted = DB::table('attachments')
            ->where('id', $one->id)
            ->where('received', $from)
            ->update(['received' => $from + strlen($piece)]);
        $one->refresh();
        if ($counted === 1 && $one->received >= $one->bytes) {
            $this->finish($one);
        }

        return $one->received;
    }

    private function finish(Attachment $one): void
    {
        $bytes = $this->files->come($one);
        $isSame = $one->sent_hash === '' || hash_equals($one->sent_hash, hash('sha256', $bytes));
        if (strlen($bytes) !== $one->bytes || ! $isSame) {
            $this->beginAnew($one);
            throw new NotKept('It arrived changed or incomplete. Send it again.');
        }
        try {
            $this->keep($one, $bytes);
        } catch (NotKept $reason) {
            $this->files->dropPieces($one);
            $one->delete();
            throw $reason;
        }
        $this->files->dropPieces($one);
    }

    private function keep(Attachment $one, string $bytes): void
    {
        if ($one->kind === AttachmentKind::Voice) {
            $sound = CleanSound::of($bytes);
            $this->files->keep($one, $sound->bytes);
            $one->update([
                'mime' => $sound->mime,
                'hash' => hash('sha256', $sound->bytes),
                'ready_at' => now(),
            ]);

            return;
        }
        $photo = CleanPhoto::of($bytes);
        $this->files->keep($one, $photo->bytes, $photo->small);
        $one->update([
            'mime' => 'image/jpeg',
            'hash' => hash('sha256', $photo->bytes),
            'width' => $photo->width,
            'height' => $photo->height,
            'ready_at' => now(),
        ]);
    }

    private function beginAnew(Attachment $one): void
    {
        $this->files->dropPieces($one);
        $one->update(['received' => 0]);
    }
}
