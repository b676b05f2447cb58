<?php

namespace App\View;

use App\Picture\Bars;
use Metrum\Bench\Answer;
use Metrum\Bench\AnswerPicture;
use Metrum\Bench\Calculator;
use Metrum\Bench\Inputs;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;

/** The picture of a calculator, where one says it faster than words. */
final readonly class BenchPicture
{
    private const LINES = 3;

    public function __construct(private Inputs $given, private Answer $answer, private Units $units)
    {
    }

    public function of(Calculator $calculator): ?Bars
    {
        return match ($calculator->drawing()) {
            AnswerPicture::Ratios => $this->ratios(),
            AnswerPicture::Flooded => $this->flooded(),
            AnswerPicture::Legs => $this->legs(),
            AnswerPicture::Elements => $this->elements(),
            AnswerPicture::Schedule => $this->schedule($this->given->table('schedule')),
            AnswerPicture::Proposal => $this->schedule($this->planned()),
            null => null,
        };
    }

    private function value(string $key): float
    {
        $value = $this->answer->output($key)?->value;

        return is_float($value) ? $value : 0.0;
    }

    private function ratios(): Bars
    {
        $spans = [];
        foreach (
            [
                'base' => 'Now',
                'with_head_raised' => 'Head pressure higher',
                'with_suction_lowered' => 'Suction lower',
            ] as $key => $label
        ) {
            $ratio = $this->value($key);
            $spans[] = [$label, 0.0, $ratio, $this->units->number($ratio, QuantityKind::Ratio), $key !== 'base'];
        }

        return new Bars($spans, max(array_column($spans, 2)), 'Compression ratio');
    }

    private function flooded(): Bars
    {
        $spans = [];
        foreach (['today' => 'Today', 'coldest' => 'Coldest day'] as $key => $label) {
            $share = $this->given->of("flooded_fraction_$key");
            $mass = $this->units->text($this->value("held_{$key}_kg"), QuantityKind::Mass);
            $spans[] = [$label, 0.0, $share, $this->percent($share).', '.$mass, $key === 'coldest'];
        }

        return new Bars($spans, 1.0, 'Condenser flooded');
    }

    private function legs(): Bars
    {
        $live = $this->given->count('legs_live');
        $current = $this->value('current_live_legs_a');
        $lines = $this->given->count('phases') === 1 ? 2 : self::LINES;
        $spans = [];
        for ($line = 1; $line <= $lines; $line++) {
            $amps = $line <= $live ? $current : 0.0;
            $spans[] = ["Phase $line", 0.0, $amps, $this->units->text($amps, QuantityKind::Current), false];
        }

        return $this->heat($spans, $this->value('heat_remaining_percent'));
    }

    private function elements(): Bars
    {
        $amps = $this->value('expected_current_a');
        $spans = [['Current', 0.0, $amps, $this->units->text($amps, QuantityKind::Current), false]];

        return $this->heat($spans, $this->value('heat_percent'));
    }

    /** @param  list<array{string, float, float, string, bool}>  $spans */
    private function heat(array $spans, float $heat): Bars
    {
        $rated = $this->value('rated_current_a');

        return new Bars(
            [
                ['Rated', 0.0, $rated, $this->units->text($rated, QuantityKind::Current), false],
                ...$spans,
                ['Heating left', 0.0, $heat * $rated, $this->percent($heat), true],
            ],
            max($rated, ...array_column($spans, 2)),
            'Heaters',
        );
    }

    /** @return list<array{float, float}> start and length as planned */
    private function planned(): array
    {
        $starts = $this->answer->output('starts_min')?->value;
        $rows = [];
        foreach ($this->given->table('fixtures') as $i => [$lasts]) {
            $rows[] = [is_array($starts) ? $starts[$i] ?? 0.0 : 0.0, $lasts];
        }

        return $rows;
    }

    /** @param  list<list<float>>  $rows  start and length, s */
    private function schedule(array $rows): ?Bars
    {
        $spans = [];
        $end = 0.0;
        foreach ($rows as $i => [$start, $lasts]) {
            $number = $i + 1;
            $said = $this->units->text($lasts, QuantityKind::Duration);
            $spans[] = ["Circuit $number", $start, $start + $lasts, $said, true];
            $end = max($end, $start + $lasts);
        }

        return $spans === [] ? null : new Bars($spans, $end, 'Defrosts');
    }

    private function percent(float $share): string
    {
        return round(Unit::Percent->fromSi($share)).' %';
    }
}
