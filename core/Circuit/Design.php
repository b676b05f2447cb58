<?php

declare(strict_types=1);

namespace Metrum\Circuit;

/** What the plate, the plan or the maker says of this plant. SI; null where it is not known. */
final readonly class Design
{
    /** File key => [property, least, most] in the file's unit: one list for reading, writing and the form. */
    public const KEYS = [
        'evaporator_td_k' => ['evaporatorTd', 0.5, 40.0],
        'condenser_split_k' => ['condenserSplit', 0.5, 40.0],
        'superheat_k' => ['superheat', 0.0, 40.0],
        'subcooling_k' => ['subcooling', 0.0, 40.0],
        'box_set_point_c' => ['boxSetPoint', -60.0, 40.0],
        'rated_current_a' => ['ratedCurrent', 0.05, 5000.0],
        'coldest_ambient_c' => ['coldestAmbient', -60.0, 50.0],
        'receiver_volume_l' => ['receiverVolume', 0.01, 10000.0],
        'condenser_volume_l' => ['condenserVolume', 0.01, 10000.0],
        'nameplate_charge_kg' => ['nameplateCharge', 0.01, 10000.0],
    ];

    /**
     * @param  ?float  $evaporatorTd  air entering the coil less saturated evaporating, K
     * @param  ?float  $condenserSplit  saturated condensing less air entering the condenser, K
     * @param  ?float  $superheat  at the bulb, K
     * @param  ?float  $subcooling  K
     * @param  ?float  $boxSetPoint  K
     * @param  ?float  $ratedCurrent  A
     * @param  ?float  $coldestAmbient  K
     * @param  ?float  $receiverVolume  m³
     * @param  ?float  $condenserVolume  m³
     * @param  ?float  $nameplateCharge  kg
     */
    public function __construct(
        public ?float $evaporatorTd = null,
        public ?float $condenserSplit = null,
        public ?float $superheat = null,
        public ?float $subcooling = null,
        public ?float $boxSetPoint = null,
        public ?float $ratedCurrent = null,
        public ?float $coldestAmbient = null,
        public ?float $receiverVolume = null,
        public ?float $condenserVolume = null,
        public ?float $nameplateCharge = null,
    ) {
    }
}
