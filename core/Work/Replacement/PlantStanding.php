<?php

declare(strict_types=1);

namespace Metrum\Work\Replacement;

use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Work\Compressor\PointKind;
use Metrum\Work\Record\FigureHistory;
use Metrum\Work\Record\HistoryFigure;

/**
 * How a plant stands where it is asked whether it be repaired or replaced: for what each thing speaks. None of them
 * decides; they are put beside each other.
 */
final readonly class PlantStanding
{
    /** Share of a plant's energy from which a fault is dear. */
    private const DEAR = 0.1;

    /** Visits a year for faults from which it fails often, and up to which seldom. */
    private const OFTEN = 3.0;

    private const SELDOM = 1.0;

    /** Chance of a worn compressor from which it counts, and up to which it is held sound. */
    private const WORN = 0.5;

    private const SOUND = 0.1;

    public function __construct(private HouseRules $rules)
    {
    }

    /** @param  ?float  $years  since it was commissioned */
    public function age(?float $years): Leaning
    {
        return $this->within($years, HouseRule::ServiceLife);
    }

    /** @param  float  $gwp  of its refrigerant, 100 years */
    public function refrigerant(float $gwp): Leaning
    {
        return $this->within($gwp, HouseRule::PhaseDown);
    }

    /** @param  ?float  $rate  share of the charge in twelve months */
    public function leaks(?float $rate): Leaning
    {
        return $this->within($rate, HouseRule::LeakThreshold);
    }

    private function within(?float $value, HouseRule $rule): Leaning
    {
        $band = $this->rules->band($rule);

        return match (true) {
            $value === null => Leaning::NotKnown,
            $value >= $band->high => Leaning::Replacement,
            $value < $band->low => Leaning::Repair,
            default => Leaning::Neither,
        };
    }

    /**
     * @param  ?float  $worn  chance that the compressor is worn, 1 where that was confirmed; null: nothing was judged
     * @param  bool  $acid  whether acid was found in its oil
     */
    public function compressor(?float $worn, bool $acid): Leaning
    {
        return match (true) {
            $acid => Leaning::Replacement,
            $worn === null => Leaning::NotKnown,
            $worn >= self::WORN => Leaning::Replacement,
            $worn <= self::SOUND => Leaning::Repair,
            default => Leaning::Neither,
        };
    }

    /**
     * A day outside its field asks for head control or a larger condenser before it asks for another system.
     *
     * @param  ?list<PointKind>  $outside  of the coldest and the hottest day; null where no twin says
     */
    public function envelope(?array $outside): Leaning
    {
        return match ($outside) {
            null => Leaning::NotKnown,
            [] => Leaning::Repair,
            default => Leaning::Neither,
        };
    }

    /**
     * Coil and condenser: what drifts or stands beyond its limit can be washed, thawed or mended first.
     *
     * @param  list<FigureHistory>  $figures
     */
    public function surfaces(array $figures): Leaning
    {
        foreach (self::ofSurfaces($figures) as $one) {
            if ($one->told() !== null || self::isBeyond($one)) {
                return Leaning::Neither;
            }
        }

        return self::ofSurfaces($figures) === [] ? Leaning::NotKnown : Leaning::Repair;
    }

    /**
     * @param  list<FigureHistory>  $figures
     * @return list<FigureHistory> split and TD, where they were read
     */
    public static function ofSurfaces(array $figures): array
    {
        return array_values(array_filter(
            $figures,
            static fn (FigureHistory $one): bool => $one->dots !== [] &&
                in_array($one->figure, [HistoryFigure::Split, HistoryFigure::Td], true),
        ));
    }

    public static function isBeyond(FigureHistory $figure): bool
    {
        $last = $figure->dots[count($figure->dots) - 1] ?? null;
        $row = $figure->figure->row();

        return $last !== null && abs($last->distance) >= $row->act && $row->worse->is($last->distance);
    }

    /** What a fault takes goes away with its repair; a worn compressor takes it until it is replaced. */
    public function energy(?ExtraEnergy $energy, ?Fault $fault): Leaning
    {
        if ($energy === null) {
            return Leaning::NotKnown;
        }
        $isDear = $energy->extra->likely >= self::DEAR * $energy->sound->likely;

        return match (true) {
            ! $isDear => Leaning::Neither,
            $fault === Fault::CompressorInefficient => Leaning::Replacement,
            default => Leaning::Repair,
        };
    }

    /** @param  ?float  $aYear  visits for a fault; null where the record is shorter than a year */
    public function faults(?float $aYear): Leaning
    {
        return match (true) {
            $aYear === null => Leaning::NotKnown,
            $aYear >= self::OFTEN => Leaning::Replacement,
            $aYear <= self::SELDOM => Leaning::Repair,
            default => Leaning::Neither,
        };
    }

    /**
     * What is to be expected next: an open fault, or a figure that drifts.
     *
     * @param  list<FigureHistory>  $figures
     * @param  bool  $wasJudged  whether anything was found at a visit
     */
    public function next(array $figures, ?Fault $fault, bool $wasJudged): Leaning
    {
        $drifting = array_filter($figures, static fn (FigureHistory $one): bool => $one->told() !== null);

        return match (true) {
            ! $wasJudged => Leaning::NotKnown,
            $fault !== null, $drifting !== [] => Leaning::Neither,
            default => Leaning::Repair,
        };
    }
}
