<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\Knowledge;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Expectation;
use Metrum\Twin\Expected;

/**
 * Both pressures against what this plant should have here and now, and the suspects in the order in which the trade
 * thinks them through: air first, then controls, charge, feed, the compressor last (J-01, J-02, J-03).
 */
final readonly class Pattern
{
    /** Share of an absolute pressure by which it may lie beside the expected one, with the twin's own deviation. */
    private const GAUGE = 0.015;

    private const BEYOND = 1.5;

    private const ORDER = [
        'Airflow and load',
        'Pressure controls',
        'Box and defrost',
        'Refrigerant',
        'Refrigerant feed and lines',
        'Compressor',
        'Ice machine',
    ];

    public function __construct(
        private Findings $findings,
        private Expectation $expectation,
        private Verdict $verdict,
    ) {
    }

    /**
     * What a pressure should be and how it stands to that: -1 low, 0 ordinary, 1 high; null where one is not known.
     *
     * @return ?array{float, Expected, int} gauge Pa
     */
    public function of(Reading $pressure): ?array
    {
        $value = $this->findings->whileRunning()->reading($pressure);
        $expected = $this->expectation->reading($pressure);
        if ($value === null || $expected === null) {
            return null;
        }
        $own = self::GAUGE * $this->findings->circuit->atmosphere->absolute($value);
        $away = ($value - $expected->value) / max(1.0, hypot($expected->deviation, $own));

        return [$value, $expected, $away > self::BEYOND ? 1 : ($away < -self::BEYOND ? -1 : 0)];
    }

    /** @return array<string, float> probability of all faults of a part of the plant, in the trade's order */
    public function families(): array
    {
        $chapters = Knowledge::file('handbook');
        $families = [];
        foreach (self::ORDER as $part) {
            $faults = array_column($chapters->words($part, Fault::class), 'value');
            $sum = 0.0;
            foreach ($this->verdict->suspects as $suspect) {
                $sum += in_array($suspect->fault->value, $faults, true) ? $suspect->probability : 0.0;
            }
            $families[$part] = $sum;
        }

        return array_filter($families, static fn (float $sum): bool => $sum >= 0.01);
    }
}
