<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Requirement;
use Metrum\Findings\RackLog;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Prerequisite;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;
use Metrum\Work\Charging\ChargingGate;
use Metrum\Work\Charging\RackChargingGate;
use Metrum\Work\Charging\TakingGate;
use Metrum\Work\Site\CircuitIdentity;

/** What must hold before a control is moved or a card begun (V-01, R-02, N-01): else it is to cure another fault. */
final readonly class Preconditions
{
    private SeenConditions $seen;

    private MeasuredConditions $measured;

    private PermitConditions $permits;

    private function __construct(private Assessment $assessment, private Account $account, private PartId $part)
    {
        $findings = $account->chapter->of($part);
        $this->seen = new SeenConditions($findings);
        $figures = $assessment->figures($account->chapter, $part);
        $this->measured = new MeasuredConditions($findings, $figures, $assessment->rules);
        $this->permits = new PermitConditions($assessment, $findings);
    }

    /** By what was found up to an account, for one part of the circuit. */
    public static function at(Assessment $assessment, Account $account, PartId $part): self
    {
        return new self($assessment, $account, $part);
    }

    /** @return list<Requirement> */
    public function of(Control $control): array
    {
        return $this->all($control->row()->gates);
    }

    /** @return list<Requirement> before refrigerant comes out because there is too much of it */
    public function ofTaking(): array
    {
        return (new TakingGate($this->assessment, $this->account, $this->part))->all();
    }

    /**
     * @param  list<Prerequisite>  $gates
     * @return list<Requirement>
     */
    public function all(array $gates): array
    {
        $all = [];
        foreach ($gates as $gate) {
            array_push($all, ...$this->one($gate));
        }

        return $all;
    }

    /** Said to be settled, and nothing moved just now that the plant has not answered. */
    private function settled(): Requirement
    {
        $left = $this->assessment->settling->left(
            $this->assessment->present()->chapter,
            $this->assessment->log->lastTold(),
        );

        return $left > 0.0
            ? Requirement::fails(
                Reason::Settled,
                Sentence::of(Reason::ClockLeft, left: Magnitude::minutesLeft($left)),
                Reading::MinutesSinceDisturbance,
            )
            : $this->seen->settled();
    }

    /** @return list<Requirement> */
    private function mayCharge(): array
    {
        $rack = $this->assessment->rack();
        $whole = $this->assessment->window->rack;

        return $rack === null || $whole === null
            ? (new ChargingGate($this->assessment, $this->account, $this->part))->all()
            : (new RackChargingGate($rack, RackLog::findings($whole), $whole->log, $this->assessment->rules))->all();
    }

    /** @return list<Requirement> of a circuit of a rack, that it is this one; none where there is but one */
    private function rightCircuit(): array
    {
        $whole = $this->assessment->window->rack;
        $circuit = $this->part->ofCircuit();

        return $whole === null || $circuit === null ? [] : [(new CircuitIdentity($whole, $circuit))->requirement()];
    }

    /** @return list<Requirement> one, but for the charge gate, which has one for each thing that is still wanted */
    private function one(Prerequisite $gate): array
    {
        return match ($gate) {
            Prerequisite::CoilClear => [$this->seen->coil()],
            Prerequisite::FansOn => [$this->seen->fans()],
            Prerequisite::LiquidAtValve => [$this->measured->liquid()],
            Prerequisite::HeadHeld => [$this->measured->head()],
            Prerequisite::DoorsShut => [$this->seen->doors()],
            Prerequisite::BoxNear => [$this->measured->box()],
            Prerequisite::StemAutomatic => [$this->seen->stem()],
            Prerequisite::MayCharge => $this->mayCharge(),
            Prerequisite::Running => [$this->seen->running()],
            Prerequisite::Settled => [$this->settled()],
            Prerequisite::LiquidWarmerThanAir => [$this->measured->liquidWarmerThanAir()],
            Prerequisite::Licence => [$this->permits->licence()],
            Prerequisite::LeakSearched => [$this->permits->leakSearched()],
            Prerequisite::RightCircuit => $this->rightCircuit(),
        };
    }
}
