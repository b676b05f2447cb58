<?php

declare(strict_types=1);

namespace Metrum\Learning\Ice;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DesignKey;
use Metrum\Installation\Metering;
use Metrum\Installation\PlantAge;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\State;
use Metrum\Learning\EntryHabits;
use Metrum\Learning\Patient;
use Metrum\Learning\PlantAsBuilt;
use Metrum\Learning\SpokenAnswers;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Dice;
use Metrum\Twin\Disorder;
use Metrum\Twin\Ice\IceCycle;
use Metrum\Twin\Ice\IceMachine;
use Metrum\Twin\Ice\IceSizing;
use Metrum\Twin\Ice\IceWeather;

/** Visits to simulated ice machines, each by its number: the same seed and number give the same visit. */
final readonly class IcePatients
{
    /** Those that a drawn cycle shows. */
    private const LEARNED = [
        Fault::NoFault,
        Fault::Undercharge,
        Fault::Overcharge,
        Fault::NonCondensables,
        Fault::ValveUnderfeeding,
        Fault::ValveOverfeeding,
        Fault::LiquidLineRestriction,
        Fault::SuctionRestriction,
        Fault::CondenserAirflowLow,
        Fault::CompressorInefficient,
        Fault::HotGasLeaking,
        Fault::WaterFeedFault,
        Fault::PlateScaled,
        Fault::IceThicknessWrong,
        Fault::HarvestFault,
    ];

    private const EVENED = 0.3;

    private const SOUND = 3.5;

    private const ALTERED = 0.15;

    private const TRIES = 40;

    private const PLANTS = 60;

    public function __construct(private int $seed)
    {
    }

    public static function isLearned(Fault $fault): bool
    {
        return in_array($fault, self::LEARNED, true);
    }

    /** @return array<string, float> how often each fault is drawn */
    public static function frequencies(): array
    {
        $frequencies = [];
        foreach (self::LEARNED as $fault) {
            $frequencies[$fault->value] = $fault === Fault::NoFault
                ? self::SOUND
                : FaultCatalogue::entry($fault)->prior ** self::EVENED;
        }

        return $frequencies;
    }

    public function number(int $number): Patient
    {
        for ($try = 0; ; $try++) {
            $seed = crc32(sprintf('ice %d %d %d', $this->seed, $number, $try));
            $patient = $this->drawn(new Dice($seed));
            if ($patient !== null || $try > self::TRIES) {
                return $patient ?? throw new \LogicException('No machine resulted from '.self::TRIES.' draws');
            }
        }
    }

    private function drawn(Dice $dice): ?Patient
    {
        $fault = Fault::from($dice->weighed(self::frequencies()));
        $drawn = $this->machine($dice, $fault);
        $altered = $dice->chance(self::ALTERED);
        try {
            $planned = RandomIceMachines::planned($drawn);
            $loop = (new PlantAsBuilt($dice))->of($planned->loop, $altered);
            $built = $planned->looping($loop);
            $cool = IceCycle::of($built, IceSizing::ratedWeather($drawn->circuit, hot: false));
            $circuit = $cool === null ? null : $this->rated($dice, $drawn, $built, $cool);

            return $cool === null || $circuit === null
                ? null
                : $this->visited($dice, $drawn, $circuit, $built->dryAs($cool->course->dry(1.0)), $fault, $altered);
        } catch (OutsideTable) {
            return null;
        }
    }

    private function machine(Dice $dice, Fault $fault): DrawnIceMachine
    {
        $machines = new RandomIceMachines($dice);
        $fit = FaultCatalogue::entry($fault)->fit;
        for ($try = 0; ; $try++) {
            $drawn = $machines->next();
            if ($fit->asks($drawn->circuit) || $try >= self::PLANTS) {
                return $drawn;
            }
        }
    }

    /** As its plate has it: what such machines make where they are rated; null where it makes none. */
    private function rated(Dice $dice, DrawnIceMachine $drawn, IceMachine $built, IceCycle $cool): ?Circuit
    {
        $hot = IceCycle::of($built, IceSizing::ratedWeather($drawn->circuit, hot: true));
        if ($hot === null || ! $cool->isEnded || ! $hot->isEnded) {
            return null;
        }
        $off = $dice->factor(0.03);

        return $drawn->circuit->with(
            $drawn->circuit->design
                ->with(DesignKey::IcePerDay, $off * $cool->perDay())
                ->with(DesignKey::IcePerDayHot, $off * $dice->factor(0.015) * $hot->perDay())
                ->with(DesignKey::IcePerCycle, $dice->factor(0.02) * ($cool->ice + $hot->ice) / 2)
                ->with(DesignKey::BridgeThickness, $drawn->bridge)
                ->with(DesignKey::NameplateCharge, $built->loop->charge)
                ->with(DesignKey::RatedCurrent, $built->loop->ratedCurrent),
        );
    }

    private function visited(
        Dice $dice,
        DrawnIceMachine $drawn,
        Circuit $circuit,
        IceMachine $built,
        Fault $fault,
        bool $altered,
    ): ?Patient {
        $weather = self::weather($dice, $circuit);
        $used = $this->used($dice, $built, $circuit);
        $sound = IceCycle::of($used, $weather);
        if ($sound === null || ! $sound->isEnded) {
            return null;
        }
        $ills = [];
        $cycle = $sound;
        $grade = null;
        if ($fault !== Fault::NoFault) {
            $extent = new IceExtent($dice, $used, $weather, $sound);
            $gone = $extent->drawn($fault, self::cause($dice, $fault, $circuit));
            if ($gone === null) {
                return null;
            }
            [$ills, $cycle, $grade] = $gone;
        }
        $habits = new EntryHabits($dice);
        $known = $habits->known($circuit);
        $met = new IceEntries($dice, $drawn, $weather);
        $taken = $habits->readings($met->readings($cycle), $circuit);
        $findings = new Findings($known, $dice->chance(0.87) ? State::RunningSettled : null, readings: $taken);
        $told = new SpokenAnswers($dice, new Conditions($findings, $weather->air < (Celsius::ZERO + 10.0)));
        $state = $cycle->course->state($cycle->placeAt(0.6 * $cycle->freeze));

        return new Patient(
            $told->findings($habits, $findings, $state, $ills),
            $ills,
            $grade,
            $altered,
        );
    }

    private static function weather(Dice $dice, Circuit $circuit): IceWeather
    {
        $air = Celsius::ZERO + ($circuit->condenser === CondenserPlace::AirOutdoor
            ? max(-18.0, min(36.0, $dice->around(11.0, 11.0)))
            : max(8.0, min(40.0, $dice->around(24.0, 7.0))));
        $water = Celsius::ZERO + max(4.0, min(30.0, $dice->around(15.0, 6.0)));

        return new IceWeather(
            $air,
            $water,
            IceWeather::sink($circuit, $air, $water),
            $circuit->atmosphere->pascal,
        );
    }

    /** A machine in use: a little dusty and scaled, not exactly set. */
    private function used(Dice $dice, IceMachine $built, Circuit $circuit): IceMachine
    {
        $wear = $circuit->ice->age === PlantAge::New ? 0.25 : 1.0;
        $plate = $built->plate->with(
            scale: $wear * $dice->between(0.0, 0.14),
            ends: $dice->factor(0.05),
            hotGas: 1 - $wear * $dice->between(0.0, 0.15),
        );

        return $built
            ->plated($plate)
            ->looping(Disorder::in($built->loop, Fault::CondenserAirflowLow, $wear * $dice->between(0.0, 0.22)));
    }

    /** On water a condenser that gives off too little is one that gets too little water. */
    private static function cause(Dice $dice, Fault $fault, Circuit $circuit): ?Cause
    {
        $shares = FaultCatalogue::entry($fault)->shares();
        unset($shares[Cause::CoolingWaterLow->value]);

        $isOnWater = $fault === Fault::CondenserAirflowLow && $circuit->condenser === CondenserPlace::Water;

        return match (true) {
            $isOnWater => Cause::CoolingWaterLow,
            $fault === Fault::ValveUnderfeeding && $circuit->metering === Metering::Capillary => Cause::ScreenPlugged,
            $shares === [] => null,
            default => Cause::from($dice->weighed($shares)),
        };
    }
}
