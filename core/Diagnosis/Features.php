<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Findings;
use Metrum\Findings\Share;
use Metrum\Findings\Sign;
use Metrum\Installation\Condition;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\QuantityKind;

/**
 * What the learned weights read off a visit: signs and readings in deviations from what a sound plant would show,
 * shares of one figure by another, figures as they stand, words, complaints, and what kind of plant it is in which
 * weather.
 *
 * A number is a place on a curve; a word is a curve's own point. What was not looked at is not among them.
 */
final class Features
{
    /** Deviation of instruments beside the twin’s own: share of an absolute pressure and Pa, K, share of a current. */
    private const PRESSURE = [0.012, 4e3];

    private const TEMPERATURE = 1.2;

    private const CURRENT = 0.05;

    /** K of a reading's own unrest from which a superheat as it stands is no more than a sample of a swing. */
    private const SWINGING = 1.2;

    /** Readings whose plain departure from the twin's is read beside the signs. */
    public const READINGS = [
        Reading::SuctionPressure,
        Reading::EvaporatorPressure,
        Reading::DischargePressure,
        Reading::SuctionTemperatureEvaporator,
        Reading::SuctionTemperatureCompressor,
        Reading::CondenserOutletTemperature,
        Reading::ReceiverOutletTemperature,
        Reading::DrierInletTemperature,
        Reading::DrierOutletTemperature,
        Reading::ValveInletTemperature,
        Reading::CoilInletTemperature,
        Reading::SupplyAirTemperature,
        Reading::CondenserAirOutTemperature,
        Reading::CompressorCurrent,
    ];

    /**
     * Figures that tell as they stand, whatever was planned: no superheat is liquid, no subcooling is gas, liquid as
     * cold as the air has stood in the condenser.
     */
    public const FIGURES = [
        DerivedFigure::EvaporatorSuperheat,
        DerivedFigure::CompressorSuperheat,
        DerivedFigure::SuctionLineGain,
        DerivedFigure::SaturatedEvaporator,
        DerivedFigure::EvaporatorTd,
        DerivedFigure::CoilAirDrop,
        DerivedFigure::BoxAboveSetPoint,
        DerivedFigure::CondensingMiddle,
        DerivedFigure::CondenserSplit,
        DerivedFigure::CondenserApproach,
        DerivedFigure::CondenserAirRise,
        DerivedFigure::CondenserSubcooling,
        DerivedFigure::ReceiverSubcooling,
        DerivedFigure::Subcooling,
        DerivedFigure::ValveSubcooling,
    ];

    /** What is known of a plant and its weather, each as true, false or not known. */
    public const CONDITIONS = [
        Condition::Cold,
        Condition::Outdoor,
        Condition::FloodingValve,
        Condition::Regulator,
        Condition::Receiver,
        Condition::HotGas,
        Condition::Electric,
        Condition::Capillary,
        Condition::Shared,
        Condition::LowTemperature,
        Condition::IceMachine,
    ];

    /** @return array<string, float|string> by name of the feature */
    public static function of(Examination $examined): array
    {
        return [
            ...self::context($examined),
            ...self::signs($examined),
            ...self::readings($examined),
            ...self::shares($examined),
            ...self::figures($examined),
            ...self::words($examined),
        ];
    }

    /** What a number is called at such a plant in its weather. */
    private static function name(Sign|Reading|Share|DerivedFigure $one, Examination $examined): string
    {
        return Setting::at(Feature::of($one), $examined->conditions)->name();
    }

    /** @return list<string> names of those that are numbers */
    public static function numbers(CurveSet $set): array
    {
        $numbers = [];
        $signs = array_filter(Sign::cases(), $set->has(...));
        foreach ([...array_values($signs), ...self::READINGS, ...Share::cases(), ...self::FIGURES] as $one) {
            array_push($numbers, ...Setting::names(Feature::of($one)));
        }

        return [...$numbers, Feature::ambient()->name()];
    }

    /** @return array<string, list<string>> what each of those may be that are words, by name */
    public static function choices(): array
    {
        $choices = [];
        foreach (self::CONDITIONS as $condition) {
            $choices[Feature::of($condition)->name()] = ['yes', 'no'];
        }
        foreach ([...Observation::cases(), ...Test::cases()] as $asked) {
            $words = array_column($asked->words(), 'value');
            $choices[self::word($asked, null)] = $words;
            foreach ($asked->row()->usualWhen as [$condition]) {
                $choices[self::word($asked, $condition)] = $words;
            }
        }
        foreach (Complaint::cases() as $complaint) {
            $choices[Feature::of($complaint)->name()] = ['yes'];
        }

        return $choices;
    }

