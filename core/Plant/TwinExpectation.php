<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\CondenserPlace;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Findings\Derived;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;

/**
 * Expectation from the twin: the plant sized as this circuit is known, at this box and this weather.
 *
 * Deviations are those of the twin with the instruments' own added as squares. What the twin does not carry (clocks,
 * heaters, pump-down, counted fans) is still expected from design values and house rules.
 */
final class TwinExpectation implements Expectation
{
    /** Deviation of the instruments, by sign: K, shares. A clamp is good for 1 K, a gauge for about as much in saturation. */
    private const INSTRUMENTS = [
        'td_coil' => 1.1,
        'td_suction' => 1.1,
        'split' => 1.0,
        'superheat' => 1.3,
        'superheat_suction' => 1.3,
        'superheat_far' => 1.4,
        'subcooling' => 1.3,
        'subcooling_condenser' => 1.3,
        'valve_subcooling' => 1.4,
        'over_condenser' => 1.2,
        'discharge_level' => 2.0,
        'current' => 0.04,
        'line_gain' => 1.2,
        'line_loss' => 0.8,
        'regulator_drop' => 0.8,
        'drier' => 0.6,
        'drier_kpa' => 8e3,
        'liquid_line_drop' => 1.2,
        'air_drop' => 0.22,
        'air_rise' => 0.22,
        'level' => 0.08,
    ];

    /** Signs that need the air entering the condenser. */
    private const HIGH = ['split', 'over_condenser', 'discharge_level', 'air_rise', 'subcooling_condenser'];

    /** @var array<string, Twin> sized once a process for each circuit as it is known */
    private static array $twins = [];

    private readonly DesignExpectation $plain;

    public readonly Twin $twin;

    public readonly Surroundings $around;

    private readonly bool $weatherKnown;

    /** @var \WeakMap<PlantState, Figures> */
    private \WeakMap $full;

    /** @var \WeakMap<PlantState, Figures> */
    private \WeakMap $far;

    /** @var array<string, ?Expected> */
    private array $known = [];

    public function __construct(
        private readonly Findings $findings,
        private readonly HouseRules $rules,
        ?Twin $twin = null,
    ) {
        $circuit = $findings->circuit;
        $this->plain = new DesignExpectation($findings, $rules);
        $this->twin = $twin ?? self::twinOf($circuit, $rules);
        $ambient = $findings->reading(Reading::AmbientTemperature);
        $hottest = min(325.15, Surroundings::hottest($circuit->fluid()));
        $this->weatherKnown =
            $ambient !== null && $ambient <= $hottest && $circuit->condenser !== CondenserPlace::Water;
        $machine = $this->twin->machine;
        $this->around = new Surroundings(
            max(233.15, min($hottest, $this->weatherKnown ? (float) $ambient : $machine->design->ambient)),
            max(
                $machine->design->box - 15.0,
                min(
                    $machine->design->box + 30.0,
                    $findings->reading(Reading::BoxTemperature) ?? $machine->design->box,
                ),
            ),
            atmosphere: $circuit->atmosphere->pascal,
        );
        $this->full = new \WeakMap();
        $this->far = new \WeakMap();
    }

    public static function twinOf(Circuit $circuit, HouseRules $rules): Twin
    {
        $key = md5(serialize([$circuit, $rules]));
        if (! isset(self::$twins[$key])) {
            self::$twins = array_slice(self::$twins, -7, null, true);
            self::$twins[$key] = Twin::fittedTo($circuit, $rules);
        }

        return self::$twins[$key];
    }

    public function healthy(string $sign): ?Expected
    {
        return array_key_exists($sign, $this->known)
            ? $this->known[$sign]
            : ($this->known[$sign] = $this->worked($sign));
    }

    public function isCold(): ?bool
    {
        return $this->plain->isCold();
    }

    public function run(): array
    {
        $run = [];
        $boxKnown =
            $this->findings->reading(Reading::BoxTemperature) !== null ||
            $this->findings->circuit->design->boxSetPoint !== null;
        $high = [
            'condenser_in' => Derived::CondensingDew,
            'condenser_out' => Derived::SaturatedCondensing,
            'condenser_outlet' => Reading::CondenserOutletTemperature,
            'receiver_outlet' => Reading::DrierInletTemperature,
            'drier_outlet' => Reading::DrierOutletTemperature,
            'valve_inlet' => Reading::ValveInletTemperature,
        ];
        $low = [
            'coil_in' => Reading::CoilInletTemperature,
            'coil_out' => Derived::SaturatedEvaporator,
            'bulb' => Reading::SuctionTemperatureEvaporator,
            'suction_pipe' => Reading::SuctionTemperatureCompressor,
        ];
        $places = [
            ...$this->weatherKnown && $boxKnown ? ['discharge' => Reading::DischargeTemperature] : [],
            ...$this->weatherKnown ? $high : [],
            ...$boxKnown ? $low : [],
        ];
        foreach ($places as $place => $key) {
            $one = $this->twin->expected(
                $this->around,
                'at '.$place,
                fn (PlantState $state): ?float => $key instanceof Reading
                    ? $state->reading($key)
                    : $this->figures($state)->value($key),
            );
            if ($one !== null) {
                $run[$place] = new Expected($one->value, hypot($one->deviation, 0.5));
            }
        }

        return $run === [] ? $this->plain->run() : $run;
    }

