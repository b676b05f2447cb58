<?php

namespace App\View\Replacement;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\View\Explain;
use App\View\Owner\Money;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;
use Metrum\Work\Compressor\PointKind;
use Metrum\Work\Record\FigureHistory;
use Metrum\Work\Replacement\Estimate;
use Metrum\Work\Replacement\ExtraEnergy;
use Metrum\Work\Replacement\PlantStanding;

/** What is known of a system where its repair is weighed against its replacement, in plain words. */
final readonly class StandingWords
{
    /** kg in a tonne. */
    private const TONNE = 1000.0;

    public function __construct(
        private Circuit $circuit,
        private Units $units,
        private Money $money,
        private ReplacementTerms $terms,
    ) {
    }

    public function age(?float $years): string
    {
        $band = HouseRuleChoice::inForce()->band(HouseRule::ServiceLife);

        return $years === null
            ? 'Year of commissioning not entered.'
            : Format::number($years, 0).' years old. Usual service life ends at about '.
                Format::number($band->high, 0).' years (house rule).';
    }

    public function refrigerant(float $gwp): string
    {
        $band = HouseRuleChoice::inForce()->band(HouseRule::PhaseDown);

        return $this->circuit->refrigerant().', GWP '.Format::number($gwp, 0).'. '.match (true) {
            $gwp >= $band->high => 'Restricted from '.Format::number($band->high, 0).
                ' (house rule): refrigerant for service gets scarce and costly.',
            $gwp >= $band->low => 'Below the restriction at '.Format::number($band->high, 0).
                ' (house rule), but phased down.',
            default => 'Not affected by the phase-down (house rule).',
        };
    }

    /** @param  list<float>  $lost  kg and share in twelve months; nothing where nobody knows */
    public function leaks(array $lost, float $gwp): string
    {
        if ($lost === []) {
            return 'Not known: no full charge, or no record in the refrigerant ledger.';
        }
        [$kilograms, $rate] = $lost;
        if ($kilograms <= 0.0) {
            return 'No loss in the refrigerant ledger.';
        }
        $limit = Explain::percent(HouseRuleChoice::inForce()->band(HouseRule::LeakThreshold)->high);

        return $this->units->mass($kilograms).' lost in 12 months, '.Explain::percent($rate).
            " of the charge (limit $limit): as much warming as ".
            Format::number(($kilograms * $gwp) / self::TONNE, 1).' t of CO₂.';
    }

    public function compressor(?float $worn, bool $acid): string
    {
        $said = match (true) {
            $worn === null => 'Not judged at any visit.',
            $worn >= 1.0 => 'Confirmed worn.',
            default => 'Worn with a chance of '.Explain::percent($worn).' by the last visit.',
        };

        return $acid ? $said.' Acid found in its oil.' : $said;
    }

    /** @param  ?list<PointKind>  $outside  days outside; null where no twin says */
    public function envelope(?array $outside): string
    {
        return match (true) {
            $outside === null => 'Not known: no model of this system.',
            $outside === [] => 'Coldest and hottest day lie within its envelope.',
            in_array(PointKind::Hottest, $outside, true) => 'The hottest day lies outside its envelope: check '.
                'condenser size, dirt and airflow.',
            default => 'The coldest day lies outside its envelope: check head pressure control.',
        };
    }

    /** @param  list<FigureHistory>  $figures */
    public function surfaces(array $figures): string
    {
        $told = [];
        foreach (PlantStanding::ofSurfaces($figures) as $one) {
            $last = $one->dots[count($one->dots) - 1];
            $row = $one->figure->row();
            $beyond = PlantStanding::isBeyond($one) ? ', beyond the limit' : '';
            $drift = $one->told() === null ? '' : ', drifting';
            $distance = $row->told($last->distance)->in($this->units);
            $zero = $one->zeros > 0 ? 'from when it ran well' : 'from expected';
            $told[] = Explain::within($row->label)." $distance $zero$beyond$drift";
        }

        return $told === [] ? 'Never measured.' : ucfirst(implode('; ', $told)).'.';
    }

    public function energy(?ExtraEnergy $energy, ?Fault $fault): string
    {
        if ($energy === null) {
            return 'Not known: no visit with readings, or no model of this system.';
        }
        $sound = 'Compressor when sound: '.self::span($energy->sound).' kWh a year'.$this->worth($energy->sound).'.';
        if ($fault === null || $energy->extra->high <= 0.0) {
            return $sound.' No fault that takes more.';
        }
        $short = $energy->short > 0.0
            ? ' It cannot carry the usual load in about '.Format::number($energy->short, 0).' hours of the year.'
            : '';

        return $sound.' With “'.lcfirst(FaultCatalogue::entry($fault)->name).'” '.self::span($energy->extra).
            ' kWh more'.$this->worth($energy->extra).'.'.$short;
    }

    private function worth(Estimate $energy): string
    {
        $price = $this->terms->energy;

        return $price === null
            ? ''
            : ' ('.$this->money->whole($energy->low * $price).' to '.$this->money->whole($energy->high * $price).')';
    }

    /** "3 200 to 5 900", to what can be known of it. */
    private static function span(Estimate $energy): string
    {
        $rounded = array_map(
            static fn (float $one): string => number_format(round($one, -2), 0, '.', ' '),
            [$energy->low, $energy->high],
        );

        return implode(' to ', array_unique($rounded));
    }

    public function calls(?float $aYear): string
    {
        return $aYear === null
            ? 'Record shorter than a year.'
            : Format::number($aYear, 1).' visits a year at which a fault was named.';
    }

    /** @param  list<FigureHistory>  $figures */
    public function next(array $figures, ?Fault $fault, bool $wasJudged): string
    {
        if (! $wasJudged) {
            return 'Not judged at any visit.';
        }
        $next = [];
        foreach ($figures as $one) {
            $drift = $one->told();
            if ($drift !== null) {
                $isAhead = $drift->reaches() > $drift->to;
                $reaches = $isAhead ? ' reaches its limit about ' : ' has been at its limit since ';
                $next[] = Explain::within($one->figure->row()->label).$reaches.date('F Y', (int) $drift->reaches());
            }
        }
        $open = $fault === null ? [] : ['“'.FaultCatalogue::entry($fault)->name.'” is open'];
        $all = [...$open, ...$next];

        return $all === [] ? 'Nothing drifts and no fault is open.' : ucfirst(implode('; ', $all)).'.';
    }
}
