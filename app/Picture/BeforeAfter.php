<?php

namespace App\Picture;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Assessment;

/** The figures that say whether a plant is right, as found and as left, each over the span that is wanted of it. */
final readonly class BeforeAfter
{
    public const WIDTH = 680.0;

    private const LEFT = 190.0;

    private const RIGHT = 470.0;

    private const ROW = 30.0;

    /** How high a band is, and how far words hang below the middle of their row. */
    public const BAND = 16.0;

    private const BASELINE = 4.0;

    /** K to both sides of its set point within which a box is where it should be. */
    private const BOX = 1.0;

    private const FIGURES = [
        DerivedFigure::EvaporatorSuperheat,
        DerivedFigure::Subcooling,
        DerivedFigure::EvaporatorTd,
        DerivedFigure::CondenserSplit,
    ];

    /**
     * @var list<array{
     *     label: string, y: float, textY: float, band: ?array{x: float, y: float, width: float},
     *     was: ?float, is: ?float, text: string, wanted: string
     * }>
     */
    public array $rows;

    public float $height;

    /** Whether anything was read again after something was moved. */
    public bool $hasAfter;

    public function __construct(Assessment $assessment, private Units $units)
    {
        $before = $assessment->asFound()->findings();
        $isMoved = count($assessment->chapters->all) > 1;
        $after = $isMoved ? $assessment->present()->findings() : null;
        $wanted = new Wanted($before->circuit, $assessment->rules);
        $set = $before->circuit->design->boxSetPoint;
        $band = $set === null ? null : new Band($set - self::BOX, $set + self::BOX, 'set point');
        $box = static fn (?Findings $of): ?float => $of?->reading(Reading::BoxTemperature);
        $rows = [$this->row(0, 'Box', QuantityKind::Temperature, $box($before), $box($after), $band)];
        $found = Figures::of($before, $assessment->rules);
        $left = $after === null ? null : Figures::of($after, $assessment->rules);
        foreach (self::FIGURES as $figure) {
            $rows[] = $this->row(
                count(array_filter($rows)),
                $figure->label(),
                $figure->quantity(),
                $found->value($figure),
                $left?->value($figure),
                self::wantedOf($figure, $wanted),
            );
        }
        $this->rows = array_values(array_filter($rows));
        $this->hasAfter = array_filter($this->rows, static fn (array $row): bool => $row['is'] !== null) !== [];
        $this->height = self::ROW * count($this->rows) + 6;
    }

    private static function wantedOf(DerivedFigure $figure, Wanted $wanted): ?Band
    {
        return match ($figure) {
            DerivedFigure::EvaporatorSuperheat => $wanted->superheat(),
            DerivedFigure::Subcooling => $wanted->subcooling(),
            DerivedFigure::EvaporatorTd => $wanted->evaporatorTd(),
            DerivedFigure::CondenserSplit => $wanted->condenserSplit(),
            DerivedFigure::SaturatedSuction,
            DerivedFigure::SaturatedEvaporator,
            DerivedFigure::CoilInlet,
            DerivedFigure::CoilMiddle,
            DerivedFigure::SaturatedCondensing,
            DerivedFigure::CondensingDew,
            DerivedFigure::CondensingMiddle,
            DerivedFigure::CompressorSuperheat,
            DerivedFigure::CondenserSubcooling,
            DerivedFigure::ReceiverSubcooling,
            DerivedFigure::ValveSubcooling,
            DerivedFigure::CondenserApproach,
            DerivedFigure::CondenserAirRise,
            DerivedFigure::CoilAirDrop,
            DerivedFigure::CompressionRatio,
            DerivedFigure::DrierDrop,
            DerivedFigure::SuctionLineGain,
            DerivedFigure::SuctionLineDrop,
            DerivedFigure::IdealDischarge,
            DerivedFigure::ExpectedDischarge,
            DerivedFigure::BoxAboveSetPoint,
            DerivedFigure::CurrentShare => null,
        };
    }

    /**
     * @return ?array{
     *     label: string, y: float, textY: float, band: ?array{x: float, y: float, width: float},
     *     was: ?float, is: ?float, text: string, wanted: string
     * } null where nothing was read
     */
    private function row(int $place, string $label, QuantityKind $kind, ?float $was, ?float $is, ?Band $band): ?array
    {
        $first = $was ?? $is;
        if ($first === null) {
            return null;
        }
        $ends = [$first, $is ?? $first, $band->low ?? $first, $band->high ?? $first];
        $room = max(1.0, 0.15 * (max($ends) - min($ends)));
        [$from, $to] = [min($ends) - $room, max($ends) + $room];
        $axis = Axis::of(self::LEFT, self::RIGHT, $from, $to);
        $y = self::ROW * $place + self::ROW / 2 + 2;
        $x = static fn (?float $value): ?float => $value === null ? null : $axis->at($value);
        $said = static fn (?float $value, Units $units): string => $value === null ? '' : $units->number($value, $kind);

        return [
            'label' => $label,
            'y' => $y,
            'textY' => $y + self::BASELINE,
            'band' => $band === null
                ? null
                : [
                    'x' => $axis->at($band->low),
                    'y' => $y - self::BAND / 2,
                    'width' => max(2.0, $axis->at($band->high) - $axis->at($band->low)),
                ],
            'was' => $x($was),
            'is' => $x($is),
            'text' => implode(' → ', array_filter(
                [$said($was, $this->units), $said($is, $this->units)],
                static fn (string $one): bool => $one !== '',
            )).
                ' '.$this->units->symbol($kind),
            'wanted' => $band === null ? '' : 'target '.$this->units->span($band->low, $band->high, $kind),
        ];
    }
}
