<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Language\Sentence;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Work\Clocks;
use Metrum\Work\OpenTouches;

/** What proves that a plant is right again: each target with the reading that says so. */
final readonly class Proofs
{
    /** K above its set point within which a box has arrived. */
    private const ARRIVED = 1.5;

    /** Figures and readings that are laid beside each other. */
    private const COMPARED = [
        DerivedFigure::EvaporatorSuperheat,
        DerivedFigure::CompressorSuperheat,
        DerivedFigure::EvaporatorTd,
        DerivedFigure::Subcooling,
        DerivedFigure::CondenserSplit,
        DerivedFigure::CompressionRatio,
        DerivedFigure::BoxAboveSetPoint,
        Reading::PullDownRate,
        Reading::CompressorCurrent,
        Reading::SupplyVoltage,
        Reading::SupplyAirTemperature,
    ];

    private Findings $found;

    private Figures $now;

    public function __construct(private Desk $desk)
    {
        $this->found = $desk->assessment->present()->findings();
        $this->now = Figures::of($this->found, $desk->assessment->rules);
    }

    /**
     * @param  ?\DateTimeInterface  $return  when somebody comes back; null: no return is dated
     * @return list<Proof>
     */
    public function all(\DateTimeInterface $at, ?\DateTimeInterface $return): array
    {
        $wanted = new Wanted($this->desk->circuit(), $this->desk->assessment->rules);

        return [
            $this->box(),
            $this->inBand(Target::CoilSuperheat, DerivedFigure::EvaporatorSuperheat, $wanted->superheat()),
            $this->inBand(
                Target::CompressorSuperheat,
                DerivedFigure::CompressorSuperheat,
                $wanted->compressorSuperheat(),
            ),
            $this->inBand(Target::Subcooling, DerivedFigure::Subcooling, $wanted->subcooling()),
            $this->inBand(Target::CoilDifference, DerivedFigure::EvaporatorTd, $wanted->evaporatorTd()),
            $this->settled($at),
            $this->pulledDown(),
            $this->putBack(),
            ...$this->secondLook($return),
        ];
    }

    private function box(): Proof
    {
        $above = $this->now->value(DerivedFigure::BoxAboveSetPoint);
        $mark = $above !== null && $above <= self::ARRIVED ? Mark::Fine : Mark::Act;

        return $above === null ? self::open(Target::Box, $this->notRead()) : new Proof(Target::Box, $mark, $above);
    }

    private function inBand(Target $target, DerivedFigure $figure, Band $band): Proof
    {
        $value = $this->now->value($figure);
        if ($value !== null && $this->isBehindRegulator($figure)) {
            return new Proof($target, Mark::Look, null, $band, Missing::NotAtCoil);
        }
        if ($value === null) {
            return new Proof($target, Mark::Look, null, $band, $this->notRead());
        }

        return new Proof($target, $band->holds($value) ? Mark::Fine : Mark::Act, $value, $band);
    }

    /** Whether a figure of the coil is by the compressors' pressure, though a regulator stands before the coil. */
    private function isBehindRegulator(DerivedFigure $figure): bool
    {
        $isOfCoil = in_array($figure, [DerivedFigure::EvaporatorSuperheat, DerivedFigure::EvaporatorTd], true);

        return $isOfCoil &&
            $this->found->circuit->regulator === true &&
            $this->found->reading(Reading::EvaporatorPressure) === null;
    }

    private function settled(\DateTimeInterface $at): Proof
    {
        $assessment = $this->desk->assessment;
        $gate = $this->desk->verdict->settled;

        return match (true) {
            Clocks::of($assessment->log)->running($at) !== [] => self::open(Target::Settled, Missing::ClockRuns),
            $assessment->isBeforeLastMove() => self::open(Target::Settled, Missing::NotReadAgain),
            $gate->isOpen() => new Proof(Target::Settled, Mark::Fine),
            default => new Proof(
                Target::Settled,
                Mark::Look,
                missing: Missing::NotSettled,
                reasons: $gate->reasons(),
            ),
        };
    }

    private function pulledDown(): Proof
    {
        $rate = $this->found->reading(Reading::PullDownRate);

        return $rate === null
            ? self::open(Target::PullDown, Missing::NotTimed)
            : new Proof(Target::PullDown, Mark::Fine, $rate);
    }

    private function putBack(): Proof
    {
        $log = $this->desk->assessment->log;
        if ($log->history(FactKind::Touched) === []) {
            return new Proof(Target::NothingTouched, Mark::Fine);
        }
        $open = count(OpenTouches::of($log)->open);

        return new Proof(Target::PutBack, $open === 0 ? Mark::Fine : Mark::Act, (float) $open);
    }

    private function notRead(): Missing
    {
        return count($this->desk->assessment->chapters->all) > 1 ? Missing::NotRead : Missing::NotReadYet;
    }

    /** @return list<Proof> what only time proves: open until a return is dated */
    private function secondLook(?\DateTimeInterface $return): array
    {
        $first = self::slow($this->desk->assessment->log)[0] ?? null;

        return $first === null
            ? []
            : [
                new Proof(
                    Target::SecondLook,
                    $return === null ? Mark::Look : Mark::Fine,
                    missing: $return === null ? Missing::NotDated : null,
                    changed: Control::from($first->content->key),
                    on: $return,
                ),
            ];
    }

    /** @return list<Fact> changes whose effect shows only over days, in their order */
    public static function slow(Log $log): array
    {
        return array_values(array_filter(
            $log->history(FactKind::Move),
            static fn (Fact $one): bool => Control::from($one->content->key)->row()->provesSlowly,
        ));
    }

    /** @return list<BeforeAndNow> of what was read at all */
    public function beforeAndAfter(): array
    {
        $first = $this->desk->assessment->chapters->all[0]->findings;
        $before = Figures::of($first, $this->desk->assessment->rules);
        $all = array_map(
            fn (DerivedFigure|Reading $of): BeforeAndNow => $of instanceof Reading
                ? new BeforeAndNow($of, $first->reading($of), $this->found->reading($of))
                : new BeforeAndNow($of, $before->value($of), $this->now->value($of)),
            self::COMPARED,
        );

        return array_values(array_filter($all, static fn (BeforeAndNow $one): bool => $one->wasRead()));
    }

    /** What the current says of the change; null where it was not read on both sides of it. */
    public function loadChange(): ?Sentence
    {
        $first = $this->desk->assessment->chapters->all[0]->findings;

        return count($this->desk->assessment->chapters->all) < 2 ? null : LoadChange::of($first, $this->found);
    }

    private static function open(Target $target, Missing $missing): Proof
    {
        return new Proof($target, Mark::Look, missing: $missing);
    }
}
