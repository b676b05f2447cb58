<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

/**
 * Saturated and superheated properties of one refrigerant, interpolated in its tables. All SI: K, Pa abs, kg/m³,
 * J/kg, J/(kg K).
 */
final class Refrigerant
{
    private ?Vapour $vapour = null;

    /**
     * @param  array<string, float|int>  $composition  mass percent by component
     * @param  \Closure(): Vapour  $loadVapour
     */
    public function __construct(
        public readonly string $name,
        public readonly string $safetyClass,
        public readonly array $composition,
        public readonly float $warmingPotential,
        public readonly Saturation $saturation,
        private readonly \Closure $loadVapour,
    ) {
    }

    /** @return array{string} the name alone: the tables are the library's */
    public function __serialize(): array
    {
        return [$this->name];
    }

    /** @param  array{string}  $kept */
    public function __unserialize(array $kept): void
    {
        $known = Library::known()->get($kept[0]);
        $this->name = $known->name;
        $this->safetyClass = $known->safetyClass;
        $this->composition = $known->composition;
        $this->warmingPotential = $known->warmingPotential;
        $this->saturation = $known->saturation;
        $this->loadVapour = $known->loadVapour;
    }

    /** Highest pressure (Pa abs) at which liquid and vapour stand together; to the end of its table. */
    public function highestPressure(): float
    {
        return $this->saturation->highestPressure();
    }

    /** Temperature (K) at which saturated vapour has the pressure $p (Pa abs). @throws OutsideTable */
    public function dewTemperature(float $p): float
    {
        return $this->saturation->dewTemperature($p);
    }

    /** Temperature (K) at which saturated liquid has the pressure $p (Pa abs). @throws OutsideTable */
    public function bubbleTemperature(float $p): float
    {
        return $this->saturation->bubbleTemperature($p);
    }

    /** Pressure (Pa abs) of saturated vapour at $t (K). @throws OutsideTable */
    public function dewPressure(float $t): float
    {
        return $this->saturation->dewPressure($t);
    }

    /** Pressure (Pa abs) whose vapour saturates so many kelvin above that of $p (Pa abs). @throws OutsideTable */
    public function warmer(float $p, float $kelvin): float
    {
        return $this->dewPressure($this->dewTemperature($p) + $kelvin);
    }

    /** Pressure (Pa abs) of saturated liquid at $t (K). @throws OutsideTable */
    public function bubblePressure(float $t): float
    {
        return $this->saturation->bubblePressure($t);
    }

    /** Dew less bubble temperature (K) at the pressure $p (Pa abs). @throws OutsideTable */
    public function glide(float $p): float
    {
        return $this->dewTemperature($p) - $this->bubbleTemperature($p);
    }

    /**
     * Whether the glide is large enough (above 0.5 K at 400 kPa) that bubble and dew must be told apart in the field.
     */
    public function isZeotropic(): bool
    {
        return count($this->composition) > 1 && abs($this->glide(400e3)) > 0.5;
    }

    public function liquidDensity(float $t): float
    {
        return $this->saturation->at(Saturation::LIQUID_DENSITY, $t);
    }

    public function liquidEnthalpy(float $t): float
    {
        return $this->saturation->at(Saturation::LIQUID_ENTHALPY, $t);
    }

    public function liquidEntropy(float $t): float
    {
        return $this->saturation->at(Saturation::LIQUID_ENTROPY, $t);
    }

    /** Density (kg/m³) of vapour at dew temperature $dew (K) and superheat (K, 0 … 120). @throws OutsideTable */
    public function vapourDensity(float $dew, float $superheat = 0.0): float
    {
        return $superheat === 0.0
            ? $this->saturation->at(Saturation::VAPOUR_DENSITY, $dew)
            : $this->vapour()->at(Vapour::DENSITY, $dew, $superheat);
    }

    /** Enthalpy (J/kg) of vapour at dew temperature $dew (K) and superheat (K, 0 … 120). @throws OutsideTable */
    public function vapourEnthalpy(float $dew, float $superheat = 0.0): float
    {
        return $superheat === 0.0
            ? $this->saturation->at(Saturation::VAPOUR_ENTHALPY, $dew)
            : $this->vapour()->at(Vapour::ENTHALPY, $dew, $superheat);
    }

