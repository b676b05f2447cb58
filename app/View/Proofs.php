<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Mark;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Log\FactKind;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Clocks;
use Metrum\Work\OpenTouches;

/** What proves that a plant is right again (P-03): each target with the reading that says so. */
final readonly class Proofs
{
    /** K above its set point within which a box has arrived. */
    private const ARRIVED = 1.5;

    /** Figures that are laid beside each other. */
    private const COMPARED = [
        DerivedFigure::EvaporatorSuperheat,
        DerivedFigure::CompressorSuperheat,
        DerivedFigure::EvaporatorTd,
        DerivedFigure::Subcooling,
        DerivedFigure::CondenserSplit,
        DerivedFigure::CompressionRatio,
        DerivedFigure::BoxAboveSetPoint,
    ];

    /** Readings that are laid beside each other as they are. */
    private const READ = [Reading::PullDownRate, Reading::CompressorCurrent, Reading::SupplyAirTemperature];

    /** Controls whose effect shows in the first quiet minute, and proves itself over defrosts and days only. */
    private const SLOW = [
        Control::RegulatorTurn,
        Control::HeadValveTurn,
        Control::ThermostatSet,
        Control::FanDelaySet,
        Control::DefrostCountSet,
        Control::DefrostLengthSet,
        Control::DefrostEndSet,
        Control::DripTimeSet,
        Control::CoilThawed,
        Control::DrainCleared,
    ];

    private Figures $now;

    public function __construct(private JudgedVisit $judged, private Units $units)
    {
        $this->now = Figures::of($judged->present(), $judged->rules);
    }

    /** @return list<Proof> */
    public function all(): array
    {
        $wanted = new Wanted($this->judged->findings->circuit, $this->judged->rules);

        return [
            $this->box(),
            $this->ofBand('Superheat at the coil', DerivedFigure::EvaporatorSuperheat, $wanted->superheat()),
            $this->ofBand(
                'Superheat at the compressor',
                DerivedFigure::CompressorSuperheat,
                $wanted->compressorSuperheat(),
            ),
            $this->ofBand('Liquid: subcooling', DerivedFigure::Subcooling, $wanted->subcooling()),
            $this->ofBand('Coil: TD', DerivedFigure::EvaporatorTd, $wanted->evaporatorTd()),
            $this->settled(),
            $this->pulledDown(),
            $this->putBack(),
            ...$this->secondLook(),
        ];
    }

    private function box(): Proof
    {
        $above = $this->now->value(DerivedFigure::BoxAboveSetPoint);
        if ($above === null) {
            return self::open('Box at its set point', 'not read since the last move');
        }
        $said = $this->units->text($above, QuantityKind::Difference).' above it';

        return $above <= self::ARRIVED
            ? self::proven('Box at its set point', $said)
            : self::missed('Box at its set point', $said);
    }

    private function ofBand(string $label, DerivedFigure $figure, Band $band): Proof
    {
        $value = $this->now->value($figure);
        $kind = $figure->quantity();
        $wanted = 'wanted '.$this->units->span($band->low, $band->high, $kind).' '.$this->units->symbol($kind);
        if ($value === null) {
            return self::open($label, 'not read since the last move, '.$wanted);
        }
        $said = $this->units->text($value, $kind).', '.$wanted;

        return $band->holds($value) ? self::proven($label, $said) : self::missed($label, $said);
    }

    private function settled(): Proof
    {
        $running = Clocks::of($this->judged->log)->running(now());
        $gate = $this->judged->verdict->settled;

        return match (true) {
            $running !== [] => self::open('Settled', 'a clock still runs'),
            $this->judged->assessment->isBeforeLastMove() => self::open('Settled', 'not read since the last move'),
            $gate->isOpen() => self::proven('Settled', ''),
            default => self::open('Settled', implode('; ', $gate->reasons())),
        };
    }

    private function pulledDown(): Proof
    {
        $rate = $this->judged->present()->reading(Reading::PullDownRate);

        return $rate === null
            ? self::open('Pull-down', 'not timed: note the box twice, doors shut')
            : self::proven('Pull-down', $this->units->text($rate, QuantityKind::DifferenceRate));
    }

    private function putBack(): Proof
    {
        $open = count(OpenTouches::of($this->judged->log)->open);

        return $open === 0
            ? self::proven('All put back', '')
            : self::missed('All put back', $open.' still open');
    }

    /** @return list<Proof> what only time proves: open until a return is dated */
    private function secondLook(): array
    {
        foreach ($this->judged->log->history(FactKind::Move) as $fact) {
            $control = Control::from($fact->content->key);
            if (in_array($control, self::SLOW, true)) {
                $return = $this->judged->visit->followUps()->whereNull('done_at')->first();
                $label = 'Seen again after two defrosts or a day';

                return [
                    $return === null
                        ? self::open($label, Explain::within($control->label()).' was changed: date a second look')
                        : self::proven($label, 'to be on '.$return->due_on->format('j M Y')),
                ];
            }
        }

        return [];
    }

    /** @return list<array{string, string, string, string}> figure, as found, now, change */
    public function beforeAndAfter(): array
    {
        $first = $this->judged->assessment->chapters->all[0]->findings;
        $found = Figures::of($first, $this->judged->rules);
        $rows = [];
        foreach (self::COMPARED as $figure) {
            $is = $this->now->value($figure);
            $rows[] = $this->row($figure->label(), $figure->quantity(), $found->value($figure), $is);
        }
        foreach (self::READ as $reading) {
            $is = $this->judged->present()->reading($reading);
            $rows[] = $this->row($reading->label(), $reading->quantity(), $first->reading($reading), $is);
        }

        return array_values(array_filter($rows));
    }

    /** @return ?array{string, string, string, string} null where nothing was read */
    private function row(string $label, QuantityKind $kind, ?float $was, ?float $is): ?array
    {
        if ($was === null && $is === null) {
            return null;
        }

        return [
            $label,
            $was === null ? 'not read' : $this->units->text($was, $kind),
            $is === null ? 'not read' : $this->units->text($is, $kind),
            $was === null || $is === null ? '' : $this->change($is - $was, $kind),
        ];
    }

    /** A change of a temperature is a difference. */
    private function change(float $change, QuantityKind $kind): string
    {
        $as = $kind === QuantityKind::Temperature ? QuantityKind::Difference : $kind;

        return ($change > 0.0 ? '+' : '').$this->units->text($change, $as);
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
