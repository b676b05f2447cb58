<?php

namespace App\Records;

use App\Models\FactRecord;
use App\Models\Visit;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Log\FactKind;
use Metrum\Work\Leaks\SearchLog;
use Metrum\Work\Leaks\SearchMark;

/** Where a plant leaked before, and how old it is: what a search begins with. */
final readonly class LeakHistory
{
    private const YEAR = 365 * 86400;

    public function __construct(private Visit $visit, private Stock $stock)
    {
    }

    /** @return array<string, int> how often one was found at a place at earlier visits */
    public function foundBefore(): array
    {
        $prefix = SearchLog::CARD.'.';
        $keys = FactRecord::query()
            ->where('kind', FactKind::Card->value)
            ->where('key', 'like', $prefix.'%')
            ->where('word', SearchMark::Bubble->value)
            ->where('occasion_id', '!=', $this->visit->id)
            ->where('plant_id', $this->visit->circuit->plant_id)
            ->pluck('key');
        $found = [];
        foreach ($keys as $key) {
            $place = substr($key, strlen($prefix));
            $found[$place] = ($found[$place] ?? 0) + 1;
        }

        return $found;
    }

    /** Age by its first charge; null where the ledger does not know it. */
    public function years(): ?float
    {
        foreach ($this->stock->movements($this->visit->circuit->plant) as $one) {
            if ($one->purpose === ChargePurpose::Commissioning) {
                return max(0.0, (now()->getTimestamp() - $one->at->getTimestamp()) / self::YEAR);
            }
        }

        return null;
    }
}
