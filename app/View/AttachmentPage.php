<?php

namespace App\View;

use App\Models\Attachment;
use App\Models\AttachmentKind;
use App\Models\User;
use App\Models\Visit;
use Illuminate\Support\Collection;

/** One photo or voice note, with its marks and what it is paired with. */
final readonly class AttachmentPage
{
    /** Photos that it can be paired with. */
    private const MOST = 60;

    /** Width to which its marks are drawn; they stand in shares of it. */
    private const DRAWN = 1000.0;

    public ?Attachment $before;

    public function __construct(public Attachment $one, private User $user)
    {
        $one->loadMissing('visit.circuit.site', 'user');
        $before = $one->after === null ? null : Attachment::query()->whereKey($one->after)->first();
        $this->before = $before?->isShown() === true ? $before : null;
    }

    public function mayChange(): bool
    {
        return $this->user->can('update', $this->one);
    }

    public function mayDelete(): bool
    {
        return $this->user->can('delete', $this->one);
    }

    /** @return Collection<int, Attachment> photos of its system that were taken before it, latest first */
    public function earlier(): Collection
    {
        return Attachment::shown()
            ->reorder('taken_at', 'desc')
            ->where('kind', AttachmentKind::Photo)
            ->where('taken_at', '<=', $this->one->taken_at)
            ->whereKeyNot($this->one->id)
            ->whereIn('visit_id', Visit::ofPlant($this->one->visit->circuit)->select('occasions.id'))
            ->limit(self::MOST)
            ->get();
    }

    public function width(): float
    {
        return self::DRAWN;
    }

    public function height(): float
    {
        return round((self::DRAWN * $this->one->height) / max(1, $this->one->width), 1);
    }

    /** For the script that draws them. */
    public function marks(): string
    {
        return json_encode($this->one->marks ?? [], JSON_THROW_ON_ERROR | JSON_HEX_TAG | JSON_HEX_QUOT | JSON_HEX_AMP);
    }
}
