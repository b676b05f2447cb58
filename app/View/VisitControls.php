<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Diagnosis\Cautions;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Control as Moved;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Station;
use Metrum\Knowledge\Test;
use Metrum\Log\FactKind;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;

/** The controls of one page of a visit: cells for readings, taps for what is seen and tested. */
final readonly class VisitControls
{
    private CellHints $hints;

    /** @param  PartId  $part  that the open card is about */
    public function __construct(
        private JudgedVisit $judged,
        private Station $station,
        private Units $units,
        private PartId $part,
    ) {
        $this->hints = new CellHints($judged->present(), $judged->verdict->figures, $units);
    }

    /** @return list<Cell> of what is read again after the last move */
    public function cellsAgain(): array
    {
        $last = $this->judged->assessment->present()->chapter->began?->content;
        $needs = $last === null ? [] : Moved::from($last->key)->row()->needs;

        return array_map($this->cell(...), array_values(
            array_filter($needs, static fn (Asked $one): bool => $one instanceof Reading),
        ));
    }

    /** @return list<Cell> */
    public function cells(): array
    {
        return $this->cellsOf($this->station->readings());
    }

    /** @return list<Cell> */
    public function moreCells(): array
    {
        return $this->cellsOf($this->station->moreReadings());
    }

    /** @param  bool  $again  it is wanted anew: what is known of it stands beside, as it was before */
    public function cell(Reading $reading, bool $again = false): Cell
    {
        $unit = $this->units->of($reading->quantity());
        $chapter = $this->judged->assessment->present()->chapter;
        $si = $chapter->readingOf($this->part, $reading);
        $before = ($again ? $si : null) ?? $chapter->before[$reading->value] ?? null;
        $si = $again ? null : $si;
        $check = $this->judged->verdict->nextCheck();

        return new Cell(
            $reading,
            $unit->symbol(),
            $si === null ? '' : Format::value($si, $unit),
            $si === null && $before !== null
                ? 'before '.Format::amount($before, $unit)
                : $this->ofParts($reading) ?? $this->hints->of($reading),
            $check !== null && in_array($reading, $check->readings, true),
            in_array($reading, $this->judged->verdict->doubted, true),
            $si === null ? null : $this->judged->present()->taken[$reading->value] ?? null,
        );
    }

    /** "coil 2: 4.0 °C", where it was read of parts alone; null where it was not. */
    private function ofParts(Reading $reading): ?string
    {
        $chapter = $this->judged->assessment->present()->chapter;
        if ($this->part->name() !== '' || isset($chapter->own[$reading->value])) {
            return null;
        }
        $unit = $this->units->of($reading->quantity());
        $said = [];
        foreach ($chapter->parts as $part => $readings) {
            if (isset($readings[$reading->value])) {
                $said[] = PartId::of($part)->name().': '.Format::amount($readings[$reading->value], $unit);
            }
        }

        return $said === [] ? null : implode(', ', $said);
    }

    /** @return list<Choice> */
    public function choices(): array
    {
        $asked = array_filter(
            [...$this->station->observations(), ...$this->station->tests()],
            $this->asks(...),
        );

        return array_values(array_map($this->choice(...), $asked));
    }

    public function choice(Question $asked): Choice
    {
        $proposed = $this->judged->verdict->nextCheck()?->key === $asked;
        if ($asked instanceof Test) {
            $taking = $asked->taking();

            return new Choice(
                $asked,
                $this->judged->present()->tested($asked),
                $proposed,
                $taking->how,
                Cautions::words($taking->cautions),
            );
        }
        assert($asked instanceof Observation);

        return new Choice($asked, $this->judged->present()->observed($asked), $proposed);
    }

    /** Whether the control of a fact stands on this page. */
    public function shows(FactKind $kind, string $key): bool
    {
        return match ($kind) {
            FactKind::Reading => in_array(
                Reading::tryFrom($key),
                [...$this->station->readings(), ...$this->station->moreReadings()],
                true,
            ),
            FactKind::Observation => in_array(Observation::tryFrom($key), $this->station->observations(), true),
            FactKind::Test => in_array(Test::tryFrom($key), $this->station->tests(), true),
            FactKind::Complaint => $this->station === Station::Complaint,
            FactKind::State => true,
            FactKind::Confirmed,
            FactKind::RuledOut,
            FactKind::Note,
            FactKind::Move,
            FactKind::Card,
            FactKind::Clock,
            FactKind::Touched,
            FactKind::Restored,
            FactKind::Goods,
            FactKind::Site,
            FactKind::Circuit,
            FactKind::Undo => false,
        };
    }

    private function asks(Asked $one): bool
    {
        return $one->taking()->isAskedAt($this->judged->present()->circuit);
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<Cell> of what can be asked of this circuit, or was read all the same
     */
    private function cellsOf(array $readings): array
    {
        $asked = array_filter(
            $readings,
            fn (Reading $one): bool => $this->asks($one) || $this->judged->present()->reading($one) !== null,
        );

        return array_values(array_map(fn (Reading $one): Cell => $this->cell($one), $asked));
    }
}
