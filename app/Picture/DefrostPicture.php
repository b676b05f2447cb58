<?php

namespace App\Picture;

use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\DefrostInTime;
use Metrum\Work\Cards\DefrostRun;

/**
 * One defrost on the clock: coil temperature as it was read and as the twin shows it, its frost, and what ran when.
 *
 * @phpstan-type Piece array{class: string, x: float, width: float, middle: float, text: string}
 * @phpstan-type Bar array{name: string, y: float, pieces: list<Piece>}
 */
final readonly class DefrostPicture
{
    public const WIDTH = 760.0;

    public const HEIGHT = 300.0;

    public const LEFT = 66.0;

    public const RIGHT = 748.0;

    /** Top and bottom of the temperatures, and tops of the two bars. */
    public const TOP = 26.0;

    public const BOTTOM = 196.0;

    public const BARS = [222.0, 250.0];

    public const BAR = 20.0;

    /** Down to where a limit is drawn. */
    public const DOWN = 270.0;

    /** s drawn at least, and s between two ticks. */
    private const LEAST = 1800.0;

    private const TICK = 600.0;

    /** Width of a letter, and of a word that finds no place. */
    private const LETTER = 6.4;

    /** What runs between two events, as it is drawn and named: until heat off, until fed, until fans, until back. */
    private const PHASES = ['heat' => 'heat', 'drip' => 'drip', 'cold' => 'cooling', 'fans' => 'fans'];

    /** @var list<array{float, string}> place and label of temperatures */
    public array $levels;

    /** @var list<array{float, string}> place and label of minutes */
    public array $minutes;

    /** Of the twin's coil and frost; empty where no heat melts its coil. */
    public string $coil;

    public string $frost;

    /** "1.2 kg of frost at the start"; empty where there is none. */
    public string $ice;

    /** @var list<array{float, float, string}> place of what was read, and its value */
    public array $dots;

    /** @var list<Bar> */
    public array $bars;

    /** @var ?array{float, string} where the heat ends at the latest, as it is set */
    public ?array $limit;

    /** @param  ?DefrostInTime  $twin  null where no heat melts its coil */
    public function __construct(private DefrostRun $run, private ?DefrostInTime $twin, private Units $units)
    {
        $x = Axis::of(self::LEFT, self::RIGHT, 0.0, $this->span())->held();
        $temperatures = [...array_column($this->run->sensor, 1), ...array_column($this->twin->points ?? [], 1)];
        $low = min([Celsius::ZERO - 5.0, ...$temperatures]) - 2.0;
        $high = max([Celsius::ZERO + 10.0, ...$temperatures]) + 2.0;
        $y = Axis::of(self::BOTTOM, self::TOP, $low, $high)->held();
        $this->levels = array_map(
            fn (float $kelvin): array => [
                round($y->at($kelvin), 1),
                $this->units->number($kelvin, QuantityKind::Temperature),
            ],
            Axis::of(self::BOTTOM, self::TOP, $low, $high)->rounds(10.0, Celsius::ZERO),
        );
        $this->minutes = $this->ticks($x);
        $plot = new Plot($x, $y);
        $this->coil = $plot->path(array_map(
            static fn (array $one): array => [$one[0], $one[1]],
            $this->twin->points ?? [],
        ));
        $this->frost = $this->frosted($x);
        $this->ice = $this->twin === null ? '' : $this->units->mass($this->twin->ice()).' of frost at the start';
        $this->dots = array_map(fn (array $one): array => [
            round($x->at($one[0]), 1),
            round($y->at($one[1]), 1),
            $this->units->number($one[1], QuantityKind::Temperature),
        ], $this->run->sensor);
        $this->bars = $this->drawn($x);
        $this->limit = $this->run->length === null
            ? null
            : [round($x->at($this->run->length), 1), 'limit '.self::inMinutes($this->run->length)];
    }

    private function span(): float
    {
        $twin = $this->twin === null ? 0.0 : ($this->twin->back ?? $this->twin->refrigerant) + 300.0;

        return max(self::LEAST, $this->run->last() + 300.0, $twin, ($this->run->length ?? 0.0) + 120.0);
    }

    /** @return list<array{float, string}> */
    private function ticks(Axis $x): array
    {
        $ticks = [];
        $step = $this->span() > 6000.0 ? 2 * self::TICK : self::TICK;
        for ($at = 0.0; $at <= $this->span(); $at += $step) {
            $clock = \DateTimeImmutable::createFromInterface($this->run->began)->modify('+'.(int) $at.' seconds');
            $ticks[] = [round($x->at($at), 1), $clock->format('H:i')];
        }

        return $ticks;
    }

    /** The twin's frost, from the bottom of the temperatures up. */
    private function frosted(Axis $x): string
    {
        if ($this->twin === null || $this->twin->ice() <= 0.0) {
            return '';
        }
        $y = Axis::of(self::BOTTOM, self::BOTTOM - 60.0, 0.0, $this->twin->ice())->held();
        $places = array_map(
            static fn (array $one): array => [round($x->at($one[0]), 1), round($y->at($one[2]), 1)],
            $this->twin->points,
        );
        $last = $places[count($places) - 1][0] ?? self::LEFT;

        return Plot::through([[self::LEFT, self::BOTTOM], ...$places, [$last, self::BOTTOM]]).' Z';
    }

    /** @return list<Bar> */
    private function drawn(Axis $x): array
    {
        $bars = [['name' => 'Real', 'y' => self::BARS[1], 'pieces' => $this->pieces($x, $this->real())]];
        if ($this->twin === null) {
            return $bars;
        }
        $twin = [$this->twin->heat, $this->twin->refrigerant, $this->twin->fans, $this->twin->back];

        return [['name' => 'Twin', 'y' => self::BARS[0], 'pieces' => $this->pieces($x, $twin)], ...$bars];
    }

    /** @return list<?float> s at which each phase ended; what goes on ends with what was noted last */
    private function real(): array
    {
        $events = $this->run->events;
        $ends = [
            $events[DefrostRun::HEAT_OFF] ?? null,
            $events['refrigerant_on'] ?? null,
            $events['fans_on'] ?? null,
            $events['back'] ?? null,
        ];
        foreach ($ends as $place => $end) {
            if ($end === null) {
                $before = $place === 0 ? 0.0 : (float) $ends[$place - 1];
                $ends[$place] = $this->run->last() > $before ? $this->run->last() : null;
                break;
            }
        }

        return $ends;
    }

    /**
     * @param  list<?float>  $ends  s
     * @return list<Piece>
     */
    private function pieces(Axis $x, array $ends): array
    {
        $pieces = [];
        $from = 0.0;
        foreach (array_keys(self::PHASES) as $place => $class) {
            $to = $ends[$place] ?? null;
            if ($to === null) {
                break;
            }
            $width = round($x->at($to) - $x->at($from), 1);
            $text = self::PHASES[$class].' '.self::inMinutes($to - $from);
            $pieces[] = [
                'class' => 'defrost-'.$class,
                'x' => round($x->at($from), 1),
                'width' => $width,
                'middle' => round($x->at(($from + $to) / 2), 1),
                'text' => match (true) {
                    $width > self::LETTER * mb_strlen($text) => $text,
                    $width > self::LETTER * 3 => Format::number(($to - $from) / 60, 0),
                    default => '',
                },
            ];
            $from = $to;
        }

        return $pieces;
    }

    private static function inMinutes(float $seconds): string
    {
        return Format::number($seconds / 60, 0).' min';
    }

    /** @return list<array{string, string}> each event with its time, for those who read it */
    public function events(): array
    {
        $names = [
            DefrostRun::BEGINS => 'Defrost begins',
            DefrostRun::HEAT_OFF => 'Heat off',
            'drip_over' => 'Dripping over',
            'refrigerant_on' => 'Refrigerant on',
            'fans_on' => 'Fans on',
            'back' => 'Box at set point',
        ];
        $told = [];
        foreach ($this->run->events as $step => $at) {
            $clock = \DateTimeImmutable::createFromInterface($this->run->began)->modify('+'.(int) $at.' seconds');
            $told[] = [$clock->format('H:i'), $names[$step].($at > 0.0 ? ', after '.self::inMinutes($at) : '')];
        }

        return $told;
    }

    /** What it shows, in one sentence. */
    public function summary(): string
    {
        $told = array_map(static fn (array $one): string => $one[0].' '.lcfirst($one[1]), $this->events());

        return 'Defrost over time. '.implode('; ', $told).'.';
    }
}
