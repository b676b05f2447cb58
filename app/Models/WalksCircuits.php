<?php

namespace App\Models;

use Metrum\Data\Refused;
use Metrum\Findings\RackFindings;
use Metrum\Findings\RackLog;
use Metrum\Installation\Installation;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\PartId;
use Metrum\Installation\PartKind;
use Metrum\Knowledge\Station;
use Metrum\Log\WholeRack;

/** A visit is one to a plant: each circuit of it can be walked in turn. */
trait WalksCircuits
{
    /** The circuit that is walked, where it is another one than the visit was opened at. */
    private ?Circuit $walked = null;

    /** The plant, as its document was read. */
    private ?Installation $plantRead = null;

    /** @var ?array<string, string> what people call the circuits of its plant, by their part */
    private ?array $names = null;

    /** What stands in an address between the visit and the number of the circuit that is walked. */
    private const AT = '~';

    /**
     * Goes on at another circuit of the same plant: all that is asked of the visit then is asked of that one, and
     * addresses lead back to it.
     */
    public function walking(Circuit $circuit): self
    {
        $this->walked = $circuit->id === $this->circuit_id ? null : $circuit;

        return $this->setRelation('circuit', $circuit);
    }

    /** Its own circuit is not named; another one by its number. */
    public function getRouteKey(): string
    {
        $number = $this->walked === null ? '' : substr($this->walked->part, strlen(PartKind::Circuit->value) + 1);

        return $this->id.($number === '' ? '' : self::AT.$number);
    }

    /** @param  string  $value  @param  ?string  $field */
    public function resolveRouteBinding($value, $field = null): ?self
    {
        [$id, $number] = [...explode(self::AT, (string) $value, 2), null];
        $visit = self::query()->where('id', $id)->first();
        if ($visit === null || $number === null) {
            return $visit;
        }
        $circuit = Circuit::query()
            ->where('plant_id', $visit->circuit->plant_id)
            ->where('part', PartKind::Circuit->value.' '.$number)
            ->first();

        return $circuit === null ? null : $visit->walking($circuit);
    }

    /** Where one goes on with it: at the board of several circuits, else at the gauges. */
    public function address(): string
    {
        return $this->isOfRack()
            ? route('visits.board', $this)
            : route('visits.show', [$this, Station::Gauges->value]);
    }

    /** Whether its plant has several circuits. */
    public function isOfRack(): bool
    {
        return count($this->plantAsOpened()->branches) > 1;
    }

    /** The plant as it was known when the visit was opened. @throws Refused where it was harmed from outside */
    public function plantAsOpened(): Installation
    {
        return $this->plantRead ??= InstallationReader::stored($this->installation);
    }

    /** All that was told of its plant, where that has several circuits. */
    public function wholeRack(): ?WholeRack
    {
        if (! $this->isOfRack()) {
            return null;
        }
        $this->names ??= $this->circuit->loadMissing('plant')->plant->circuits()->pluck('name', 'part')->all();

        return new WholeRack($this->log(), $this->plantAsOpened(), $this->names);
    }

    /** What people call a circuit of it. */
    public function nameOfCircuit(PartId $circuit): string
    {
        return $this->wholeRack()->names[$circuit->value] ?? $circuit->value;
    }

    /** What was found of all of its plant. */
    public function rack(): RackFindings
    {
        $rack = $this->wholeRack() ?? new WholeRack($this->log(), $this->plantAsOpened());

        return RackLog::findings($rack, $this->id, $this->opened_at->toIso8601String());
    }

    /** Whether nothing was read at its plant since the last move. */
    public function isRackBeforeChange(): bool
    {
        $rack = $this->wholeRack();

        return $rack !== null && $rack->judged() !== $rack;
    }

    /** What is judged of it: until something was read after a move, what was found before. */
    public function rackJudged(): RackFindings
    {
        $rack = $this->wholeRack();

        return $rack === null ? $this->rack() : RackLog::findings($rack->judged(), $this->id);
    }
}
