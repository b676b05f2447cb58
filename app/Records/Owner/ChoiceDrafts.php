<?php

namespace App\Records\Owner;

use App\Models\OwnerChoice;
use App\Models\PriceLine;
use App\Models\PriceLines;
use App\Models\User;
use App\Models\Visit;
use App\Models\Workshop;
use App\Records\JudgedVisit;
use Metrum\Language\Tongue;
use Metrum\Work\Desk\ChoiceProposal;
use Metrum\Work\Desk\Choices;

/**
 * Choices as they are first put down, in the language of the site: what the desk proposes, with amounts by the
 * workshop's own prices.
 */
final readonly class ChoiceDrafts
{
    private const HOUR = 3600.0;

    public function __construct(private Workshop $workshop, private User $user)
    {
    }

    /** @return int how many were put down; none where there are choices already, or nothing to choose */
    public function propose(JudgedVisit $judged): int
    {
        $visit = $judged->visit;
        if (OwnerChoice::query()->where('visit_id', $visit->id)->exists()) {
            return 0;
        }
        $proposals = (new Choices($judged->desk))->all();
        foreach ($proposals as $place => $one) {
            $this->put($visit, $place, $one, $judged->findings->circuit->refrigerant);
        }

        return count($proposals);
    }

    private function put(Visit $visit, int $place, ChoiceProposal $one, string $refrigerant): void
    {
        $language = $visit->circuit->site->language;
        OwnerChoice::query()->create([
            'visit_id' => $visit->id,
            'user_id' => $this->user->id,
            'place' => $place,
            'title' => Tongue::of($one->title, $language),
            'does' => Tongue::of($one->does, $language),
            'risk' => Tongue::of($one->risk, $language),
            'lines' => $this->lines($one, $refrigerant, $language)->typed(),
        ]);
    }

    private function lines(ChoiceProposal $one, string $refrigerant, string $language): PriceLines
    {
        if ($one->seconds <= 0.0) {
            return PriceLines::of([]);
        }
        $hours = round($one->seconds / self::HOUR, 2);
        $lines = [
            new PriceLine(Tongue::of('Call-out', $language), 1.0, '', $this->workshop->call_out),
            new PriceLine(Tongue::of('Labour', $language), $hours, 'h', $this->workshop->labour),
        ];
        if ($one->takesRefrigerant) {
            // How much is known once the leak is mended: it is filled in by hand.
            $lines[] = new PriceLine($refrigerant, 0.0, 'kg', $this->workshop->price($refrigerant) ?? 0);
        }

        return PriceLines::of($lines);
    }
}
