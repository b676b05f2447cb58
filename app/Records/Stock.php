<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Cylinder;
use App\Models\FactRecord;
use App\Models\Plant;
use App\Models\StockMove;
use App\Models\Visit;
use Illuminate\Database\Query\Builder;
use Metrum\Knowledge\Control;
use Metrum\Log\Content;
use Metrum\Log\FactKind;
use Metrum\Work\Ledger\Cylinder as Known;
use Metrum\Work\Ledger\Ledger;
use Metrum\Work\Ledger\Movement;

/** The refrigerant of the workshop: what moved at plants, and what is in its cylinders. All of it is folded. */
final class Stock
{
    /** @var ?list<Movement> of all plants */
    private ?array $all = null;

    /** @return list<Movement> at a plant, or at all; oldest first, nothing that was taken back */
    public function movements(?Plant $plant = null): array
    {
        if ($plant === null && $this->all !== null) {
            return $this->all;
        }
        $moves = self::charges($plant)
            ->join('occasions', 'occasions.id', '=', 'facts.occasion_id')
            ->join('parts', 'parts.id', '=', 'occasions.circuit_id')
            ->join('plants', 'plants.id', '=', 'facts.plant_id')
            ->join('sites', 'sites.id', '=', 'plants.site_id')
            ->leftJoin('users', 'users.id', '=', 'facts.user_id')
            ->orderBy('facts.taken_at')
            ->orderBy('facts.seq')
            ->get([
                'facts.id',
                'occasions.circuit_id',
                'facts.occasion_id',
                'facts.value',
                'facts.data',
                'facts.taken_at',
                'users.name as who',
                'sites.name as site',
                'parts.name as circuit',
                'plants.refrigerant',
            ]);
        $undone = self::undone($plant);
        $movements = [];
        foreach ($moves as $row) {
            if (! isset($undone[$row->id])) {
                $movements[] = self::movement($row);
            }
        }
        if ($plant === null) {
            $this->all = $movements;
        }

        return $movements;
    }

    /** The ledger of a circuit's plant; its record begins with its first visit. */
    public function ledger(Circuit $circuit): Ledger
    {
        $first = Visit::ofAnyKind()->whereIn('circuit_id', $circuit->plant->circuits()->pluck('id'))->min('opened_at');

        return Ledger::of(
            $this->movements($circuit->plant),
            $circuit->known()->design->nameplateCharge,
            $first === null ? null : new \DateTimeImmutable((string) $first),
        );
    }

    /** kg in a visit's plant by its ledger when the visit was opened; null where no first charge is in the book. */
    public function bookBefore(Visit $visit): ?float
    {
        $opened = $visit->opened_at->getTimestamp();
        $before = array_filter(
            $this->movements($visit->circuit->plant),
            static fn (Movement $one): bool => $one->at->getTimestamp() < $opened,
        );
        $ledger = Ledger::of(array_values($before), $visit->circuit->known()->design->nameplateCharge);

        return $ledger->hasFirstCharge() ? $ledger->now() : null;
    }

    private static function movement(\stdClass $row): Movement
    {
        $data = is_string($row->data) ? json_decode($row->data, true) : null;

        return Movement::of(
            $row->id,
            new \DateTimeImmutable($row->taken_at),
            new Content(Control::Charge->value, (float) $row->value, null, is_array($data) ? $data : []),
            (string) $row->who,
            $row->site.', '.$row->circuit,
            $row->refrigerant,
            $row->circuit_id,
            $row->occasion_id,
        );
    }

    /** Facts by which refrigerant was moved. */
    private static function charges(?Plant $plant): Builder
    {
        $query = FactRecord::query()
            ->toBase()
            ->where('facts.kind', FactKind::Move->value)
            ->where('facts.key', Control::Charge->value);

        return $plant === null ? $query : $query->where('facts.plant_id', $plant->id);
    }

    /** @return array<string, true> ids of facts that were taken back, at visits at which refrigerant was moved */
    private static function undone(?Plant $plant): array
    {
        $rows = FactRecord::query()
            ->toBase()
            ->where('kind', FactKind::Undo->value)
            ->whereIn('occasion_id', self::charges($plant)->select('facts.occasion_id'))
            ->pluck('data');
        $undone = [];
        foreach ($rows as $row) {
            $data = is_string($row) ? json_decode($row, true) : null;
            $of = is_array($data) ? $data['of'] ?? null : null;
            if (is_string($of)) {
                $undone[$of] = true;
            }
        }

        return $undone;
    }

    /** @return array<string, Known> cylinders that are here, by id, with what is in them */
    public function cylinders(?string $refrigerant = null): array
    {
        $contents = $this->contents();
        $known = [];
        $here = Cylinder::query()->whereNull('gone_at')->orderBy('refrigerant')->orderBy('label');
        foreach ($refrigerant === null ? $here->get() : $here->where('refrigerant', $refrigerant)->get() as $one) {
            $known[$one->id] = $one->known($contents[$one->id] ?? 0.0);
        }

        return $known;
    }

    public function cylinder(string $id): ?Known
    {
        $one = Cylinder::query()->find($id);

        return $one?->known($this->contents()[$one->id] ?? 0.0);
    }

    /** @return array<string, float> kg by cylinder */
    private function contents(): array
    {
        $contents = StockMove::query()
            ->whereNull('taken_back_at')
            ->groupBy('cylinder_id')
            ->selectRaw('cylinder_id, sum(kilograms) as kilograms')
            ->pluck('kilograms', 'cylinder_id')
            ->map(static fn (mixed $kilograms): float => (float) $kilograms)
            ->all();
        foreach ($this->movements() as $one) {
            if ($one->cylinder !== '') {
                $contents[$one->cylinder] = ($contents[$one->cylinder] ?? 0.0) - $one->kilograms;
            }
        }

        return $contents;
    }

    /** @return array<string, float> kg in all cylinders, by refrigerant */
    public function byRefrigerant(): array
    {
        $sums = [];
        foreach ($this->cylinders() as $one) {
            $sums[$one->refrigerant] = ($sums[$one->refrigerant] ?? 0.0) + $one->content;
        }
        ksort($sums);

        return $sums;
    }
}
