<?php

namespace App\View;

use App\Records\Judged;
use Metrum\Circuit\Band;
use Metrum\Circuit\Reading;
use Metrum\Circuit\Wanted;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Mark;
use Metrum\Quantity\Kind;
use Metrum\Quantity\Units;
use Metrum\Work\Clocks;
use Metrum\Work\Touched;

/** What proves that a plant is right again (P-03): each target with the reading that says so. */
final readonly class Proofs
{
    /** K above its set point within which a box has arrived. */
    private const ARRIVED = 1.5;

    /** Figures that are laid beside each other. */
    private const COMPARED = [
        Derived::EvaporatorSuperheat,
        Derived::CompressorSuperheat,
        Derived::EvaporatorTd,
        Derived::Subcooling,
        Derived::CondenserSplit,
        Derived::CompressionRatio,
        Derived::BoxAboveSetPoint,
    ];

    private Figures $now;

    public function __construct(private Judged $judged, private Units $units)
    {
        $this->now = Figures::of($judged->present(), $judged->rules);
    }

    /** @return list<Proof> */
    public function all(): array
    {
        $wanted = new Wanted($this->judged->findings->circuit, $this->judged->rules);

        return [
            $this->box(),
            $this->ofBand('Superheat at the coil', Derived::EvaporatorSuperheat, $wanted->superheat()),
            $this->ofBand('Superheat at the compressor', Derived::CompressorSuperheat, $wanted->compressorSuperheat()),
            $this->ofBand('Liquid: subcooling', Derived::Subcooling, $wanted->subcooling()),
            $this->ofBand('Coil: TD', Derived::EvaporatorTd, $wanted->evaporatorTd()),
            $this->settled(),
            $this->pulledDown(),
            $this->putBack(),
        ];
    }

    private function box(): Proof
    {
        $above = $this->now->value(Derived::BoxAboveSetPoint);
        if ($above === null) {
            return self::open('Box at its set point', 'not read since the last move');
        }
        $said = $this->units->text($above, Kind::Difference).' above it';

        return $above <= self::ARRIVED
            ? self::proven('Box at its set point', $said)
            : self::missed('Box at its set point', $said);
    }

    private function ofBand(string $label, Derived $figure, Band $band): Proof
    {
        $value = $this->now->value($figure);
        $wanted = 'wanted '.$this->units->span($band->low, $band->high, $figure->quantity());
        if ($value === null) {
            return self::open($label, 'not read since the last move, '.$wanted);
        }
        $said = $this->units->text($value, $figure->quantity()).', '.$wanted;

        return $band->holds($value) ? self::proven($label, $said) : self::missed($label, $said);
    }

    private function settled(): Proof
    {
        $running = Clocks::of($this->judged->log)->running(now());
        $gate = $this->judged->verdict->settled;

        return match (true) {
            $running !== [] => self::open('Settled', 'a clock still runs'),
            $gate->isOpen() => self::proven('Settled', ''),
            default => self::open('Settled', implode('; ', $gate->reasons())),
        };
    }

    private function pulledDown(): Proof
    {
        $rate = $this->judged->present()->reading(Reading::PullDownRate);

        return $rate === null
            ? self::open('Pull-down', 'not timed: note the box twice, doors shut')
            : self::proven('Pull-down', $this->units->text($rate, Kind::DifferenceRate));
    }

    private function putBack(): Proof
    {
        $open = count(Touched::of($this->judged->log)->open);

        return $open === 0
            ? self::proven('All put back', '')
            : self::missed('All put back', $open.' still open');
    }

    /** @return list<array{string, string, string, string}> figure, as found, now, change */
    public function beforeAndAfter(): array
    {
        $found = Figures::of($this->judged->work->chapters->all[0]->findings, $this->judged->rules);
        $rows = [];
        foreach (self::COMPARED as $figure) {
            [$was, $is] = [$found->value($figure), $this->now->value($figure)];
            if ($was === null && $is === null) {
                continue;
            }
            $kind = $figure->quantity();
            $rows[] = [
                $figure->label(),
                $was === null ? 'not read' : $this->units->text($was, $kind),
                $is === null ? 'not read' : $this->units->text($is, $kind),
                $was === null || $is === null
                    ? ''
                    : ($is > $was ? '+' : '').$this->units->text($is - $was, $kind),
            ];
        }

        return $rows;
    }

    private static function proven(string $label, string $said): Proof
    {
        return new Proof(Mark::Fine->sign(), $label, $said);
    }

    private static function open(string $label, string $said): Proof
    {
        return new Proof(Mark::Look->sign(), $label, $said);
    }

    private static function missed(string $label, string $said): Proof
    {
        return new Proof(Mark::Act->sign(), $label, $said);
    }
}
