<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Gates;
use Metrum\Findings\Mark;
use Metrum\Findings\StandingFans;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Hazard;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Units;
use Metrum\Work\Clock;
use Metrum\Work\Clocks;
use Metrum\Work\OpenTouches;

/** What stands beside the work on every page of a visit: clocks, what was touched, what is proven and what is not. */
final readonly class WorkSide
{
    /** Level of a receiver, 0 … 1, that is none. */
    private const EMPTY = 0.01;

    public function __construct(private JudgedVisit $judged, private Units $units)
    {
    }

    /** What should be thought of before the visit is closed. */
    public function closing(): Gate
    {
        $gates = new Gates($this->judged->present(), $this->judged->verdict->figures, $this->judged->rules);

        return $gates->closing($this->judged->verdict->contradictions, $this->judged->visit->ranWell());
    }

    /** @return list<Clock> that run, soonest first */
    public function clocks(): array
    {
        return $this->judged->visit->isOpen() ? Clocks::of($this->judged->log)->running(now()) : [];
    }

    /** "11:48" */
    public function left(Clock $clock): string
    {
        $seconds = max(0, $clock->ends()->getTimestamp() - now()->getTimestamp());

        return sprintf('%d:%02d', intdiv($seconds, 60), $seconds % 60);
    }

    /** @return list<array{string, PartId}> what was touched and is not put back, with its part */
    public function touched(): array
    {
        return array_values(array_filter(
            OpenTouches::of($this->judged->log)->all(),
            static fn (array $one): bool => Hazard::tryFrom($one[0]) === null,
        ));
    }

    /** @return list<array{string, PartId}> all that holds the visit open, with its part */
    public function heldOpen(): array
    {
        return OpenTouches::of($this->judged->log)->all();
    }

    /** @return array<string, string> what is often touched and does not stand open yet, as it is said */
    public function touchable(): array
    {
        $open = OpenTouches::of($this->judged->log)->keys();
        $keys = array_diff([...OpenTouches::OFTEN, ...array_column(Hazard::cases(), 'value')], $open);

        return array_combine($keys, array_map(static fn (string $key): string => str_replace('_', ' ', $key), $keys));
    }

    /** @return list<Hazard> that are made safe before anything else */
    public function hazards(): array
    {
        return OpenTouches::of($this->judged->log)->hazards();
    }

    /** @return list<string> what of the work is not ended (J-10) */
    public function unfinished(): array
    {
        return array_values(array_filter([
            $this->clocks() === [] ? '' : 'a clock still runs',
            ...array_map(
                static fn (array $one): string => Explain::within($one[0]->name).' was begun and not ended',
                (new CardList($this->judged))->open(),
            ),
            $this->judged->assessment->isBeforeLastMove() ? 'nothing was read again after the last move' : '',
            ...$this->missed(),
        ]));
    }

    /** @return list<string> targets that are missed, fans that stand, a receiver that is empty */
    public function missed(): array
    {
        $found = $this->judged->present();
        $fans = StandingFans::in($found, $this->judged->rules);
        $level = $found->reading(Reading::ReceiverLevel);
        $missed = array_filter($this->proofs(), static fn (Proof $one): bool => $one->sign === Mark::Act->sign());

        return array_values(array_filter([
            ...array_map(
                static fn (Proof $one): string => Explain::within($one->label).' is missed, '.$one->said,
                array_values($missed),
            ),
            $fans->ofCoil ? 'coil fans stand' : '',
            $fans->ofCondenser ? 'condenser fans stand' : '',
            $level !== null && $level <= self::EMPTY ? 'the receiver reads empty' : '',
        ]));
    }

    /** @return list<Proof> */
    public function proofs(): array
    {
        return (new Proofs($this->judged, $this->units))->all();
    }

    /** @return list<array{string, string, string, string}> figure, as found, now, change */
    public function beforeAndAfter(): array
    {
        return (new Proofs($this->judged, $this->units))->beforeAndAfter();
    }
}
