<?php

namespace App\View\Replacement;

use App\Models\Circuit;
use App\Models\Visit;
use App\Records\CircuitHistory;
use App\Records\Judge;
use App\Records\JudgedVisit;
use App\Records\Stock;
use Metrum\Diagnosis\Suspect;
use Metrum\Installation\CompressorClass;
use Metrum\Knowledge\Fault;
use Metrum\Log\FactKind;
use Metrum\Twin\WhatIf;
use Metrum\Work\Compressor\CompressorCourse;
use Metrum\Work\Compressor\OperatingPoint;
use Metrum\Work\Compressor\PointKind;
use Metrum\Work\Replacement\AirOfYear;
use Metrum\Work\Replacement\ExtraEnergy;

/** What the record of a system, its last visit and its twin tell of it where its replacement is weighed. */
final readonly class SystemRecord
{
    /** Months over which visits for a fault are counted. */
    private const MONTHS = 24;

    private ?JudgedVisit $judged;

    /** @var list<float> kg and share of the charge lost in twelve months; nothing where nobody knows */
    public array $lost;

    /** Visits a year at which a fault was named; null where the record is shorter than a year. */
    public ?float $callsAYear;

    public ?ExtraEnergy $energy;

    public function __construct(private Circuit $circuit, Judge $judge, private ReplacementTerms $terms)
    {
        $latest = (new CircuitHistory($circuit, $judge))->latest();
        $this->judged = $latest === null ? null : $judge->of($latest->loadMissing('circuit.site', 'circuit.plant'), 0);
        $this->callsAYear = $this->calls();
        $ledger = (new Stock())->ledger($circuit);
        $rate = $ledger->rolling(now());
        $this->lost = $rate === null || $ledger->full === null ? [] : [$rate * $ledger->full, $rate];
        $this->energy = $this->energyOfYear();
    }

    public function wasJudged(): bool
    {
        return $this->judged !== null;
    }

    private function calls(): ?float
    {
        $visits = Visit::ofPlant($this->circuit)
            ->with('verdict')
            ->where('opened_at', '>=', now()->subMonths(self::MONTHS))
            ->get();
        $first = Visit::ofPlant($this->circuit)->min('opened_at');
        if ($first === null || now()->subYear()->lessThan($first)) {
            return null;
        }
        $months = min(self::MONTHS, (int) now()->diffInMonths($first, true));
        $named = $visits->filter(static function (Visit $visit): bool {
            $kept = $visit->verdict?->verdict();

            return $kept !== null && $kept->leads() && ($kept->ranking[0][0] ?? null) !== Fault::NoFault;
        });

        return 12.0 * $named->count() / max(1, $months);
    }

    /** What was confirmed, else what leads; null: nothing is wrong, or nothing leads. */
    public function leading(): ?Fault
    {
        $fault = $this->judged?->findings->confirmed[0] ?? $this->judged?->verdict->leading();

        return $fault === Fault::NoFault ? null : $fault;
    }

    private function energyOfYear(): ?ExtraEnergy
    {
        $expectation = $this->judged?->twin();
        if ($this->judged === null || $expectation === null || $this->judged->findings->circuit->isShared()) {
            return null;
        }
        $whatIf = new WhatIf(
            $expectation->twin,
            $expectation->around,
            $this->judged->findings,
            $this->judged->rules,
            $this->leading(),
        );
        $air = AirOfYear::around($this->judged->findings->circuit, $this->terms->coldest, $this->terms->warmest);
        $severity = $whatIf->fault === null ? 0.0 : $whatIf->severity();

        return ExtraEnergy::of($expectation->twin->machine, $whatIf->fault, $severity, $air);
    }

    /** Chance that the compressor is worn; null where nothing was judged. */
    public function worn(): ?float
    {
        if ($this->judged === null || $this->judged->verdict->blank) {
            return null;
        }
        if (in_array(Fault::CompressorInefficient, $this->judged->findings->confirmed, true)) {
            return 1.0;
        }
        $chances = array_map(
            static fn (Suspect $one): float => $one->fault === Fault::CompressorInefficient ? $one->probability : 0.0,
            $this->judged->verdict->suspects,
        );

        return array_sum($chances);
    }

    public function foundAcid(): bool
    {
        foreach ($this->judged?->log->standing(FactKind::Card) ?? [] as $fact) {
            if ($fact->content->key === 'acid_test.done' && $fact->content->word === 'acid') {
                return true;
            }
        }

        return false;
    }

    /** @return ?list<PointKind> of the coldest and the hottest day those outside its envelope; null: no twin says */
    public function outside(): ?array
    {
        if ($this->judged === null || $this->judged->findings->circuit->isShared()) {
            return null;
        }
        $days = array_filter(
            (new CompressorCourse($this->judged->assessment))->points(),
            static fn (OperatingPoint $one): bool => in_array(
                $one->kind,
                [PointKind::Coldest, PointKind::Hottest],
                true,
            ),
        );
        $envelope = CompressorClass::usual($this->judged->findings->circuit)->envelope();
        $outside = array_filter(
            $days,
            static fn (OperatingPoint $one): bool => ! $envelope->holds($one->evaporating, $one->condensing),
        );

        return $days === []
            ? null
            : array_values(array_map(static fn (OperatingPoint $one): PointKind => $one->kind, $outside));
    }
}
