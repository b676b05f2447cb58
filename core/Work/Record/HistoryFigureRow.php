<?php

declare(strict_types=1);

namespace Metrum\Work\Record;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Findings\Sign;
use Metrum\Findings\SignRow;
use Metrum\Knowledge\Control;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** What data/history.json says of one figure. Numbers are SI here, in the unit of its first sign there. */
final readonly class HistoryFigureRow
{
    /**
     * @param  non-empty-list<Sign>  $signs  the first that was measured is the figure
     * @param  float  $scatter  deviation of one visit's distance about its line
     * @param  float  $withWeather  deviation, over systems, of what is left of the weather in it; a K of ambient
     * @param  float  $act  distance from zero at which something is to be done
     * @param  bool  $isSettled  counts only where the readings could be judged
     * @param  list<Control>  $brokenBy  moves after which another line begins
     */
    private function __construct(
        public string $label,
        public array $signs,
        public Worse $worse,
        public float $scatter,
        public float $withWeather,
        public float $act,
        public bool $isSettled,
        public array $brokenBy,
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row): self
    {
        $row->only([
            'label', 'signs', 'worse', 'scatter', 'with_weather', 'act', 'settled', 'broken_by', 'reason',
        ]);
        $signs = $row->words('signs', Sign::class);
        if ($signs === []) {
            throw $row->broken('signs', 'a figure needs one');
        }
        $unit = $signs[0]->row()->unit;
        $difference = static fn (string $key): float => SignRow::difference($unit, $row->number($key));

        return new self(
            $row->text('label'),
            $signs,
            $row->word('worse', Worse::class),
            $difference('scatter'),
            $difference('with_weather'),
            $difference('act'),
            $row->flag('settled', true),
            $row->words('broken_by', Control::class),
        );
    }

    /** As which kind a distance from the twin is told. */
    public function quantity(): QuantityKind
    {
        $kind = $this->signs[0]->row()->quantity;

        return $kind === QuantityKind::Temperature ? QuantityKind::Difference : $kind;
    }

    /** @param  float  $si  a distance */
    public function told(float $si): Magnitude
    {
        return Magnitude::of($si, $this->quantity())->signed();
    }

    public function unit(): Unit
    {
        return $this->signs[0]->row()->unit;
    }
}
