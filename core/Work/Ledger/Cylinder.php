<?php

declare(strict_types=1);

namespace Metrum\Work\Ledger;

use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\Library;

/** A cylinder: what it may hold, and what is in it. SI. */
final readonly class Cylinder
{
    /** Share of a cylinder that liquid may take. */
    public const FILLED = 0.8;

    /** kg within which two weights of a cylinder are the same. */
    public const SAME = 0.05;

    /**
     * @param  float  $tare  kg empty
     * @param  float  $water  m³ that it holds
     * @param  float  $content  kg of refrigerant in it
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $refrigerant,
        public float $tare,
        public float $water,
        public bool $isRecovered,
        public float $content = 0.0,
    ) {
    }

    public function gross(): float
    {
        return $this->tare + $this->content;
    }

    /** kg gross to which it may be filled, so that liquid takes 80 % of it at a temperature (K). */
    public function limit(float $kelvin): float
    {
        return $this->tare + self::FILLED * $this->water * $this->density($kelvin);
    }

    /** Share of it that its content takes as liquid at a temperature (K); from 1 on it is brim-full and may burst. */
    public function fill(float $kelvin): float
    {
        return $this->content / max(1e-9, $this->water * $this->density($kelvin));
    }

    private function density(float $kelvin): float
    {
        $fluid = Library::known()->get($this->refrigerant);

        // Hotter than its table there is no liquid any more: taken as brim-full where the table ends.
        return $fluid->liquidDensity(min($kelvin, $fluid->saturation->highest));
    }

    /**
     * Why so much of a refrigerant cannot go into it or come out of it; null where it can (one refrigerant a cylinder).
     *
     * @param  float  $into  kg into the cylinder; below 0: out of it
     * @param  float  $kelvin  temperature that it is filled for
     */
    public function refusal(string $refrigerant, float $into, float $kelvin, Units $units): ?string
    {
        if ($refrigerant !== $this->refrigerant) {
            return "Cylinder $this->label holds $this->refrigerant, the system $refrigerant. ".
                'Never mix refrigerants.';
        }
        $after = $this->content + $into;
        if ($into < 0.0 && $after < -self::SAME) {
            return "Cylinder $this->label has {$units->mass($this->content)} on record; ".
                "{$units->mass(-$into)} cannot come from it. Re-weigh it.";
        }
        $limit = $this->limit($kelvin);
        if ($into > 0.0 && $this->tare + $after > $limit) {
            $full = Magnitude::share(self::FILLED)->in($units);
            $at = Magnitude::temperature($kelvin)->whole()->in($units);

            return "Cylinder $this->label would weigh {$units->mass($this->tare + $after)}; the limit is ".
                "{$units->mass($limit)} ($full liquid at $at).";
        }

        return null;
    }

    public function with(float $content): self
    {
        return new self(
            $this->id,
            $this->label,
            $this->refrigerant,
            $this->tare,
            $this->water,
            $this->isRecovered,
            $content,
        );
    }
}
