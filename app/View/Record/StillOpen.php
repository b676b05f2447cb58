<?php

namespace App\View\Record;

use App\Models\Circuit;
use App\Models\DecisionWord;
use App\Models\FollowUp;
use App\Models\Visit;
use App\View\Owner\ChoiceCard;
use Illuminate\Database\Eloquent\Collection;
use Metrum\Findings\Mark;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Log\Log;
use Metrum\Work\Cards\BegunCards;
use Metrum\Work\OpenTouches;

/** What is open at a circuit, for whoever stands before it next: what is late stands first. */
final readonly class StillOpen
{
    /** Weak points that a note tells apart. */
    private const APART = '; ';

    /** @var list<OpenItem> */
    public array $items;

    /**
     * @param  Collection<int, FollowUp>  $promised  not done yet
     * @param  ?Visit  $open  that goes on
     * @param  ?Log  $last  of the last visit; null: there was none
     * @param  list<ChoiceCard>  $choices  that were put to the owner last
     */
    public function __construct(
        Circuit $circuit,
        Collection $promised,
        ?Visit $open,
        ?Log $last,
        array $choices = [],
    ) {
        $this->items = [
            ...self::visit($open),
            ...$promised->sortBy('due_on')->map(self::promise(...))->values()->all(),
            ...self::decided($choices),
            ...$last === null ? [] : self::begun($last),
            ...$last === null || $open !== null ? [] : self::touched($last),
            ...self::weak($circuit),
        ];
    }

    /** @return list<OpenItem> */
    private static function visit(?Visit $open): array
    {
        $since = $open?->opened_at->format('j M');

        return $open === null
            ? []
            : [new OpenItem(Mark::Look, "Visit not closed, {$open->user->name}", "since $since", $open->address())];
    }

    private static function promise(FollowUp $one): OpenItem
    {
        $day = $one->due_on->format($one->due_on->isCurrentYear() ? 'j M' : 'j M Y');

        return new OpenItem(
            $one->isDue() ? Mark::Act : Mark::Fine,
            $one->what.($one->terms() === [] ? '' : ' ('.self::terms($one).')'),
            $one->isOverdue() ? "overdue since $day" : $day,
            route('follow-ups.calendar', $one),
            $one->isDue(),
        );
    }

    /** "Bring: ladder; Customer prepares: empty the box" */
    private static function terms(FollowUp $one): string
    {
        $said = [];
        foreach ($one->terms() as $name => $term) {
            $said[] = "$name: $term";
        }

        return implode('; ', $said);
    }

    /**
     * What the owner said: what was accepted is to be done, what was refused is still so.
     *
     * @param  list<ChoiceCard>  $choices
     * @return list<OpenItem>
     */
    private static function decided(array $choices): array
    {
        $items = [];
        foreach ($choices as $card) {
            $decision = $card->decision;
            // A choice that costs nothing does nothing: whoever takes it leaves things as they are.
            if ($decision === null || $card->isFree()) {
                continue;
            }
            $isAccepted = $decision->word === DecisionWord::Accepted;
            $items[] = new OpenItem(
                $isAccepted ? Mark::Act : Mark::Look,
                $card->choice->title,
                lcfirst($decision->word->label()).' '.$decision->decided_at->format('j M'),
                route('visits.choices', $card->choice->visit_id),
                $isAccepted,
            );
        }

        return $items;
    }

    /** @return list<OpenItem> */
    private static function begun(Log $last): array
    {
        return array_map(
            static fn (array $one): OpenItem => new OpenItem(Mark::Look, $one[0]->name, 'not finished'),
            BegunCards::of($last)->open(),
        );
    }

    /** @return list<OpenItem> */
    private static function touched(Log $last): array
    {
        return array_map(static function (array $one): OpenItem {
            $part = $one[1]->name();
            $what = ucfirst(LeftOpen::said($one[0])).($part === '' ? '' : " of $part");

            return new OpenItem(Mark::Act, $what, 'not restored', null, true);
        }, OpenTouches::of($last)->all());
    }

    /** @return list<OpenItem> */
    private static function weak(Circuit $circuit): array
    {
        $points = explode(self::APART, trim((string) $circuit->notes));

        return array_map(
            static fn (string $one): OpenItem => new OpenItem(Mark::Look, $one, 'weak point'),
            array_values(array_filter($points, static fn (string $one): bool => trim($one) !== '')),
        );
    }
}
