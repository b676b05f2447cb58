<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\Control;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Prerequisite;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/** What must hold before a control is moved or a card begun (V-01, R-02, N-01): else it is to cure another fault. */
final readonly class Preconditions
{
    private SeenConditions $seen;

    private MeasuredConditions $measured;

    private function __construct(Findings $findings, Figures $figures, HouseRules $rules, private Verdict $verdict)
    {
        $this->seen = new SeenConditions($findings);
        $this->measured = new MeasuredConditions($findings, $figures, $rules);
    }

    /** By what was found up to an account, for one part of the circuit. */
    public static function at(Work $work, Account $account, string $subject): self
    {
        $chapter = $account->chapter;

        return new self(
            $chapter->of($subject),
            $work->figures($chapter, $subject),
            $work->rules,
            $work->verdict($account),
        );
    }

    /** @return list<Precondition> */
    public function of(Control $control): array
    {
        return $this->all($control->row()->gates);
    }

    /**
     * @param  list<Prerequisite>  $gates
     * @return list<Precondition>
     */
    public function all(array $gates): array
    {
        $all = [];
        foreach ($gates as $gate) {
            array_push($all, ...$this->one($gate));
        }

        return $all;
    }

    /** @return list<Precondition> one, but for the charge gate, which has one for each thing that is still wanted */
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
            Prerequisite::MayCharge => $this->charge(),
            Prerequisite::Running => [$this->seen->running()],
            Prerequisite::Settled => [$this->seen->settled()],
            Prerequisite::LiquidWarmerThanAir => [$this->measured->liquidWarmerThanAir()],
        };
    }

    /** @return list<Precondition> of the charge gate (N-01) */
    private function charge(): array
    {
        $all = [];
        foreach ($this->verdict->charge->requirements as $one) {
            if (! $one->holds()) {
                $by = $one->settledBy[0] ?? null;
                $all[] = new Precondition($one->holding, 'refrigerant may be added', $one->why, $by);
            }
        }

        return $all === [] ? [Precondition::holds('refrigerant may be added', 'all was looked at')] : $all;
    }
}
