<?php

use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Learning\InstrumentReadings;
use Metrum\Learning\PlantAsBuilt;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Dice;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;
use Metrum\Twin\Surroundings;

/** Sound plants that look odd: each of its own plant, weather and state, as instruments give them. */
final class OddlySound
{
    public const CONDITIONS = [
        'hot day',
        'cold day, flooding valve',
        'altitude',
        'after defrost',
        'pulling down',
        'standing, equal pressures',
        'high glide',
    ];

    private const TAKEN = [
        Reading::SuctionPressure,
        Reading::DischargePressure,
        Reading::AmbientTemperature,
        Reading::BoxTemperature,
        Reading::SuctionTemperatureEvaporator,
        Reading::SuctionTemperatureCompressor,
        Reading::CondenserOutletTemperature,
        Reading::ReceiverOutletTemperature,
        Reading::DischargeTemperature,
        Reading::CompressorCurrent,
    ];

    private const GLIDING = ['R-448A', 'R-449A', 'R-407C', 'R-454C', 'R-455A', 'R-407F'];

    /** Pa, at about 1500 m. */
    private const HIGH_UP = 85e3;

    private RandomPlants $plants;

    private Dice $dice;

    public function __construct(int $seed)
    {
        $this->plants = new RandomPlants($seed);
        $this->dice = new Dice($seed);
    }

    public function visit(string $condition): Findings
    {
        for (; ;) {
            try {
                $visit = $this->tried($condition);
                if ($visit !== null) {
                    return $visit;
                }
            } catch (OutsideTable) {
                continue;
            }
        }
    }

    private function tried(string $condition): ?Findings
    {
        $circuit = $this->circuit($condition);
        if ($circuit === null) {
            return null;
        }
        $planned = (new Sizing($circuit))->machine();
        $machine = (new PlantAsBuilt($this->dice))->of($planned, false);
        $outdoor = match ($condition) {
            'hot day' => $this->dice->between(38.0, 43.0),
            'cold day, flooding valve' => $this->dice->between(-14.0, 2.0),
            default => $this->dice->between(20.0, 32.0),
        };
        $warm = match ($condition) {
            'pulling down' => $this->dice->between(8.0, 18.0),
            'after defrost' => $this->dice->between(2.0, 6.0),
            default => $this->dice->around(0.3, 0.6),
        };
        $around = new Surroundings(
            273.15 + $outdoor,
            $machine->design->box + $warm,
            atmosphere: $circuit->atmosphere->pascal,
        );
        $state = (new SteadyState($machine, $around))->findOrStand();
        if (! $state->runs()) {
            return null;
        }
        $read = (new InstrumentReadings($this->dice))->of($state);
        $read = $condition === 'standing, equal pressures' ? $this->standing($circuit, $around, $read) : $read;
        $keys = array_flip(array_column(self::TAKEN, 'value'));

        return new Findings(
            $circuit,
            match ($condition) {
                'after defrost' => State::AfterDefrost,
                'pulling down' => State::PullingDown,
                'standing, equal pressures' => State::Off,
                default => State::RunningSettled,
            },
            readings: array_intersect_key($read, $keys),
            observations: $this->words($condition),
        );
    }

    private function circuit(string $condition): ?Circuit
    {
        $circuit = $this->plants->circuit(Kind::from($this->dice->weighed(\Metrum\Learning\Patients::KINDS)));
        $floods = $circuit->headPressureControl === HeadPressureControl::FloodingValve;
        $fits = match ($condition) {
            'cold day, flooding valve' => $floods,
            'altitude' => $circuit->atmosphere->pascal < self::HIGH_UP,
            'high glide' => in_array($circuit->refrigerant, self::GLIDING, true),
            default => true,
        };

        return $fits && $circuit->kind !== Kind::IceMachine ? $circuit : null;
    }

    /**
     * @param  array<string, float>  $read
     * @return array<string, float>
     */
    private function standing(Circuit $circuit, Surroundings $around, array $read): array
    {
        $box = $around->box;
        $pressure = $circuit->fluid()->dewPressure($this->dice->between($box, $around->ambient));
        $gauge = $pressure - $circuit->atmosphere->pascal;

        return [
            Reading::SuctionPressure->value => $gauge,
            Reading::DischargePressure->value => $gauge + $this->dice->around(0.0, 2e3),
            Reading::AmbientTemperature->value => $around->ambient,
            Reading::BoxTemperature->value => $read[Reading::BoxTemperature->value],
        ];
    }

    /** @return array<string, Word> */
    private function words(string $condition): array
    {
        return $condition === 'standing, equal pressures'
            ? []
            : [
                Observation::SightGlass->value => $condition === 'after defrost' ? Word::Bubbles : Word::Clear,
                Observation::EvaporatorFans->value => Word::AllRunning,
            ];
    }
}
