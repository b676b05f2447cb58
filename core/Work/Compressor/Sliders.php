<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

/** What is tried on a simulated plant: each as a change from how it stands. */
final readonly class Sliders
{
    /** Least and most of each: shares of what dirt can take, K. */
    public const SPANS = [
        'dirt' => [0.0, 1.0],
        'air' => [0.0, 1.0],
        'superheat' => [-6.0, 10.0],
        'gain' => [0.0, 30.0],
        'head' => [-10.0, 15.0],
    ];

    /**
     * @param  float  $dirt  on the condenser, 0 … 1
     * @param  float  $air  that the coil lacks, 0 … 1
     * @param  float  $superheat  K by which the valve is set otherwise
     * @param  float  $gain  K that the suction line takes up besides
     * @param  float  $head  K of condensing
     */
    public function __construct(
        public float $dirt = 0.0,
        public float $air = 0.0,
        public float $superheat = 0.0,
        public float $gain = 0.0,
        public float $head = 0.0,
    ) {
    }

    /**
     * As they were set; what is no number stays where it is, what is beyond an end stands at it.
     *
     * @param  array<string, mixed>  $given  by name
     */
    public static function of(array $given): self
    {
        $at = static function (string $name) use ($given): float {
            [$least, $most] = self::SPANS[$name];
            $value = is_numeric($given[$name] ?? null) ? (float) $given[$name] : 0.0;

            return max($least, min($most, $value));
        };

        return new self($at('dirt'), $at('air'), $at('superheat'), $at('gain'), $at('head'));
    }

    public function areAtRest(): bool
    {
        return [$this->dirt, $this->air, $this->superheat, $this->gain, $this->head] === [0.0, 0.0, 0.0, 0.0, 0.0];
    }
}
