<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\Findings;
use Metrum\Findings\PartFindings;
use Metrum\Installation\CaseForm;
use Metrum\Installation\Circuit;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Learning\SpokenAnswers;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Dice;
use Metrum\Twin\PlantState;
use Metrum\Twin\Rack\CaseState;
use Metrum\Twin\Rack\RackLooks;
use Metrum\Twin\Rack\Store;

/** What is entered of one circuit of a rack and its cases. */
final readonly class CircuitEntries
{
    /** Asked of a case, and of the circuit; how often where it is well read. */
    private const OF_CASE = [
        'frost_coil' => 0.6,
        'valve_sound' => 0.3,
        'evaporator_fans' => 0.7,
        'evaporator_face' => 0.6,
        'product' => 0.5,
        'drain' => 0.3,
        'doors' => 0.6,
        'air_curtain' => 0.6,
        'frost_valve_outlet' => 0.3,
    ];

    private const OF_CIRCUIT = [
        'liquid_solenoid' => 0.4,
        'liquid_line_feel' => 0.4,
        'frost_suction_line' => 0.45,
        'defrost_clock' => 0.25,
        'last_defrost' => 0.3,
        'regulator_stem' => 0.35,
        'suction_line_after_hot_gas_valve' => 0.4,
        'valve_bulb_warmed' => 0.07,
        'valve_bulb_iced' => 0.05,
        'valve_screen' => 0.03,
    ];

    /** K by which cases of one circuit differ. */
    private const UNEVEN = 0.3;

    private RackInstruments $instruments;

    public function __construct(private Dice $dice, private Store $store)
    {
        $this->instruments = new RackInstruments($dice);
    }

    /** @return array<string, PartFindings> of the circuit and its cases, by part */
    public function of(CircuitVisit $visit): array
    {
        $branch = $visit->branch;
        $circuit = $visit->plant->circuit($branch->part);
        $said = new SpokenAnswers(
            $this->dice,
            new Conditions(new Findings($circuit, $visit->state), $this->store->ambient < Celsius::ZERO + 10.0),
        );
        $own = $this->circuit($visit, $circuit, $said);
        $isRoom = $branch->coils[0]->form === null;
        $parts = [];
        foreach ($branch->coils as $place => $coil) {
            $case = $this->coil($visit, $place, $coil->form, $said);
            if ($isRoom) {
                $own = $own->besides($case);
            } else {
                $parts[$coil->part->value] = $case;
            }
        }

        return [$branch->part->value => $own, ...$parts];
    }

    private function circuit(CircuitVisit $visit, Circuit $circuit, SpokenAnswers $said): PartFindings
    {
        $readings = [];
        $air = $this->store->air->pressure;
        $isRead = RackPatients::isCooling($visit->state);
        if ($isRead && $this->dice->chance($visit->often)) {
            $readings[Reading::EvaporatorPressure->value] = $this->instruments->gauge(
                $visit->isShut ? $this->left($visit) : $visit->circuit()->pressure,
                $air,
                3e3,
            );
        }
        $case = $visit->circuit()->cases[0] ?? null;
        if ($isRead && $case !== null && $this->dice->chance($visit->often)) {
            $readings[Reading::ValveInletTemperature->value] = $this->instruments->clamp(
                $case->valveInlet,
                $visit->setPoint(),
            );
        }
        $words = $this->answers($visit, self::OF_CIRCUIT, $said, $circuit, 0, null);
        $shut = $this->dice->chance(0.5 * $visit->often) ? [Observation::CircuitShut->value => Word::No] : [];

        return new PartFindings(
            $readings,
            [...$words[0], ...$shut],
            $words[1],
            $visit->told,
            $visit->isIll() && $this->dice->chance(0.8)
                ? $said->complaints([[$visit->ill->fault, $visit->ill->cause, $visit->ill->severity]])
                : [],
        );
    }

    /** Pa abs in coils whose liquid is shut: a regulator shuts as they empty, else the header draws them down. */
    private function left(CircuitVisit $visit): float
    {
        $floor = $visit->now->floors[$visit->branch->part->value] ?? $visit->now->first()->suction;

        return $this->dice->between($visit->now->first()->suction, max($visit->now->first()->suction, $floor));
    }

    private function coil(CircuitVisit $visit, int $place, ?CaseForm $form, SpokenAnswers $said): PartFindings
    {
        $case = $visit->caseAt($place);
        $readings = $this->air($visit, $case);
        if ($case !== null && $this->dice->chance($visit->often)) {
            $readings[Reading::SuctionTemperatureEvaporator->value] = $this
                ->instruments
                ->clamp($case->bulb, $case->air);
        }
        if ($case === null && $visit->isShut && $this->dice->chance($visit->often)) {
            $air = $readings[Reading::BoxTemperature->value] ?? $visit->setPoint() + 3.0;
            $readings[Reading::SuctionTemperatureEvaporator->value] = $air - $this->dice->between(0.0, 1.5);
        }
        if ($case !== null && $this->dice->chance(0.5 * $visit->often)) {
            $readings[Reading::CoilInletTemperature->value] = $this->instruments->clamp($case->inlet, $case->air);
        }
        if ($case !== null && $this->dice->chance(0.25 * $visit->often)) {
            $readings += $this->swing($visit, $place, $case);
        }
        $readings += $this->fans($visit, $place);
        [$observations, $tests] = $this->answers(
            $visit,
            self::OF_CASE,
            $said,
            $visit->plant->circuit($visit->branch->part),
            $place,
            $form,
        );

        return new PartFindings($readings, $observations, $tests);
    }

    /** @return array<string, float> */
    private function air(CircuitVisit $visit, ?CaseState $case): array
    {
        $dice = $this->dice;
        $set = $visit->setPoint();
        $air = match (true) {
            $visit->isShut => $set + $dice->between(2.0, 13.0) * max(0.3, $visit->ill->severity),
            $visit->state === State::InDefrost => $set + $dice->between(0.0, 6.5),
            $visit->state === State::AfterDefrost => $set + $dice->between(0.5, 4.5),
            $visit->state === State::Off => $set - $dice->between(-0.3, 0.9),
            $case !== null => $case->air + $dice->around(0.0, self::UNEVEN),
            default => $set,
        };
        $readings = [];
        if ($dice->chance(0.9)) {
            $readings[Reading::BoxTemperature->value] = $this->instruments->air($air);
        }
        if ($dice->chance($visit->often) && ($case !== null || $visit->isShut)) {
            $drop = $case === null ? 0.2 : $case->air - $case->supply;
            $readings[Reading::SupplyAirTemperature->value] = $this->instruments->air($air - $drop);
        }
        if ($dice->chance(0.25 * $visit->often)) {
            $readings[Reading::ProductTemperature->value] = $this->instruments->air(
                $air - 0.4 + ($visit->ill->cause === Cause::ProductHot && $visit->isIll() ? 4.0 : 0.0),
            );
        }

        return $readings;
    }

    /** @return array<string, float> */
    private function swing(CircuitVisit $visit, int $place, CaseState $case): array
    {
        $shift = $visit->isSickAt($place)
            ? FaultCatalogue::entry($visit->ill->fault)->signs['swing']->mean ?? 0.0
            : 0.0;
        $swing = max(0.2, $this->dice->around(1.1 + max(0.0, $shift) * $visit->ill->severity, 0.6));

        return [
            Reading::SuperheatSwing->value => $swing,
            Reading::SuperheatLowest->value => max(0.0, $case->superheat - $swing / 2),
        ];
    }

    /** @return array<string, float> */
    private function fans(CircuitVisit $visit, int $place): array
    {
        if (! $this->dice->chance(0.6 * $visit->often)) {
            return [];
        }
        $fitted = (int) $this->dice->between(1.0, 5.99);
        $stopped = $visit->isSickAt($place) && $visit->ill->cause === Cause::FansStopped
            ? max(1, (int) round(0.7 * $visit->ill->severity * $fitted))
            : 0;

        return [
            Reading::FansFitted->value => (float) $fitted,
            Reading::FansRunning->value => (float) max(0, $fitted - $stopped),
        ];
    }

    /**
     * @param  array<string, float>  $questions  how often each is asked
     * @return array{array<string, Word>, array<string, Word>} observations and tests
     */
    private function answers(
        CircuitVisit $visit,
        array $questions,
        SpokenAnswers $said,
        Circuit $circuit,
        int $place,
        ?CaseForm $form,
    ): array {
        $case = $visit->caseAt($place);
        $looks = PlantState::looking($case === null ? [] : RackLooks::ofCase($visit->circuit(), $case));
        $ill = $visit->ill;
        $ills = $visit->isSickAt($place) ? [[$ill->fault, $ill->cause, $ill->severity]] : [];
        $observations = $tests = [];
        foreach ($questions as $key => $often) {
            $asked = Observation::tryFrom($key) ?? Test::from($key);
            if (! $this->dice->chance($often * $visit->often) || ! self::fits($asked, $circuit, $form)) {
                continue;
            }
            $word = $visit->isShut && $asked === Observation::LiquidSolenoid
                ? $this->shut($ill->cause)
                : $said->answer($asked, $looks, $ills);
            if ($asked instanceof Observation) {
                $observations[$key] = $word;
            } else {
                $tests[$key] = $word;
            }
        }

        return [$observations, $tests];
    }

    private function shut(?Cause $cause): Word
    {
        return match (true) {
            $this->dice->chance(0.05) => Word::EnergisedOpen,
            $cause === Cause::SolenoidWithoutPower => Word::NotEnergised,
            default => Word::EnergisedShut,
        };
    }

    private static function fits(Question $asked, Circuit $circuit, ?CaseForm $form): bool
    {
        return match ($asked) {
            Observation::AirCurtain => $form === CaseForm::OpenMultideck || $form === CaseForm::Service,
            Observation::Doors => $form === null || $form === CaseForm::GlassDoor,
            Observation::RegulatorStem => $circuit->regulator === true,
            default => $asked->taking()->isAskedAt($circuit),
        };
    }
}
