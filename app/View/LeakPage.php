<?php

namespace App\View;

use App\Records\JudgedVisit;
use App\Records\LeakHistory;
use App\Records\Stock;
use Metrum\Card\Cards;
use Metrum\Log\FactKind;
use Metrum\Quantity\Format;
use Metrum\Work\Leaks\LeakPlace;
use Metrum\Work\Leaks\LeakSearch;
use Metrum\Work\Leaks\SearchLog;
use Metrum\Work\Leaks\SearchMark;

/** The search for leaks: places in the order in which they are worth it, and the chance that one is still there. */
final readonly class LeakPage
{
    public const MARKS = ['oil' => 'oil', 'rubbed' => 'chafed', 'hiss' => 'hiss', 'none' => 'none'];

    public LeakSearch $search;

    /** @var array<string, int> */
    private array $foundBefore;

    /** @var array<string, string> what the card's steps were answered, by key */
    private array $answered;

    public function __construct(private JudgedVisit $judged)
    {
        $history = new LeakHistory($judged->visit, new Stock());
        $this->foundBefore = $history->foundBefore();
        $this->search = SearchLog::search($judged->assessment, $this->foundBefore, $history->years());
        $answered = [];
        foreach ($judged->log->standing(FactKind::Card) as $fact) {
            $answered[$fact->content->key] = (string) $fact->content->word;
        }
        $this->answered = $answered;
    }

    /** @return list<LeakPlace> worth most first */
    public function places(): array
    {
        return $this->search->order();
    }

    public function isNext(LeakPlace $place): bool
    {
        return $this->search->next()?->key === $place->key;
    }

    public function chance(LeakPlace $place): float
    {
        return $this->search->chances[$place->key];
    }

    public function percent(float $share): string
    {
        return Format::number(100 * $share, $share < 0.1 ? 1 : 0).' %';
    }

    public function answer(LeakPlace $place): ?SearchMark
    {
        return $this->search->searched[$place->key] ?? null;
    }

    /** @return list<SearchMark> in the order of the house rule (Z-10) */
    public function answers(): array
    {
        return SearchMark::inOrder($this->judged->rules);
    }

    /** Word of the mark that was seen there; null where nobody looked. */
    public function mark(LeakPlace $place): ?string
    {
        return $this->answered[$this->key($place->key.'_mark')] ?? null;
    }

    public function key(string $step): string
    {
        return SearchLog::CARD.'.'.$step;
    }

    public function weather(): ?string
    {
        return $this->answered[$this->key('weather')] ?? null;
    }

    /** "found here before" and what is looked at. */
    public function look(LeakPlace $place): string
    {
        $before = $this->foundBefore[$place->key] ?? 0;

        return $before > 0 ? 'Previous leak here; '.$place->look : ucfirst($place->look);
    }

    /** @return array{string, string} the card by which a find is mended: name and link */
    public function mends(LeakPlace $place): array
    {
        $card = Cards::find($place->mends);

        return $card === null ? ['', ''] : [$card->name, CardList::link($this->judged->visit, $card)];
    }

    /** What is to be thought of the pressure; empty where it is enough or not known. */
    public function pressure(): string
    {
        return $this->search->hasLittlePressure()
            ? 'Low-side pressure is too low to find a leak. Stop the system, open the '.
                'solenoid, let the coil warm up; nitrogen only after recovery.'
            : '';
    }

    /** @return array{string, string} name and link of the card that raises it */
    public function raises(): array
    {
        $card = Cards::find('raise_pressure');

        return $card === null ? ['', ''] : [$card->name, CardList::link($this->judged->visit, $card)];
    }

    /** The result in one sentence. */
    public function says(): string
    {
        $found = $this->search->found();
        if ($found !== []) {
            $names = array_map(static fn (LeakPlace $one): string => lcfirst($one->label), $found);

            return 'Found: '.implode(', ', $names).'. Confirm, repair, and re-test after hours.';
        }
        $next = $this->search->next();

        return 'Chance a leak remains: '.$this->percent($this->search->left()).'. '.
            ($next === null
                ? 'All reachable places searched. Return with the rest uncovered, or quote a shutdown.'
                : 'Next: '.lcfirst($next->label).'.');
    }
}
