<?php

namespace App\View\Record;

use App\Models\Attachment;
use App\Models\AttachmentKind;
use App\Models\Circuit;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Collection;
use Metrum\Installation\CircuitWriter;
use Metrum\Installation\DesignKey;
use Metrum\Installation\SystemKey;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Units;

/** What changed at a circuit from one of its visits to another. */
final readonly class ComparedVisits
{
    /** Visits that can be chosen. */
    private const MOST = 60;

    private const PHOTOS = 6;

    private const UNKNOWN = '—';

    /** @var Collection<int, Visit> newest first */
    public Collection $visits;

    public ?Visit $from;

    public ?Visit $to;

    /** @param  ?string  $from  id of the earlier one; null: the one before the other */
    public function __construct(
        public Circuit $circuit,
        private Units $units,
        ?string $from,
        ?string $to,
    ) {
        $this->visits = Visit::ofPlant($circuit)->with('user')->latest('opened_at')->limit(self::MOST)->get()
            ->each(static fn (Visit $one): Visit => $one->walking($circuit));
        $to = $this->visits->find($to) ?? $this->visits->first();
        $earlier = $this->visits->first(static fn (Visit $one): bool => $one->opened_at < $to?->opened_at);
        $from = $this->visits->find($from) ?? $earlier;
        $isTurned = $from !== null && $to !== null && $from->opened_at > $to->opened_at;
        [$this->from, $this->to] = $isTurned ? [$to, $from] : [$from, $to];
    }

    /** @return list<array{name: string, was: string, is: string, change: string}> */
    public function figures(): array
    {
        return $this->from === null || $this->to === null
            ? []
            : (new FigurePairs(
                $this->from->lastRead(),
                $this->to->lastRead(),
                $this->to->rules(),
                $this->units,
            ))->all();
    }

    /** @return list<Attachment> photos of one of the two */
    public function photos(Visit $visit): array
    {
        return array_values(
            Attachment::shown()
                ->where('visit_id', $visit->id)
                ->where('kind', AttachmentKind::Photo)
                ->limit(self::PHOTOS)
                ->get()
                ->all(),
        );
    }

    /** @return list<array{string, string}> day, and what was moved after the one and until the other */
    public function moves(): array
    {
        [$from, $to] = [$this->from, $this->to];
        if ($from === null || $to === null) {
            return [];
        }
        $between = $this->visits->filter(
            static fn (Visit $one): bool => $one->opened_at > $from->opened_at && $one->opened_at <= $to->opened_at,
        );
        $moves = [];
        foreach ($between->reverse() as $visit) {
            foreach ($visit->window()->log->history(FactKind::Move) as $fact) {
                $moves[] = [$fact->takenAt->format('j M Y'), $this->said($fact)];
            }
        }

        return $moves;
    }

    private function said(Fact $move): string
    {
        return PlantMoved::said($move)->in($this->units);
    }

    /** @return list<array{name: string, was: string, is: string}> what its description says otherwise */
    public function system(): array
    {
        if ($this->from === null || $this->to === null) {
            return [];
        }
        [$was, $is] = [$this->from->circuitNow(), $this->to->circuitNow()];
        [$before, $after] = [CircuitWriter::system($was), CircuitWriter::system($is)];
        $rows = [];
        foreach (SystemKey::cases() as $key) {
            $rows[] = [
                'name' => $key->label(),
                'was' => $key->told($before[$key->value] ?? null) ?? self::UNKNOWN,
                'is' => $key->told($after[$key->value] ?? null) ?? self::UNKNOWN,
            ];
        }
        foreach (DesignKey::cases() as $key) {
            $field = $key->field();
            $told = fn (?float $si): string => $si === null ? self::UNKNOWN : $this->units->text($si, $field->kind);
            $rows[] = [
                'name' => $field->label,
                'was' => $told($was->design->value($key)),
                'is' => $told($is->design->value($key)),
            ];
        }

        return array_values(array_filter($rows, static fn (array $one): bool => $one['was'] !== $one['is']));
    }
}
