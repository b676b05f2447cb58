<?php

namespace App\View;

use App\Records\JudgedVisit;
use App\View\Goods\GoodsSheet;
use Metrum\Diagnosis\Gate;
use Metrum\Installation\PartId;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Clock;
use Metrum\Work\Clocks;
use Metrum\Work\Desk\BeforeAndNow;
use Metrum\Work\Desk\Leaving;
use Metrum\Work\Desk\Proof;

/** What stands beside the work on every page of a visit: clocks, what was touched, what is proven and what is not. */
final readonly class WorkSide
{
    /** What is touched, left or dangerous. */
    public Leaving $leaving;

    public function __construct(private JudgedVisit $judged, private Units $units)
    {
        $this->leaving = $judged->desk->leaving();
    }

    /** What should be thought of before the visit is closed. */
    public function closing(): Gate
    {
        return $this->leaving->closing($this->judged->visit->ranWell());
    }

    /** @return list<Clock> that run, soonest first */
    public function clocks(): array
    {
        return $this->judged->visit->isOpen() ? Clocks::of($this->judged->log)->running(now()) : [];
    }

    /** When it ends, in milliseconds as a browser counts them. */
    public function ends(Clock $clock): int
    {
        return 1000 * $clock->ends()->getTimestamp();
    }

    /** "11:48" */
    public function left(Clock $clock): string
    {
        $seconds = max(0, $clock->ends()->getTimestamp() - now()->getTimestamp());

        return sprintf('%d:%02d', intdiv($seconds, 60), $seconds % 60);
    }

    /** @return array<string, string> what is often touched and does not stand open yet, as it is said */
    public function touchable(): array
    {
        $keys = $this->leaving->touchable();

        return array_combine($keys, array_map(static fn (string $key): string => ucfirst(LeftOpen::said($key)), $keys));
    }

    /** "Valve closed, valve B"; of another circuit of the rack under its name. */
    public function touchedWords(string $touched, PartId $part): string
    {
        $of = $part->ofCircuit();
        $visit = $this->judged->visit;
        $isOwn = $of === null || $of->is($visit->circuit->partId());
        $other = $isOwn ? '' : $visit->nameOfCircuit($of).': ';

        return $other.ucfirst(LeftOpen::said($touched)).PartAddress::behind($part);
    }

    /** @return list<string> what of the work is not ended (J-10) */
    public function unfinished(): array
    {
        return array_values(array_filter([
            $this->clocks() === [] ? '' : 'a timer is still running',
            ...array_map(
                static fn (array $one): string => '“'.$one[0]->name.'” is unfinished',
                $this->judged->desk->cards()->open(),
            ),
            $this->judged->assessment->isBeforeLastMove() ? 'no readings since the last change' : '',
            ...$this->missed(),
            $this->goods(),
        ]));
    }

    /** Goods out of their limits of which nobody said what becomes of them; empty where there are none. */
    private function goods(): string
    {
        $goods = GoodsSheet::of($this->judged, $this->units);

        return $goods?->state->isUndecided() === true ? 'goods out of limits: moved, discarded or staying?' : '';
    }

    /** @return list<string> targets that are missed, fans that stand, a receiver that is empty */
    private function missed(): array
    {
        $missed = array_filter($this->proofs(), static fn (Proof $one): bool => $one->isMissed());

        return array_values(array_filter([
            ...array_map(
                fn (Proof $one): string => Explain::within($one->label()->in($this->units)).' off target: '.
                    $one->said()->in($this->units),
                array_values($missed),
            ),
            $this->leaving->fans->ofCoil ? 'coil fans not running' : '',
            $this->leaving->fans->ofCondenser ? 'condenser fans not running' : '',
            $this->leaving->isReceiverEmpty() ? 'receiver level reads empty' : '',
        ]));
    }

    /** @return list<Proof> */
    public function proofs(): array
    {
        $return = $this->judged->visit->followUps()->whereNull('done_at')->first();

        return $this->judged->desk->proofs()->all(now(), $return?->due_on);
    }

    /** @return list<array{string, string, string, string}> figure, as found, now, change */
    public function beforeAndAfter(): array
    {
        return array_map(
            $this->compared(...),
            $this->judged->desk->proofs()->beforeAndAfter(),
        );
    }

    /** What current and voltage say of the change; empty where they were not read on both sides of it. */
    public function loadChange(): string
    {
        return $this->judged->desk->proofs()->loadChange()?->in($this->units) ?? '';
    }

    /** @return array{string, string, string, string} figure, as found, now, change */
    private function compared(BeforeAndNow $one): array
    {
        $kind = $one->of->quantity();
        $change = $one->change();
        $text = fn (?float $si): string => $si === null ? 'not read' : $this->units->text($si, $kind);
        // A change of a temperature is a difference.
        $as = $kind === QuantityKind::Temperature ? QuantityKind::Difference : $kind;

        return [
            $one->of->label(),
            $text($one->was),
            $text($one->is),
            $change === null ? '' : ($change > 0.0 ? '+' : '').$this->units->text($change, $as),
        ];
    }
}
