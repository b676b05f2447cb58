<?php

namespace App\View\Record;

use App\Models\Attachment;
use App\Models\AttachmentKind;
use App\Models\Circuit;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Builder;

/** What was photographed at a circuit: how much at each visit, the last pair, and the last few. */
final readonly class CircuitPhotos
{
    private const MOST = 4;

    /** @var array<string, int> by visit */
    public array $counts;

    /** @var ?array{Attachment, Attachment} before and after, the last such pair */
    public ?array $pair;

    /** @var list<Attachment> latest first */
    public array $last;

    public function __construct(Circuit $circuit)
    {
        $this->counts = self::of($circuit)
            ->toBase()
            ->reorder()
            ->groupBy('visit_id')
            ->selectRaw('visit_id, count(*) as photos')
            ->pluck('photos', 'visit_id')
            ->map(static fn (mixed $count): int => (int) $count)
            ->all();
        $after = self::of($circuit)->whereNotNull('after')->reorder('taken_at', 'desc')->first();
        $before = $after === null ? null : Attachment::shown()->whereKey($after->after)->first();
        $this->pair = $after === null || $before === null ? null : [$before, $after];
        $inPair = $this->pair === null ? [] : [$this->pair[0]->id, $this->pair[1]->id];
        $this->last = array_values(
            self::of($circuit)
                ->whereKeyNot($inPair)
                ->reorder('taken_at', 'desc')
                ->limit(self::MOST)
                ->get()
                ->all(),
        );
    }

    /** @return Builder<Attachment> */
    private static function of(Circuit $circuit): Builder
    {
        return Attachment::shown()
            ->where('kind', AttachmentKind::Photo)
            ->whereIn('visit_id', Visit::ofPlant($circuit)->select('occasions.id'));
    }

    /** "3 photos"; empty where none were taken. */
    public function words(Visit $visit): string
    {
        $count = $this->counts[$visit->id] ?? 0;

        return match ($count) {
            0 => '',
            1 => '1 photo',
            default => "$count photos",
        };
    }
}
