<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Twin\ChargeCurve;
use Metrum\Twin\PlantState;

/** What a plant would show at any charge: the twin's curve, straight between the states that were worked. SI. */
final class ChargeModel
{
    /** Figures that tell of the charge, with the deviation of a reading and of the twin itself together, K. */
    public const TELLING = [
        DerivedFigure::Subcooling->value => 1.2,
        DerivedFigure::EvaporatorSuperheat->value => 2.5,
        DerivedFigure::EvaporatorTd->value => 1.8,
        DerivedFigure::CondenserSplit->value => 2.5,
    ];

    /** K by which a reading of subcooling is off, and shares of what a receiver's liquid has: more, and less. */
    private const SUBCOOLING_READ = 0.5;

    private const SUBCOOLING_MORE = 0.35;

    private const SUBCOOLING_LESS = 0.2;

    /** K by which it is off where it is itself what a charge is judged by. */
    private const BY_SUBCOOLING = 0.7;

    /** Share of the receiver from which its outlet is sealed, and K of subcooling from which a condenser's is. */
    private const SEALED_LEVEL = 0.01;

    private const SEALED_SUBCOOLING = 0.5;

    /** Charges at which a plant must run. */
    private const LEAST = 3;

    /** Chance of a word that the twin would not say. */
    private const SLIP = 0.04;

    /** @var non-empty-list<float> kg, rising, where the plant runs */
    public readonly array $charges;

    /** kg that is right. */
    public readonly float $right;

    public readonly bool $hasReceiver;

    /** Whether its receiver is as large as the twin's: its volume stands on it. */
    private readonly bool $knowsReceiver;

    /** kg from which liquid alone leaves receiver or condenser. */
    public readonly float $sealed;

    /** @var array<string, list<?float>> at the same places, by DerivedFigure */
    private readonly array $figures;

    /** @var list<float> of the receiver, 0 … 1 */
    private readonly array $levels;

    /** @var list<array<string, float>> chance of each word of the sight glass */
    private readonly array $glasses;

    private function __construct(ChargeCurve $curve, HouseRules $rules)
    {
        $charges = $levels = $glasses = [];
        $figures = array_fill_keys(array_map(static fn (DerivedFigure $one): string => $one->value, self::shown()), []);
        foreach ($curve->points as [$charge, $state]) {
            if (! $state->runs()) {
                continue;
            }
            $charges[] = $charge;
            $levels[] = $state->level;
            $glasses[] = $state->chances[Observation::SightGlass->value] ?? [];
            $shown = self::figuresOf($curve, $state, $rules);
            foreach (array_keys($figures) as $key) {
                $figures[$key][] = $shown->value(DerivedFigure::from($key));
            }
        }
        $this->charges = $charges === [] ? [$curve->right()] : $charges;
        $this->levels = $levels;
        $this->glasses = $glasses;
        $this->figures = $figures;
        $this->right = $curve->right();
        $this->hasReceiver = $curve->machine->hasReceiver();
        $this->knowsReceiver = $this->hasReceiver && $curve->machine->circuit->design->receiverVolume !== null;
        $this->sealed = $this->sealedFrom();
    }

    /** null where the plant runs at too few charges to tell them apart. */
    public static function of(ChargeCurve $curve, HouseRules $rules): ?self
    {
        $model = new self($curve, $rules);

        return count($model->levels) < self::LEAST ? null : $model;
    }

    private static function figuresOf(ChargeCurve $curve, PlantState $state, HouseRules $rules): Figures
    {
        return Figures::of(new Findings($curve->machine->circuit, readings: $state->readings), $rules);
    }

    /** @return list<DerivedFigure> */
    private static function shown(): array
    {
        return [
            DerivedFigure::Subcooling,
            DerivedFigure::EvaporatorSuperheat,
            DerivedFigure::EvaporatorTd,
            DerivedFigure::CondenserSplit,
            DerivedFigure::SaturatedCondensing,
            DerivedFigure::CondensingDew,
            DerivedFigure::CompressorSuperheat,
        ];
    }

    /** A figure at a charge (kg), SI; at the nearest that runs where it would not run there. */
    public function figure(DerivedFigure $figure, float $charge): ?float
    {
        $values = $this->figures[$figure->value] ?? [];
        [$low, $share] = $this->place($charge);
        $from = $values[$low] ?? null;
        $to = $values[$low + 1] ?? $from;

        return $from === null || $to === null ? $from ?? $to : $from + $share * ($to - $from);
    }

    /**
     * What a reading of a figure and the twin itself are off by together, K.
     *
     * @param  float  $there  what the twin shows: liquid that stands on gas is saturated, and that is sure
     * @param  float  $read  what was read
     */
    public function deviation(DerivedFigure $figure, float $there, float $read): float
    {
        $share = $read < $there ? self::SUBCOOLING_LESS : self::SUBCOOLING_MORE;

        return match (true) {
            $figure !== DerivedFigure::Subcooling => self::TELLING[$figure->value] ?? INF,
            $this->hasReceiver => hypot(self::SUBCOOLING_READ, $share * $there),
            default => self::BY_SUBCOOLING,
        };
    }

    /**
     * kg of the plant above its seal for kg of the twin: a receiver whose volume is known is as large as its twin's,
     * whatever the rest is.
     */
    public function aboveSeal(float $charge, float $size): float
    {
        $above = $charge - $this->sealed;

        return $above > 0.0 && $this->knowsReceiver ? $above : $size * $above;
    }

    /** kg of the twin for kg of the plant above its seal. */
    public function charge(float $aboveSeal, float $size): float
    {
        return $this->sealed + ($aboveSeal > 0.0 && $this->knowsReceiver ? $aboveSeal : $aboveSeal / $size);
    }

    private function sealedFrom(): float
    {
        foreach ($this->charges as $place => $charge) {
            $isSealed = $this->hasReceiver
                ? ($this->levels[$place] ?? 0.0) > self::SEALED_LEVEL
                : ($this->figures[DerivedFigure::Subcooling->value][$place] ?? 0.0) > self::SEALED_SUBCOOLING;
            if ($isSealed) {
                return $charge;
            }
        }

        return $this->right;
    }

    /** Of the receiver, 0 … 1. */
    public function level(float $charge): float
    {
        [$low, $share] = $this->place($charge);
        $from = $this->levels[$low];

        return $from + $share * (($this->levels[$low + 1] ?? $from) - $from);
    }

    /** Chance that somebody says a word of the sight glass at a charge. */
    public function glass(Word $word, float $charge): float
    {
        [$low, $share] = $this->place($charge);
        $from = $this->glasses[$low][$word->value] ?? 0.0;
        $to = $this->glasses[$low + 1][$word->value] ?? $from;

        return self::SLIP + (1 - self::SLIP) * ($from + $share * ($to - $from));
    }

    /** @return array{int, float} place below a charge and the share of the way to the next */
    private function place(float $charge): array
    {
        $charges = $this->charges;
        $last = array_key_last($charges);
        if ($charge <= $charges[0] || $last === 0) {
            return [0, 0.0];
        }
        if ($charge >= $charges[$last]) {
            return [$last, 0.0];
        }
        $low = 0;
        while ($charges[$low + 1] <= $charge) {
            $low++;
        }

        return [$low, ($charge - $charges[$low]) / ($charges[$low + 1] - $charges[$low])];
    }
}
