<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\Circuit;
use Metrum\Quantity\Copies;
use Metrum\Refrigerant\Refrigerant;

/** All components of one plant with their sizes. SI throughout; changed by making another. */
final readonly class Machine
{
    use Copies;

    /**
     * @param  float  $freeShare  share of the condenser that holds liquid in health (its subcooling zone), 0 … 0.4
     * @param  float  $condenserVolume  m³ inside
     * @param  float  $receiverVolume  m³, 0 where there is none
     * @param  float  $lineVolume  liquid line, m³
     * @param  float  $coilVolume  m³ inside
     * @param  float  $suctionVolume  m³
     * @param  float  $charge  kg
     * @param  float  $liquidFriction  Pa per (kg/s)² · kg/m³ of the liquid line without its drier
     * @param  float  $drierFriction  the same of drier and what blocks it
     * @param  float  $outletFriction  the same of what lies before the drier: the receiver's valve, the first pipe
     * @param  float  $lift  m that the liquid rises
     * @param  float  $liquidLoss  W/K from liquid line to the air around
     * @param  float  $suctionFriction  the same as liquid friction, suction line
     * @param  float  $suctionGain  W/K into the suction line
     * @param  ?float  $regulatorSetting  coil pressure (Pa abs) at which the regulator begins to open; null where
     *                                    none is fitted
     * @param  float  $regulatorFriction  at full open
     * @param  float  $inert  partial pressure of foreign gas in the condenser, Pa
     * @param  float  $hotGas  kg/s of hot gas leaking into the coil at design pressures
     * @param  float  $exchanger  effectiveness of a suction-to-liquid heat exchanger, 0 … 1
     * @param  ?float  $groupSuction  Pa abs that the rack holds; null where the compressor is the circuit's own
     * @param  float  $others  kg/s that the rack's other circuits send through the same condenser
     * @param  float  $groupSuperheat  K of their gas at the compressor
     * @param  float  $ratedCurrent  A
     * @param  bool  $solenoidOpen  whether liquid can reach the valve
     */
    public function __construct(
        public Circuit $circuit,
        public Refrigerant $fluid,
        public Compressor $compressor,
        public AirSide $condenser,
        public AirSide $coil,
        public Feed $feed,
        public HeadControl $head,
        public float $freeShare,
        public float $condenserVolume,
        public float $receiverVolume,
        public float $lineVolume,
        public float $coilVolume,
        public float $suctionVolume,
        public float $charge,
        public float $liquidFriction,
        public float $drierFriction,
        public float $outletFriction,
        public float $lift,
        public float $liquidLoss,
        public float $suctionFriction,
        public float $suctionGain,
        public ?float $regulatorSetting,
        public float $regulatorFriction,
        public float $inert,
        public float $hotGas,
        public float $exchanger,
        public ?float $groupSuction,
        public float $others,
        public float $groupSuperheat,
        public float $ratedCurrent,
        public bool $solenoidOpen,
        public DesignPoint $design,
    ) {
    }

    /** The same plant with some of its parts or sizes otherwise, by their names. */
    public function with(AirSide|Compressor|Feed|HeadControl|DesignPoint|float|bool|null ...$sizes): self
    {
        return $this->but(...$sizes);
    }

    /** The same plant with its regulator, where it has one, set for a coil so many kelvin warmer (dew). */
    public function regulating(float $kelvin): self
    {
        return $this->regulatorSetting === null
            ? $this
            : $this->with(regulatorSetting: $this->fluid->warmer($this->regulatorSetting, $kelvin));
    }

    /** The same plant with the suction of its rack, where it stands on one, so many kelvin warmer (dew). */
    public function onGroup(float $kelvin): self
    {
        return $this->groupSuction === null
            ? $this
            : $this->with(groupSuction: $this->fluid->warmer($this->groupSuction, $kelvin));
    }

    public function hasReceiver(): bool
    {
        return $this->receiverVolume > 0.0;
    }
}
