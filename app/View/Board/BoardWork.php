<?php

namespace App\View\Board;

use App\Models\Visit;
use App\View\Explain;
use App\View\PartAddress;
use Metrum\Findings\RackFindings;
use Metrum\Installation\PartId;
use Metrum\Log\Fact;
use Metrum\Log\Kinds\LeftOpen;
use Metrum\Log\Log;
use Metrum\Log\Source;
use Metrum\Quantity\Units;
use Metrum\Work\Clock;
use Metrum\Work\Clocks;
use Metrum\Work\OpenTouches;
use Metrum\Work\Site\CircuitIdentity;

/** What was entered last at a visit to a rack, what runs and what is still to be put back, of all its circuits. */
final readonly class BoardWork
{
    private const LATEST = 4;

    private const LONGEST = 60;

    private Log $log;

    private Explain $explain;

    public function __construct(private Visit $visit, private RackFindings $found, Units $units)
    {
        $this->log = $visit->log();
        $this->explain = new Explain($units);
    }

    /** @return list<Clock> that run, soonest first */
    public function clocks(): array
    {
        return $this->visit->isOpen() ? Clocks::of($this->log)->running(now()) : [];
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

    /** @return list<array{key: string, part: PartId, said: string}> what was touched and is not put back */
    public function touched(): array
    {
        return array_map(
            fn (array $one): array => [
                'key' => $one[0],
                'part' => $one[1],
                'said' => $this->of($one[1], ucfirst(LeftOpen::said($one[0]))),
            ],
            OpenTouches::of($this->log)->all(),
        );
    }

    /** @return list<array{id: string, at: string, said: string, source: string, canUndo: bool}> newest first */
    public function latest(): array
    {
        return array_map(
            fn (Fact $fact): array => [
                'id' => $fact->id,
                'at' => $fact->takenAt->format('H:i'),
                'said' => mb_strimwidth($this->of($fact->part, $this->explain->fact($fact)), 0, self::LONGEST, '…'),
                'source' => $fact->source === Source::Hand ? '' : $fact->source->value,
                'canUndo' => $fact->rule()->canBeTakenBack(),
            ],
            $this->log->latest(self::LATEST),
        );
    }

    /** "Deli counter: box air 4.1 °C", "LT: suction header 0.9 bar", "C3: discharge line 96 °C" */
    private function of(PartId $part, string $said): string
    {
        $circuit = $part->ofCircuit();
        $named = $this->found->plant->named($circuit ?? $part);

        return $named === null
            ? $said
            : $this->found->nameOf($named).($circuit === null ? '' : PartAddress::behind($part)).': '.
                Explain::within($said);
    }

    /** The circuit whose tag was opened last; empty where none was. */
    public function tagged(): string
    {
        $tag = CircuitIdentity::lastTag($this->visit->log());

        return $tag === null ? '' : $this->visit->nameOfCircuit($tag);
    }
}
