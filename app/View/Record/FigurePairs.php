<?php

namespace App\View\Record;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/**
 * What was read at two visits, side by side.
 *
 * @phpstan-type Pair array{name: string, was: string, is: string, change: string}
 */
final readonly class FigurePairs
{
    private const FIRST = [Reading::AmbientTemperature, Reading::BoxTemperature];

    private const FIGURES = [
        DerivedFigure::SaturatedSuction,
        DerivedFigure::SaturatedCondensing,
        DerivedFigure::CondenserSplit,
        DerivedFigure::EvaporatorTd,
        DerivedFigure::EvaporatorSuperheat,
        DerivedFigure::CompressorSuperheat,
        DerivedFigure::Subcooling,
    ];

    /** Readings that a page shows which has little room. */
    private const FEW = [
        Reading::DischargeTemperature,
        Reading::CompressorCurrent,
        Reading::ReceiverLevel,
        Reading::FreezeTime,
        Reading::HarvestTime,
        Reading::IcePerCycle,
        Reading::IceInQuarter,
    ];

    private const UNKNOWN = '—';

    public function __construct(
        private Findings $was,
        private Findings $is,
        private HouseRules $rules,
        private Units $units,
    ) {
    }

    /** @return list<Pair> what tells most, where it is known of both */
    public function few(): array
    {
        $both = static fn (array $pair): bool => $pair['was'] !== self::UNKNOWN && $pair['is'] !== self::UNKNOWN;

        return array_values(array_filter([...$this->head(), ...$this->readings(self::FEW)], $both));
    }

    /** @return list<Pair> all that is known of either */
    public function all(): array
    {
        $rest = array_filter(
            Reading::cases(),
            static fn (Reading $one): bool => ! in_array($one, self::FIRST, true),
        );
        $either = static fn (array $pair): bool => $pair['was'] !== self::UNKNOWN || $pair['is'] !== self::UNKNOWN;

        return array_values(array_filter([...$this->head(), ...$this->readings(array_values($rest))], $either));
    }

    /** @return list<Pair> */
    private function head(): array
    {
        [$was, $is] = [Figures::of($this->was, $this->rules), Figures::of($this->is, $this->rules)];
        $figures = array_map(
            fn (DerivedFigure $one): array => $this->pair(
                $one->label(),
                $one->quantity(),
                $was->value($one),
                $is->value($one),
            ),
            self::FIGURES,
        );

        return [...$this->readings(self::FIRST), ...$figures];
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<Pair>
     */
    private function readings(array $readings): array
    {
        return array_map(
            fn (Reading $one): array => $this->pair(
                $one->label(),
                $one->quantity(),
                $this->was->reading($one),
                $this->is->reading($one),
            ),
            $readings,
        );
    }

    /** @return Pair */
    private function pair(string $name, QuantityKind $kind, ?float $was, ?float $is): array
    {
        $told = fn (?float $si): string => $si === null ? self::UNKNOWN : $this->units->text($si, $kind);

        return [
            'name' => $name,
            'was' => $told($was),
            'is' => $told($is),
            'change' => $was === null || $is === null ? '' : $this->change($is - $was, $kind),
        ];
    }

    private function change(float $by, QuantityKind $kind): string
    {
        $of = match ($kind) {
            QuantityKind::Temperature => QuantityKind::Difference,
            QuantityKind::GaugePressure, QuantityKind::AbsolutePressure => QuantityKind::PressureDifference,
            default => $kind,
        };

        return Magnitude::of($by, $of)->signed()->in($this->units);
    }
}
