<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Data\Knowledge;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Copies;

/** The store's air and the weather that a rack meets. SI. */
final readonly class Store
{
    use Copies;

    /** Air that stores usually hold. */
    public const USUAL_TEMPERATURE = Celsius::ZERO + 22.0;

    public const USUAL_HUMIDITY = 0.48;

    /**
     * @param  float  $ambient  air entering the condenser, K
     * @param  bool  $reclaims  hot gas goes through the reclaim coil first
     * @param  bool  $covered  night covers are drawn
     */
    public function __construct(
        public float $ambient,
        public MoistAir $air,
        public bool $reclaims = false,
        public bool $covered = false,
    ) {
    }

    /** As stores usually are, in such weather. @param  float  $atmosphere  Pa */
    public static function usual(float $ambient, float $atmosphere): self
    {
        return new self($ambient, new MoistAir(self::USUAL_TEMPERATURE, self::USUAL_HUMIDITY, $atmosphere));
    }

    /** In which makers rate their cases. */
    public static function rated(float $atmosphere): MoistAir
    {
        $rated = Knowledge::file('case-forms')->row('rated');

        return new MoistAir(
            Celsius::ZERO + $rated->number('store_c'),
            $rated->number('store_humidity_percent') / 100,
            $atmosphere,
        );
    }

    public function at(float $ambient): self
    {
        return $this->but(ambient: $ambient);
    }

    public function reclaiming(bool $reclaims): self
    {
        return $this->but(reclaims: $reclaims);
    }
}
