<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Metrum\Exchange\AttachmentLink;

/**
 * A photo or a spoken note of a visit. Its id is made where it was taken.
 *
 * @property string $id
 * @property string $visit_id
 * @property string $user_id
 * @property AttachmentKind $kind
 * @property string $about  kind and key of the fact that it is of, and its part
 * @property string $of  how a person calls that
 * @property string $caption
 * @property Carbon $taken_at
 * @property int $bytes  as it is sent
 * @property string $sent_hash  SHA-256 of that
 * @property int $received  bytes that have come
 * @property string $mime  as it is kept
 * @property string $hash  SHA-256 of that
 * @property int $width
 * @property int $height
 * @property list<array<string, float|string>>|null $marks  on a photo, in shares of its width and height
 * @property ?string $after  the photo that was taken before, of which this one shows what came
 * @property ?Carbon $ready_at  null until all of it came
 * @property ?Carbon $removed_at
 * @property ?string $removed_by
 * @property string $removed_why
 * @property Visit $visit
 * @property User $user
 */
final class Attachment extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $fillable = [
        'id',
        'visit_id',
        'user_id',
        'kind',
        'about',
        'of',
        'caption',
        'taken_at',
        'bytes',
        'sent_hash',
        'received',
        'mime',
        'hash',
        'width',
        'height',
        'marks',
        'after',
        'ready_at',
        'removed_at',
        'removed_by',
        'removed_why',
    ];

    protected function casts(): array
    {
        return [
            'kind' => AttachmentKind::class,
            'taken_at' => 'datetime',
            'ready_at' => 'datetime',
            'removed_at' => 'datetime',
            'marks' => 'array',
        ];
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /**
     * Those that can be seen: all of it came, and nobody removed it; in the order in which they were taken.
     *
     * @return Builder<self>
     */
    public static function shown(): Builder
    {
        return self::query()
            ->whereNotNull('ready_at')
            ->whereNull('removed_at')
            ->orderBy('taken_at')
            ->orderBy('id');
    }

    /** As the file of its visit names it. */
    public function link(): AttachmentLink
    {
        return AttachmentLink::of(
            $this->id,
            $this->kind->value,
            $this->about,
            $this->of,
            $this->caption,
            $this->taken_at->toIso8601String(),
            $this->hash,
            route('attachments.file', $this),
        );
    }

    /**
     * @param  Collection<int, self>  $all
     * @return list<AttachmentLink>
     */
    public static function links(Collection $all): array
    {
        return array_values($all->map(static fn (self $one): AttachmentLink => $one->link())->all());
    }

    public function isShown(): bool
    {
        return $this->ready_at !== null && $this->removed_at === null;
    }

    public function isPhoto(): bool
    {
        return $this->kind === AttachmentKind::Photo;
    }

    /** What stands under it. */
    public function words(): string
    {
        return $this->caption === '' ? $this->of : $this->caption;
    }
}
