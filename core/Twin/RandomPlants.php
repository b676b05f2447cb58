<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Installation\BoxControl;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\Design;
use Metrum\Installation\DesignKey;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Celsius;

/**
 * Plausible plants of every kind, refrigerant, size and control, and weather to go with them; the same seed gives the
 * same.
 */
final class RandomPlants
{
    /** What each temperature level is commonly charged with. */
    private const MEDIUM = [
        'R-448A',
        'R-449A',
        'R-404A',
        'R-134a',
        'R-513A',
        'R-450A',
        'R-407A',
        'R-407C',
        'R-407F',
        'R-290',
        'R-454C',
        'R-455A',
        'R-22',
        'R-422D',
        'R-427A',
        'R-507A',
        'R-452A',
        'R-410A',
        'R-454A',
        'R-1234yf',
        'R-32',
    ];

    private const LOW = [
        'R-448A',
        'R-449A',
        'R-404A',
        'R-507A',
        'R-452A',
        'R-407A',
        'R-407F',
        'R-290',
        'R-454C',
        'R-455A',
        'R-454A',
        'R-502',
        'R-422D',
        'R-1270',
    ];

    private const AIR = ['R-410A', 'R-32', 'R-407C', 'R-22'];

    private const CABINET = ['R-290', 'R-600a', 'R-134a', 'R-404A', 'R-452A'];

    private Dice $dice;

    public function __construct(int $seed)
    {
        $this->dice = new Dice($seed);
    }

    /** @param  ?Kind  $kind  null: any */
    public function circuit(?Kind $kind = null): Circuit
    {
        $kind ??= $this->one(Kind::cases());
        $low = $kind->isLowTemperature();
        $cabinet = $kind === Kind::ReachInCooler || $kind === Kind::ReachInFreezer;
        $refrigerant = $this->one(
            match (true) {
                $kind === Kind::ReachInFreezer => ['R-290', 'R-404A', 'R-452A'],
                $cabinet => self::CABINET,
                $low => self::LOW,
                $kind === Kind::AirConditioner => self::AIR,
                default => self::MEDIUM,
            },
        );
        $air = $kind === Kind::AirConditioner;
        $metering = $cabinet || $air
            ? $this->one([Metering::Capillary, Metering::Capillary, Metering::Txv])
            : $this->one([Metering::Txv, Metering::Txv, Metering::Txv, Metering::Eev]);
        $outdoor = $air || (! $kind->isSmall() && $this->chance(0.7));
        $head = $outdoor && ! $air
            ? $this->one([
                HeadPressureControl::None,
                HeadPressureControl::FanCycling,
                HeadPressureControl::FanSpeed,
                HeadPressureControl::FloodingValve,
            ])
            : HeadPressureControl::None;
        $receiver =
            $metering !== Metering::Capillary &&
            ! $air &&
            ($head === HeadPressureControl::FloodingValve || ! $kind->isSmall() || $this->chance(0.4));
        $regulator = $kind->usual()->others > 0.0
            ? $this->chance(0.6)
            : ($kind === Kind::CaseMedium || $kind === Kind::WalkInCooler) && $this->chance(0.15);
        $plain = new Circuit($refrigerant, $kind, $metering, receiver: $receiver);
        $wanted = new Wanted($plain, new HouseRules());
        $td = max($wanted->leastTd() + 0.3, $wanted->evaporatorTd()->middle() * $this->between(0.85, 1.2));

        return new Circuit(
            $refrigerant,
            $kind,
            $metering,
            $outdoor ? CondenserPlace::AirOutdoor : CondenserPlace::AirIndoor,
            $head,
            $receiver,
            $regulator,
            false,
            match (true) {
                $kind->usual()->others > 0.0 => BoxControl::PressureRegulator,
                $air => BoxControl::Thermostat,
                default => BoxControl::ThermostatPumpDown,
            },
            match (true) {
                $kind === Kind::IceMachine => DefrostKind::HotGas,
                $air => DefrostKind::None,
                $low => $this->one([DefrostKind::Electric, DefrostKind::Electric, DefrostKind::HotGas]),
                default => DefrostKind::OffCycle,
            },
            new Design(
                evaporatorTd: $td,
                condenserSplit: $wanted->condenserSplit()->middle() * $this->between(0.85, 1.25),
                superheat: $wanted->superheat()->middle() * $this->between(0.85, 1.2),
                subcooling: $receiver ? $this->between(2.0, 4.5) : $this->between(4.0, 7.0),
                boxSetPoint: (float) $kind->usual()->value(DesignKey::BoxSetPoint) + $this->between(-2.0, 2.0),
                ratedCurrent: $this->chance(0.8) ? $this->between(3.0, 30.0) * ($cabinet ? 0.25 : 1.0) : null,
                coldestAmbient: Celsius::ZERO + $this->between(-18.0, -2.0),
            ),
            Atmosphere::atAltitude(
                $this->chance(0.15) ? $this->between(500.0, 2200.0) : $this->between(0.0, 200.0),
            ),
            ! $air && $this->chance(0.15),
        );
    }

    /**
     * Weather and box near what the plant was built for.
     *
     * @param  ?bool  $cold  true: head pressure control has to hold
     */
    public function surroundings(Machine $machine, ?bool $cold = null): Surroundings
    {
        $outdoor = $machine->circuit->condenser === CondenserPlace::AirOutdoor;
        $ambient =
            Celsius::ZERO +
            match (true) {
                $cold === true => ($machine->circuit->design->coldestAmbient ?? Filling::USUAL_COLDEST) -
                    Celsius::ZERO +
                    $this->between(0.0, 3.0),
                $outdoor => $this->between(18.0, 34.0),
                default => $this->between(20.0, 32.0),
            };

        return new Surroundings(
            $ambient,
            $machine->design->box + $this->between(-0.5, 3.0),
            atmosphere: $machine->circuit->atmosphere->pascal,
        );
    }

    public function between(float $low, float $high): float
    {
        return $this->dice->between($low, $high);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $this->dice->one($of);
    }

    public function chance(float $share): bool
    {
        return $this->dice->chance($share);
    }
}