    /** Entropy (J/(kg K)) of vapour at dew temperature $dew (K) and superheat (K, 0 … 120). @throws OutsideTable */
    public function vapourEntropy(float $dew, float $superheat = 0.0): float
    {
        return $superheat === 0.0
            ? $this->saturation->at(Saturation::VAPOUR_ENTROPY, $dew)
            : $this->vapour()->at(Vapour::ENTROPY, $dew, $superheat);
    }

    /**
     * Density, enthalpy and entropy of vapour at once.
     *
     * @param  float  $dew  K
     * @param  float  $superheat  K, 0 … 120
     * @return array{float, float, float} kg/m³, J/kg, J/(kg K)
     *
     * @throws OutsideTable
     */
    public function vapourState(float $dew, float $superheat): array
    {
        return $this->vapour()->state($dew, $superheat);
    }

    /**
     * Superheat (K) of vapour of enthalpy $enthalpy (J/kg) at its dew temperature (K): secant steps in the grid.
     *
     * @return float 0 where the enthalpy is at or below saturated vapour
     *
     * @throws OutsideTable above 120 K
     */
    public function superheatOfEnthalpy(float $dew, float $enthalpy): float
    {
        $saturated = $this->vapourEnthalpy($dew);
        if ($enthalpy <= $saturated) {
            return 0.0;
        }
        $x = 20.0;
        $y = $this->vapour()->at(Vapour::ENTHALPY, $dew, $x) - $saturated;
        $slope = $y / $x;
        $wanted = $enthalpy - $saturated;
        for ($round = 0; $round < 6; $round++) {
            $next = $x + ($wanted - $y) / $slope;
            if (abs($next - $x) < 1e-4) {
                return $next;
            }
            $value = $this->vapour()->at(Vapour::ENTHALPY, $dew, min(120.0, $next)) - $saturated;
            if ($next > 120.0 && $value < $wanted) {
                throw OutsideTable::superheat($this->name, $next);
            }
            $next = min(120.0, $next);
            $slope = abs($next - $x) > 1e-6 ? ($value - $y) / ($next - $x) : $slope;
            [$x, $y] = [$next, $value];
        }

        return $x;
    }

    /**
     * Loss-free compression from suction vapour to a discharge pressure.
     *
     * Where the entropy of the suction gas is below that of saturated vapour at the discharge pressure the gas ends
     * wet: temperature and enthalpy are then taken by quality between bubble and dew.
     *
     * @param  float  $dew  suction dew temperature, K
     * @param  float  $superheat  of the suction gas, K, 0 … 120
     * @param  float  $discharge  Pa abs, at least the suction pressure
     * @return array{temperature: float, work: float} K and J/kg
     *
     * @throws OutsideTable
     */
    public function isentropicDischarge(float $dew, float $superheat, float $discharge): array
    {
        $entropy = $this->vapourEntropy($dew, $superheat);
        $enthalpy = $this->vapourEnthalpy($dew, $superheat);
        $condensing = $this->dewTemperature($discharge);
        $above = $this->vapour()->superheatOfEntropy($condensing, $entropy);
        if ($above !== null) {
            return [
                'temperature' => $condensing + $above,
                'work' => $this->vapourEnthalpy($condensing, $above) - $enthalpy,
            ];
        }
        $bubble = $this->bubbleTemperature($discharge);
        $liquid = $this->liquidEntropy($bubble);
        $quality = ($entropy - $liquid) / ($this->vapourEntropy($condensing) - $liquid);
        $wet =
            $this->liquidEnthalpy($bubble) +
            $quality * ($this->vapourEnthalpy($condensing) - $this->liquidEnthalpy($bubble));

        return ['temperature' => $bubble + $quality * ($condensing - $bubble), 'work' => $wet - $enthalpy];
    }

    /**
     * Temperature (K) of vapour of enthalpy $enthalpy (J/kg) at the pressure $p (Pa abs).
     *
     * @throws OutsideTable where it lies above 120 K of superheat
     */
    public function vapourTemperature(float $p, float $enthalpy): float
    {
        $dew = $this->dewTemperature($p);

        return $dew + ($this->vapour()->superheatOfEnthalpy($dew, $enthalpy) ?? 0.0);
    }

    private function vapour(): Vapour
    {
        return $this->vapour ??= ($this->loadVapour)();
    }
}
