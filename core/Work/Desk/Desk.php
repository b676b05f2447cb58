<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Diagnosis\Remedy;
use Metrum\Diagnosis\Verdict;
use Metrum\Installation\Circuit;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Work\Assessment;

/**
 * What may be done at a visit now, each with what holds it back, what would come of it and why. Pages, reports and the
 * command line read it; none of them decides anything of it anew.
 */
final readonly class Desk
{
    public function __construct(public Assessment $assessment, public Verdict $verdict)
    {
    }

    public function circuit(): Circuit
    {
        return $this->assessment->judged()->findings()->circuit;
    }

    /** @return list<Control> that can be moved at this plant, in the order of the work */
    public function controls(): array
    {
        $circuit = $this->circuit();

        return array_values(array_filter(
            Control::inOrder(),
            static fn (Control $one): bool => $one->row()->fit->asks($circuit),
        ));
    }

    /** What was moved last, else the move by which the leading suspect is put right; null where none is. */
    public function asked(): ?Control
    {
        $last = $this->assessment->present()->chapter->began?->content;
        $asked = $last === null ? $this->remedy()?->move : Control::from($last->key);

        return in_array($asked, $this->controls(), true) ? $asked : null;
    }

    /** The card of work by which the leading suspect is put right; null where none is, or it is not for this plant. */
    public function remedyCard(): ?Card
    {
        $card = Cards::find((string) $this->remedy()?->card);

        return $card?->fit->asks($this->circuit()) === true ? $card : null;
    }

    private function remedy(): ?Remedy
    {
        return $this->verdict->blank ? null : $this->verdict->first()->entry()->remedy;
    }

    /**
     * A move as it stands open.
     *
     * @param  ?Control  $chosen  null: what is asked for
     * @param  ?float  $turns  how far, SI, positive = in; null: as is proposed
     * @param  ?PartId  $part  of which; null: the circuit itself
     */
    public function move(?Control $chosen = null, ?float $turns = null, ?PartId $part = null): OpenMove
    {
        return new OpenMove($this, $chosen, $turns, $part);
    }

    public function cards(): CardShelf
    {
        return new CardShelf($this);
    }

    public function permits(): Permits
    {
        return new Permits($this);
    }

    public function leaving(): Leaving
    {
        return new Leaving($this);
    }

    public function proofs(): Proofs
    {
        return new Proofs($this);
    }
}
