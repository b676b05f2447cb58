<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Taken;
use Metrum\Knowledge\Word;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\QuantityKind;
use Metrum\Refrigerant\OutsideTable;

/** Looks for readings that contradict each other or physics (knowledge.md §1; G-03, G-05, G-09, J-18). */
final readonly class Contradictions
{
    /** Pa by which pressures in a row may be the wrong way round: gauges differ. */
    private const AT_CONDENSER = 30e3;

    private const AT_COIL = 15e3;

    /** @param  Figures  $figures  of what was read while it ran */
    private function __construct(
        private Findings $findings,
        private Findings $running,
        private Figures $figures,
    ) {
    }

    /**
     * @param  ?Figures  $figures  of the findings, where they were worked already
     * @return list<Contradiction>
     */
    public static function in(Findings $findings, HouseRules $rules, ?Figures $figures = null): array
    {
        $running = $findings->whileRunning();
        $known = $running === $findings ? $figures : null;

        return (new self($findings, $running, $known ?? Figures::of($running, $rules)))->all();
    }

    /**
     * What is named in them and is no evidence until it is taken again and reads the same.
     *
     * @param  list<Contradiction>  $contradictions
     * @return list<Reading|Observation>
     */
    public static function doubted(array $contradictions, Findings $findings): array
    {
        $doubted = [];
        foreach (array_filter($contradictions, static fn (Contradiction $one): bool => $one->doubts) as $one) {
            $isReading = static fn (Reading|Observation $key): bool => $key instanceof Reading;
            $readings = array_filter($one->repeat, $isReading);
            $left = array_diff(array_column($readings, 'value'), $findings->repeated);
            if ($left !== [] || $readings === []) {
                array_push($doubted, ...$one->repeat);
            }
        }

        return array_values(array_unique($doubted, SORT_REGULAR));
    }

    /** @return list<Contradiction> */
    private function all(): array
    {
        $receiver = Reading::ReceiverPressure;
        $discharge = Reading::DischargePressure;
        $suction = Reading::SuctionPressure;
        $coil = Reading::EvaporatorPressure;
        $found = [
            $this->fans(),
            $this->pressureOrder(
                $receiver,
                $discharge,
                Reason::ReceiverAboveDischarge,
                self::AT_CONDENSER,
            ),
            (new StandingPressure($this->findings))->contradiction(),
            ...(new PipeContradictions($this->running, $this->figures))->all(),
            $this->pumping(),
            ...(new AirContradictions($this->running, $this->figures))->all(),
            $this->pressureOrder($suction, $coil, Reason::SuctionAboveCoil, self::AT_COIL),
            $this->currentWhileOff(),
            ...array_map($this->outsideTable(...), [$suction, $coil, $discharge, $receiver]),
            ...$this->takenBadly(),
        ];

        return array_values(array_filter($found));
    }

    /** @return list<Contradiction> of readings that were not taken where or how they tell anything */
    private function takenBadly(): array
    {
        $found = [];
        foreach ($this->findings->taken as $key => $with) {
            $reading = Reading::from($key);
            if ($with->isDoubtfulOf($reading) && $this->findings->reading($reading) !== null) {
                $what = match (true) {
                    $with === Taken::Far => Reason::TakenFar,
                    Taken::isOfAir($reading) => Reason::TakenOfSurface,
                    default => Reason::TakenOnMetal,
                };
                $found[] = new Contradiction(Sentence::of($what, reading: $reading->label()), [$reading]);
            }
        }

        return $found;
    }

    private function outsideTable(Reading $reading): ?Contradiction
    {
        $pressure = $this->findings->absolute($reading);
        if ($pressure === null) {
            return null;
        }
        try {
            $this->findings->circuit->fluid()->dewTemperature($pressure);
            $this->findings->circuit->fluid()->bubbleTemperature($pressure);

            return null;
        } catch (OutsideTable $reason) {
            return new Contradiction(
                Sentence::of(Reason::OutsideTable, why: $reason->getMessage(), reading: $reading->label()),
                [$reading],
            );
        }
    }

    private function fans(): ?Contradiction
    {
        $running = $this->findings->reading(Reading::FansRunning);
        $fitted = $this->findings->reading(Reading::FansFitted);
        if ($running === null || $fitted === null) {
            return null;
        }
        $counted = ['running' => Magnitude::count($running), 'fitted' => Magnitude::count($fitted)];
        if ($running > $fitted) {
            $what = Sentence::of(Reason::MoreFansThanFitted, ...$counted);

            return new Contradiction($what, [Reading::FansFitted, Reading::FansRunning]);
        }
        if ($running < $fitted && $this->findings->saw(Observation::EvaporatorFans, Word::AllRunning)) {
            $what = Sentence::of(Reason::FansCountedOtherwise, ...$counted);

            return new Contradiction($what, [Reading::FansRunning, Observation::EvaporatorFans]);
        }

        return null;
    }

    private function pumping(): ?Contradiction
    {
        $suction = $this->running->reading(Reading::SuctionPressure);
        $head = $this->running->reading(Reading::DischargePressure);
        if ($suction === null || $head === null || $head > $suction + 20e3) {
            return null;
        }

        return new Contradiction(
            Sentence::of(Reason::HeadNotAbove),
            [Reading::DischargePressure, Reading::SuctionPressure],
        );
    }

    private function currentWhileOff(): ?Contradiction
    {
        if (
            $this->findings->reading(Reading::CompressorCurrent) !== 0.0 ||
            ! $this->findings->saw(Observation::Compressor, Word::Running)
        ) {
            return null;
        }

        return new Contradiction(Sentence::of(Reason::NoCurrent), [
            Reading::CompressorCurrent,
            Observation::Compressor,
        ]);
    }

    private function pressureOrder(
        Reading $lower,
        Reading $higher,
        Reason $reason,
        float $tolerance,
    ): ?Contradiction {
        $low = $this->running->reading($lower);
        $high = $this->running->reading($higher);
        if ($low === null || $high === null || $low <= $high + $tolerance) {
            return null;
        }

        return new Contradiction(
            Sentence::of($reason, by: Magnitude::of($low - $high, QuantityKind::PressureDifference)),
            [$lower, $higher],
        );
    }
}
