<?php

namespace App\View\Record;

use App\Models\HouseRuleChoice;
use App\Picture\HistoryPicture;
use App\Picture\LeakStrip;
use App\Records\FigureRecord;
use App\View\Dates;
use Illuminate\Support\Carbon;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Ledger;
use Metrum\Work\Record\Drift;
use Metrum\Work\Record\DriftText;
use Metrum\Work\Record\FigureHistory;

/** What the figures of a circuit did over its visits, and which of them drift. */
final readonly class FigureTrends
{
    public ?HistoryPicture $picture;

    /** @var list<array{string, string, bool}> that one drifts, when that matters, and whether it does already */
    public array $drifts;

    /** @var list<FigureHistory> */
    private array $figures;

    public function __construct(public FigureRecord $record, Ledger $ledger, Units $units)
    {
        $now = (float) now()->getTimestamp();
        $limit = HouseRuleChoice::inForce()->band(HouseRule::LeakThreshold);
        $this->figures = $record->all();
        $this->picture = HistoryPicture::of($this->figures, $now, $units, LeakStrip::of($ledger, $limit, $now));
        $drifts = [];
        foreach ($this->figures as $one) {
            $drift = $one->told();
            if ($drift !== null) {
                [$drifting, $when] = DriftText::of($one, $drift, self::month($drift));
                $drifts[] = [$drifting->in($units), $when->in($units), $drift->reaches() <= $drift->to];
            }
        }
        $this->drifts = $drifts;
    }

    private static function month(Drift $drift): string
    {
        return Dates::day(Carbon::createFromTimestamp((int) $drift->reaches()), 'MMMMy');
    }

    /** "2 years", "5 months": how far back it goes. */
    public function span(): string
    {
        $firsts = array_map(static fn (FigureHistory $one): float => $one->dots[0]->at, $this->figures);
        $begins = $firsts === [] ? now() : Carbon::createFromTimestamp((int) min($firsts));
        $months = max(1, (int) round($begins->diffInMonths(now(), true)));
        [$count, $unit] = $months < 18 ? [$months, 'month'] : [(int) round($months / 12), 'year'];

        return $count.' '.$unit.($count === 1 ? '' : 's');
    }

    /** What its zero is. */
    public function zero(): string
    {
        $visits = max([0, ...array_map(static fn (FigureHistory $one): int => $one->zeros, $this->figures)]);

        return match ($visits) {
            0 => 'Zero is what the twin expects: no visit is marked as a reference yet.',
            1 => 'Zero is where it ran well, at one reference visit.',
            default => "Zero is where it ran well, over $visits reference visits.",
        };
    }

    /** For who cannot see the picture. */
    public function alt(): string
    {
        $names = array_map(
            static fn (FigureHistory $one): string => lcfirst($one->figure->row()->label),
            $this->figures,
        );
        $drifts = array_map(static fn (array $one): string => $one[0].' '.$one[1], $this->drifts);

        return 'Distance from expected at each visit: '.implode(', ', $names).'. '.
            ($drifts === [] ? 'No figure drifts.' : implode(' ', $drifts));
    }
}
