<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Diagnosis\Seen\Seen;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;

/**
 * Figures that are not judged as they are, because the twin does not know the state they were taken in, or because
 * something seen makes them meaningless: no pressure speaks while the coil has no air.
 */
final readonly class Withheld
{
    /** States through which pressures and pipes pass on their way. */
    private const PASSING = [State::Starting, State::AfterDefrost, State::PumpingDown, State::InDefrost];

    /** What a box on its way to its set point makes of itself: how warm it is, and what follows from that alone. */
    private const OF_THE_BOX = [
        'sign box',
        'figure box_above_set_point_k',
        'figure evaporator_td_k',
        'figure saturated_evaporator_c',
        'figure coil_air_drop_k',
        'figure condensing_middle_c',
        'figure condenser_split_k',
        'figure condenser_approach_k',
        'figure condenser_air_rise_k',
        'share superheat_of_td',
        'share lift',
        'share ratio',
    ];

    private bool $circuit;

    private bool $box;

    /** @param  list<Seen>  $seen  what is a fault and no mere sign of one */
    public function __construct(Findings $findings, array $seen)
    {
        $passing = in_array($findings->state, self::PASSING, true);
        $this->circuit = $passing || self::hasNoAir($seen);
        $this->box = $passing || $findings->state === State::PullingDown;
    }

    /** Whether no figure of the circuit is judged. */
    public function ofCircuit(): bool
    {
        return $this->circuit;
    }

    /**
     * The coil's fans stand outside a defrost. What ice does to a coil the twin knows, and shows of itself.
     *
     * @param  list<Seen>  $seen
     */
    private static function hasNoAir(array $seen): bool
    {
        foreach ($seen as $one) {
            if ($one->word === Word::AllStopped && $one->asked === Observation::EvaporatorFans) {
                return true;
            }
        }

        return false;
    }

    /** Whether a feature is kept back. */
    public function holds(string $feature): bool
    {
        $plain = Setting::plain($feature);
        [$kind, $key] = explode(' ', $plain.' ');

        return match (true) {
            $this->box && in_array($plain, self::OF_THE_BOX, true) => true,
            $key === 'box' || $key === 'box_above_set_point_k' => false,
            $kind === 'sign' => $this->circuit && Sign::from($key)->row()->instrument !== null,
            default => $this->circuit && in_array($kind, ['reading', 'share', 'figure'], true),
        };
    }
}
