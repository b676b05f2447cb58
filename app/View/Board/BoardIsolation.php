<?php

namespace App\View\Board;

use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\Returned;
use Metrum\Findings\Closing;
use Metrum\Findings\Closings;
use Metrum\Findings\RackFindings;
use Metrum\Log\Log;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;

/** Circuits closed one after another, and what came back with each: the one that gives much was filling. */
final readonly class BoardIsolation
{
    /** @param  list<Closing>  $closings */
    private function __construct(
        private array $closings,
        private RackFindings $found,
        private ?RackExamination $examined,
        private Units $units,
    ) {
    }

    public static function of(Log $log, RackFindings $found, ?RackExamination $examined, Units $units): self
    {
        return new self(Closings::of($log, $found->plant), $found, $examined, $units);
    }

    /** @return list<array{name: string, at: string, level: string, header: string, said: string, asks: bool}> */
    public function rows(): array
    {
        return array_map($this->row(...), $this->closings);
    }

    /**
     * When what stands closed for the test must cool again: its cases warm meanwhile.
     *
     * @param  float  $longest  s, by the house rule
     * @return list<array{name: string, value: string, asks: bool}>
     */
    public function deadlines(\DateTimeInterface $now, float $longest): array
    {
        $standing = [];
        foreach ($this->closings as $one) {
            unset($standing[$one->circuit->value]);
            if ($one->closes) {
                $standing[$one->circuit->value] = $one;
            }
        }

        return array_map(function (Closing $one) use ($now, $longest): array {
            $until = $one->at->modify('+'.(int) round($longest).' seconds');
            $isOver = $now > $until;
            $most = Format::number(Unit::Minute->fromSi($longest), 0);

            return [
                'name' => 'Reopen '.$this->nameOf($one),
                'value' => ($isOver ? '● overdue since ' : 'by ').$until->format('H:i').
                    ": its cases warm up; at most $most min for this test",
                'asks' => $isOver,
            ];
        }, array_values($standing));
    }

    /** @return array{name: string, at: string, level: string, header: string, said: string, asks: bool} */
    private function row(Closing $one): array
    {
        $returned = $this->examined === null ? null : Returned::of($one, $this->examined);

        return [
            'name' => $this->nameOf($one).($one->closes ? ' closed' : ' opened again'),
            'at' => $one->at->format('H:i'),
            'level' => self::change($one->levelBefore, $one->levelAfter, self::percent(...), ' %'),
            'header' => self::change($one->headerBefore, $one->headerAfter, $this->header(...), ''),
            'said' => $returned === null ? '' : $this->said($returned),
            'asks' => $returned?->isTooMuch() === true,
        ];
    }

    private function said(Returned $returned): string
    {
        $rise = $returned->closing->rise();
        $expected = self::percent(max(0.0, $returned->expected));
        if ($rise === null) {
            return "Wait until the level stays, then enter it. About $expected % should come back.";
        }
        $came = self::percent(abs($rise));

        return match (true) {
            $returned->isTooMuch() => "$came % came back, about $expected % was expected: ".
                $this->nameOf($returned->closing).' was holding refrigerant.',
            $rise < -0.02 => "The level fell by $came %. Check that its liquid valve is closed too.",
            default => "$came % came back, about $expected % was expected: nothing had collected here.",
        };
    }

    private function nameOf(Closing $one): string
    {
        $branch = $this->found->plant->branch($one->circuit);

        return $branch === null ? ucfirst($one->circuit->value) : $this->found->nameOf($branch);
    }

    /** @param  callable(float): string  $said */
    private static function change(?float $before, ?float $after, callable $said, string $unit): string
    {
        $told = static fn (?float $one): string => $one === null ? 'not read' : $said($one).$unit;

        return $told($before).' → '.$told($after);
    }

    private static function percent(float $share): string
    {
        return Format::number(Unit::Percent->fromSi($share), 0);
    }

    private function header(float $gauge): string
    {
        $dew = $this->examined?->dew($gauge);

        return $dew === null ? $this->units->text($gauge, QuantityKind::GaugePressure) : $this->units->text(
            $dew,
            QuantityKind::Temperature,
        );
    }
}
