<?php

declare(strict_types=1);

namespace Metrum\Work\Replacement;

/**
 * How long it takes until what replacement costs more at first has come back by what it saves a year. Simple: no
 * interest, no rise of prices.
 */
final readonly class Payback
{
    /**
     * @param  float  $extra  what it costs more at first
     * @param  Estimate  $saving  a year
     */
    public function __construct(public float $extra, public Estimate $saving)
    {
    }

    /** Years until it is paid back by a saving; null: never. */
    private function years(float $saving): ?float
    {
        return match (true) {
            $this->extra <= 0.0 => 0.0,
            $saving <= 0.0 => null,
            default => $this->extra / $saving,
        };
    }

    public function earliest(): ?float
    {
        return $this->years($this->saving->high);
    }

    public function likely(): ?float
    {
        return $this->years($this->saving->likely);
    }

    public function latest(): ?float
    {
        return $this->years($this->saving->low);
    }

    /** How far replacement is ahead after so many years; behind where negative. */
    public function after(float $years): Estimate
    {
        $gained = $this->saving->scaled($years);

        return new Estimate($gained->low - $this->extra, $gained->likely - $this->extra, $gained->high - $this->extra);
    }
}