    /** An answer where another one is usual is an answer of its own: a glass flashes after a start. */
    public static function word(Question $asked, ?Condition $under): string
    {
        assert($asked instanceof Observation || $asked instanceof Test);

        return Feature::of($asked, $under)->name();
    }

    /** @return array<string, float|string> */
    private static function context(Examination $examined): array
    {
        $context = [];
        foreach (self::CONDITIONS as $condition) {
            $holds = $examined->conditions->holds($condition);
            if ($holds !== null) {
                $context[Feature::of($condition)->name()] = $holds ? 'yes' : 'no';
            }
        }
        $ambient = $examined->findings->reading(Reading::AmbientTemperature);
        if ($ambient !== null) {
            $context[Feature::ambient()->name()] = ($ambient - (Celsius::ZERO + 20.0)) / 10.0;
        }

        return $context;
    }

    /** @return array<string, float> */
    private static function signs(Examination $examined): array
    {
        $signs = [];
        foreach ($examined->signals as $signal) {
            $signs[self::name($signal->sign, $examined)] = $signal->deviations();
        }

        return $signs;
    }

    /** @return array<string, float> */
    private static function readings(Examination $examined): array
    {
        $read = [];
        $findings = $examined->findings->whileRunning();
        foreach (self::READINGS as $reading) {
            $value = $findings->reading($reading);
            $expected = $value === null ? null : $examined->expectation->reading($reading);
            if ($value !== null && $expected !== null) {
                $own = self::instrument($reading, $value, $findings);
                $own = hypot($own, self::unsure($reading, $findings));
                $read[self::name($reading, $examined)] =
                    ($value - $expected->value) / max(1e-9, hypot($expected->deviation, $own));
            }
        }

        return $read;
    }

    /** By how much an instrument may be off; SI. READINGS are pressures, temperatures and a current. */
    private static function instrument(Reading $reading, float $value, Findings $findings): float
    {
        $pressure = self::PRESSURE[1] + self::PRESSURE[0] * $findings->circuit->atmosphere->absolute($value);

        return match (true) {
            $reading->quantity() === QuantityKind::GaugePressure => $pressure,
            $reading->quantity() === QuantityKind::Temperature => self::TEMPERATURE,
            default => self::CURRENT * abs($value),
        };
    }

    /** K by which a pipe's temperature may be off besides. */
    private static function unsure(Reading $reading, Findings $findings): float
    {
        $swings = $reading === Reading::SuctionTemperatureEvaporator ||
            $reading === Reading::SuctionTemperatureCompressor;
        $isAfterLine = $reading === Reading::SuctionTemperatureCompressor;

        return hypot(
            $swings ? SignDoubt::ofSwing($findings) : 0.0,
            $isAfterLine ? SignDoubt::ofLine($findings) : 0.0,
        );
    }

    /** @return array<string, float> */
    private static function shares(Examination $examined): array
    {
        $shares = [];
        $findings = $examined->findings->whileRunning();
        $figures = $examined->figures;
        foreach ($findings->isOff() ? [] : Share::cases() as $share) {
            $value = $share->of($findings, $figures);
            if ($value !== null && ! ($share === Share::SuperheatOfTd && self::swings($findings))) {
                $shares[self::name($share, $examined)] = $value;
            }
        }

        return $shares;
    }

    /** @return array<string, float> */
    private static function figures(Examination $examined): array
    {
        $figures = [];
        foreach ($examined->findings->isOff() ? [] : self::FIGURES as $key) {
            $value = $examined->figures->value($key);
            $isSample = $key === DerivedFigure::EvaporatorSuperheat && self::swings($examined->findings);
            if ($value !== null && ! $isSample) {
                $isTemperature = $key->quantity() === QuantityKind::Temperature;
                $figures[self::name($key, $examined)] = $isTemperature ? $value - Celsius::ZERO : $value;
            }
        }

        return $figures;
    }

    /** Whether a superheat as it was read is a sample of a swing. */
    private static function swings(Findings $findings): bool
    {
        return SignDoubt::ofSwing($findings) > self::SWINGING;
    }

    /** @return array<string, string> */
    private static function words(Examination $examined): array
    {
        $words = [];
        $findings = $examined->findings;
        foreach ([...$findings->observations, ...$findings->tests] as $key => $word) {
            $asked = Observation::tryFrom($key) ?? Test::from($key);
            $words[self::word($asked, $asked->row()->under($examined->conditions->holds(...)))] = $word->value;
        }
        foreach ($findings->complaints as $complaint) {
            $words[Feature::of($complaint)->name()] = 'yes';
        }

        return $words;
    }
}
