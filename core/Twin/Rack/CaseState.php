<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Twin\Loop;

/** How one case of a rack stands: its air, its refrigerant. SI. */
final readonly class CaseState
{
    /**
     * @param  float  $air  entering the coil, K
     * @param  float  $supply  leaving it, K
     * @param  float  $flow  kg/s
     * @param  float  $cooling  W
     * @param  float  $superheat  at the bulb, K; below 0 where liquid leaves
     * @param  float  $bulb  pipe there, K
     * @param  float  $inlet  pipe behind the distributor, K
     * @param  float  $valveInlet  pipe before the valve, K
     * @param  float  $valveQuality  share of gas before the valve
     * @param  float  $opening  of the valve, 0 … 1
     * @param  float  $dryShare  of the coil
     */
    private function __construct(
        public float $air,
        public float $supply,
        public float $flow,
        public float $cooling,
        public float $superheat,
        public float $bulb,
        public float $inlet,
        public float $valveInlet,
        public float $valveQuality,
        public float $opening,
        public float $dryShare,
    ) {
    }

    /** As a walked branch shows it. */
    public static function of(Loop $loop): self
    {
        $coil = $loop->coil;

        return new self(
            $loop->around->box,
            $loop->around->box - $coil->heat / $loop->machine->coil->capacity,
            $loop->massFlow,
            $coil->heat,
            $coil->superheat,
            $coil->outlet,
            $coil->inlet,
            $loop->line->valveTemperature,
            $loop->line->valveQuality,
            $loop->opening,
            $coil->dryShare,
        );
    }
}