    private function worked(string $sign): ?Expected
    {
        $noise = self::INSTRUMENTS[$sign] ?? null;
        if ($noise === null || (! $this->weatherKnown && in_array($sign, self::HIGH, true))) {
            return $this->plain->healthy($sign);
        }
        $one = $this->twin->expected(
            $this->around,
            $sign,
            fn (PlantState $state): ?float => $this->figure($state, $sign),
        );
        if ($one === null) {
            return $this->plain->healthy($sign);
        }
        $blind =
            ! $this->weatherKnown &&
            in_array(
                $sign,
                ['subcooling', 'valve_subcooling', 'current', 'superheat_far', 'line_gain', 'level'],
                true,
            )
                ? 1.25
                : 1.0;

        return (new Expected($one->value, hypot($one->deviation, $noise)))->widened(
            $blind * $this->plain->unrest(),
        );
    }

    private function figure(PlantState $state, string $sign): ?float
    {
        $full = $this->figures($state);

        return match ($sign) {
            'td_coil' => $full->value(Derived::EvaporatorTd),
            'td_suction' => $this->far($state)->value(Derived::EvaporatorTd),
            'split' => $full->value(Derived::CondenserSplit),
            'superheat' => $full->value(Derived::EvaporatorSuperheat),
            'superheat_suction' => $this->far($state)->value(Derived::EvaporatorSuperheat),
            'superheat_far' => $full->value(Derived::CompressorSuperheat),
            'subcooling' => $this->findings->circuit->hasReceiver()
                ? $full->value(Derived::ReceiverSubcooling)
                : $full->value(Derived::CondenserSubcooling),
            'subcooling_condenser' => $full->value(Derived::CondenserSubcooling),
            'valve_subcooling' => $full->value(Derived::ValveSubcooling),
            'over_condenser' => self::difference(
                $state,
                Reading::ReceiverOutletTemperature,
                Reading::CondenserOutletTemperature,
            ),
            'discharge_level' => $state->reading(Reading::DischargeTemperature),
            'current' => $full->value(Derived::CurrentShare),
            'line_gain' => $full->value(Derived::SuctionLineGain),
            'line_loss', 'regulator_drop' => self::kelvin($full),
            'drier' => $full->value(Derived::DrierDrop),
            'drier_kpa' => $state->reading(Reading::DrierDrop),
            'liquid_line_drop' => self::difference(
                $state,
                Reading::DrierInletTemperature,
                Reading::ValveInletTemperature,
            ),
            'air_drop' => self::share($full->value(Derived::CoilAirDrop), 0.5, $this->healthy('td_coil')),
            'air_rise' => self::share($full->value(Derived::CondenserAirRise), 0.55, $this->healthy('split')),
            'level' => $state->reading(Reading::ReceiverLevel),
            default => null,
        };
    }

    private function figures(PlantState $state): Figures
    {
        return $this->full[$state] ??= Figures::of(
            new Findings($this->findings->circuit, readings: $state->readings),
            $this->rules,
        );
    }

    /** As where only the suction pressure at the compressor is known. */
    private function far(PlantState $state): Figures
    {
        $readings = $state->readings;
        unset($readings[Reading::EvaporatorPressure->value]);

        return $this->far[$state] ??= Figures::of(
            new Findings($this->findings->circuit, readings: $readings),
            $this->rules,
        );
    }

    private static function difference(PlantState $state, Reading $from, Reading $less): ?float
    {
        $a = $state->reading($from);
        $b = $state->reading($less);

        return $a === null || $b === null ? null : $a - $b;
    }

    private static function kelvin(Figures $figures): ?float
    {
        $coil = $figures->value(Derived::SaturatedEvaporator);
        $suction = $figures->value(Derived::SaturatedSuction);

        return $coil === null || $suction === null ? null : $coil - $suction;
    }

    private static function share(?float $air, float $usual, ?Expected $difference): ?float
    {
        return $air === null || $difference === null || $difference->value < 1.0
            ? null
            : $air / ($usual * $difference->value);
    }
}
