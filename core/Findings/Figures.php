<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\DesignKey;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Refrigerant\OutsideTable;

/** All that can be worked out of one set of findings; what cannot, with the reason. */
final class Figures
{
    /** @var array<string, Figure> */
    private array $figures = [];

    /** @var array<string, string> derived key => why it is not known */
    private array $unknown = [];

    /** Works what costs most and is seldom asked for; null once it is done. */
    private ?\Closure $later = null;

    private function __construct()
    {
    }

    public static function of(Findings $findings, HouseRules $rules): self
    {
        $figures = new self();
        $high = new HighSideFigures($findings, $rules, $figures);
        $high->work();
        (new LowSideFigures($findings, $rules, $figures))->work();
        $figures->later = $high->workWithSuction(...);

        return $figures;
    }

    /**
     * Works one figure; a property outside its table makes it unknown, with the reason.
     *
     * @param  string  $pattern  formula in words, %1$s … for the names of the inputs
     * @param  list<Reading|DesignKey>  $from
     * @param  callable(): ?float  $value  SI, null where an input is missing
     * @param  ?callable(float): ?Meaning  $meaning  of the value
     */
    public function work(
        DerivedFigure $key,
        string $pattern,
        array $from,
        callable $value,
        ?callable $meaning = null,
    ): void {
        try {
            $si = $value();
            if ($si !== null) {
                $means = $meaning === null ? null : $meaning($si);
                $this->figures[$key->value] = new Figure($key, $si, $pattern, $from, $means);
            }
        } catch (OutsideTable $reason) {
            $this->unknown[$key->value] = $reason->getMessage();
        }
    }

    /** The first of these that is known stands for the key too. */
    public function takeFirst(DerivedFigure $key, DerivedFigure ...$candidates): void
    {
        foreach ($candidates as $candidate) {
            $figure = $this->figure($candidate);
            if ($figure !== null) {
                $this->figures[$key->value] = $figure->as($key);

                return;
            }
        }
    }

    /** A figure is not known, for a reason. */
    public function leave(DerivedFigure $key, string $reason): void
    {
        $this->unknown[$key->value] = $reason;
    }

    /** @return array<string, string> derived key => why it is not known */
    public function unknown(): array
    {
        $this->workLater();

        return $this->unknown;
    }

    private function workLater(): void
    {
        $later = $this->later;
        $this->later = null;
        if ($later !== null) {
            $later();
        }
    }

    /** @return array<string, array<string, Figure>|array<string, string>> all of it, worked to the end */
    public function __serialize(): array
    {
        return ['figures' => $this->all(), 'unknown' => $this->unknown];
    }

    /** @param  array{figures: array<string, Figure>, unknown: array<string, string>}  $kept */
    public function __unserialize(array $kept): void
    {
        ['figures' => $this->figures, 'unknown' => $this->unknown] = $kept;
    }

    public function figure(DerivedFigure $key): ?Figure
    {
        if ($this->later !== null && $key->needsCompression()) {
            $this->workLater();
        }

        return $this->figures[$key->value] ?? null;
    }

    public function value(DerivedFigure $key): ?float
    {
        return $this->figure($key)?->si;
    }

    /** @return array<string, Figure> */
    public function all(): array
    {
        $this->workLater();

        return $this->figures;
    }
}
