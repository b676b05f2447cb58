<?php

declare(strict_types=1);

namespace Metrum\Twin\Rack;

use Metrum\Data\Knowledge;
use Metrum\Installation\CaseForm;
use Metrum\Quantity\Celsius;

/**
 * Heat that one case or room takes in: air through its front by enthalpy, radiation and conduction by temperature, and
 * what lights, fans and heaters give off. Shares stand in data/case-forms.json; at the rated air it is the rated load.
 */
final readonly class CaseLoad
{
    /** Relative humidity of a case's own air. */
    private const HUMIDITY = 0.85;

    private float $infiltration;

    private float $radiation;

    private float $conduction;

    private float $covered;

    private float $ratedEnthalpy;

    private float $ratedDifference;

    /**
     * @param  ?CaseForm  $form  null: a room
     * @param  float  $rated  W at the rated air with its own air at the set point
     * @param  float  $setPoint  K
     * @param  float  $burden  what comes in besides, share of the rated load
     */
    public function __construct(
        public ?CaseForm $form,
        public float $rated,
        private float $setPoint,
        private float $atmosphere,
        private float $burden = 0.0,
    ) {
        $row = Knowledge::file('case-forms')->row($form->value ?? 'room');
        $load = $row->row('load');
        $this->infiltration = $load->number('infiltration');
        $this->radiation = $load->number('radiation');
        $this->conduction = $load->number('conduction');
        $this->covered = $row->number('covered');
        $air = Store::rated($atmosphere);
        $this->ratedEnthalpy = max(5e3, $air->enthalpy() - $this->inside($setPoint));
        $this->ratedDifference = max(5.0, $air->temperature - $setPoint);
    }

    /** The same with so much more coming in, share of the rated load. */
    public function burdened(float $more): self
    {
        return new self($this->form, $this->rated, $this->setPoint, $this->atmosphere, $this->burden + $more);
    }

    /** W. @param  float  $air  of the case, K */
    public function at(float $air, Store $store): float
    {
        $front = $store->covered ? $this->covered : 1.0;
        $enthalpy = ($store->air->enthalpy() - $this->inside($air)) / $this->ratedEnthalpy;
        $difference = ($store->air->temperature - $air) / $this->ratedDifference;
        $own = 1 - $this->infiltration - $this->radiation - $this->conduction;
        $share =
            $front * ($this->infiltration * max(0.0, $enthalpy) + $this->radiation * $difference) +
            $this->conduction * $difference +
            $own +
            $this->burden;

        return $this->rated * max(0.05, $share);
    }

    /** kg/s of water that the air through its front brings. @param  float  $air  of the case, K */
    public function moisture(float $air, Store $store): float
    {
        $front = $store->covered ? $this->covered : 1.0;
        $exchanged = ($this->rated * $this->infiltration * $front) / $this->ratedEnthalpy;

        return $exchanged * max(0.0, $store->air->moisture() - $this->own($air)->moisture());
    }

    private function inside(float $air): float
    {
        return $this->own($air)->enthalpy();
    }

    private function own(float $air): MoistAir
    {
        return new MoistAir(min($air, Celsius::ZERO + 30.0), self::HUMIDITY, $this->atmosphere);
    }
}
