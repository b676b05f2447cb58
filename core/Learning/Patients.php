<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Likelihoods;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Quantity\Celsius;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Ailment;
use Metrum\Twin\Dice;
use Metrum\Twin\LoopEffect;
use Metrum\Twin\Machine;
use Metrum\Twin\RandomPlants;
use Metrum\Twin\Sizing;
use Metrum\Twin\SteadyState;

/** Visits to simulated plants, each by its number: the same seed and number give the same visit. */
final readonly class Patients
{
    /** How often each kind is met. */
    public const KINDS = [
        'walk_in_cooler' => 26,
        'walk_in_freezer' => 20,
        'rack_circuit_medium' => 13,
        'rack_circuit_low' => 9,
        'case_medium' => 10,
        'case_low' => 6,
        'ice_machine' => 8,
        'air_conditioner' => 6,
        'reach_in_cooler' => 5,
        'reach_in_freezer' => 3,
    ];

    /** Power of the catalogue's frequencies with which faults are drawn: seldom ones must be learned too. */
    private const EVENED = 0.3;

    /** Share of plants built by other laws, and of visits with two faults. */
    private const ALTERED = 0.12;

    private const TWICE = 0.1;

    /** How much more often nothing is wrong than a usual fault. */
    private const SOUND = 4.0;

    /** Severity below which nobody would be called. */
    private const LEAST = 0.3;

    /** K from which a box is called warmer. */
    private const FELT = 0.3;

    private const TRIES = 40;

    /** Circuits drawn for a fault until one can have it. */
    private const PLANTS = 60;

    public function __construct(private int $seed)
    {
    }

    /**
     * @param  ?bool  $twice  whether two things are wrong; null: now and then
     * @param  bool  $whole  all that can be found at it is entered
     */
    public function number(int $number, ?bool $twice = null, bool $whole = false): Patient
    {
        for ($try = 0; ; $try++) {
            $seed = crc32(sprintf('%d %d %d', $this->seed, $number, $try));
            $patient = $this->drawn($seed, $twice, $whole);
            if ($patient !== null || $try > self::TRIES) {
                return $patient ?? throw new \LogicException('No system resulted from '.self::TRIES.' draws');
            }
        }
    }

    private function drawn(int $seed, ?bool $twice, bool $whole): ?Patient
    {
        $dice = new Dice($seed);
        $first = Fault::from($dice->weighed(self::frequencies()));
        $circuit = $this->circuit($dice, $seed, $first);
        $altered = $dice->chance(self::ALTERED);
        try {
            $planned = (new Sizing($circuit))->machine();
            $ought = $circuit->asItOughtToBe();
            $sound = $ought === $circuit ? $planned : (new Sizing($ought))->machine();
            // Both are drawn by the same chances: the plant, and the same plant controlled as it ought to be.
            $built = (new PlantAsBuilt(new Dice($seed ^ 0x2545F491)))->of($planned, $altered);
            $healthy = (new PlantAsBuilt(new Dice($seed ^ 0x2545F491)))->of($sound, $altered);
            $ills = self::ills($dice, $built, $first, $twice ?? $dice->chance(self::TWICE));

            return $ills === null
                ? null
                : $this->visited($dice, $circuit, $built, $healthy, $ills, $altered, $whole);
        } catch (OutsideTable) {
            return null;
        }
    }

    /** Whether the twin can carry it in its steady states; that a valve swings it cannot show. */
    public static function isLearned(Fault $fault): bool
    {
        return $fault === Fault::NoFault ||
            $fault === Fault::ExcessLoad ||
            ! in_array(Ailment::of($fault)->loop, [null, LoopEffect::FeedHunting], true);
    }

    /** @return array<string, float> how often each fault is drawn, of those that the twin can carry */
    public static function frequencies(): array
    {
        $frequencies = [Fault::NoFault->value => self::SOUND];
        foreach (Fault::cases() as $fault) {
            if ($fault !== Fault::NoFault && self::isLearned($fault)) {
                $frequencies[$fault->value] = FaultCatalogue::entry($fault)->prior ** self::EVENED;
            }
        }

        return $frequencies;
    }

    /** A plant that can have this fault. */
    private function circuit(Dice $dice, int $seed, Fault $fault): Circuit
    {
        $plants = new RandomPlants($seed ^ 0x5BD1E995);
        $fit = FaultCatalogue::entry($fault)->fit;
        for ($try = 0; ; $try++) {
            $circuit = $plants->circuit(Kind::from($dice->weighed(self::KINDS)));
            if ($fit->asks($circuit) || $try >= self::PLANTS) {
                return $circuit;
            }
        }
    }

    /** @return ?list<array{Fault, ?Cause, float}> null where such a plant cannot have it */
    private static function ills(Dice $dice, Machine $machine, Fault $first, bool $twice): ?array
    {
        $faults = [$first];
        if ($twice) {
            $faults[] = Fault::from($dice->weighed(array_diff_key(self::frequencies(), [$first->value => 0])));
        }
        $ills = [];
        foreach ($faults as $fault) {
            if ($fault === Fault::NoFault) {
                continue;
            }
            $fits = FaultCatalogue::entry($fault)->fit->asks($machine->circuit);
            if (! $fits || ($fault !== Fault::ExcessLoad && ! self::shows($fault, $machine))) {
                return null;
            }
            $ills[] = [$fault, self::cause($dice, $fault), $dice->between(self::LEAST, 1.0)];
        }

        return $ills;
    }

    private static function shows(Fault $fault, Machine $machine): bool
    {
        $nothingHolds = $machine->head->kind === HeadPressureControl::None && self::isOutdoor($machine);

        return Ailment::of($fault)->showsAt($machine) || ($fault === Fault::HeadPressureLow && $nothingHolds);
    }

    private static function cause(Dice $dice, Fault $fault): ?Cause
    {
        $shares = FaultCatalogue::entry($fault)->shares();

        return $shares === [] ? null : Cause::from($dice->weighed($shares));
    }

    /** @param  list<array{Fault, ?Cause, float}>  $ills */
    private function visited(
        Dice $dice,
        Circuit $circuit,
        Machine $built,
        Machine $healthy,
        array $ills,
        bool $altered,
        bool $whole,
    ): ?Patient {
        $circumstances = new Circumstances($dice);
        $around = $circumstances->weather($built, $ills);
        $sound = (new SteadyState($healthy, $around))->find();
        if (! $sound->runs()) {
            return null;
        }
        $extent = new Extent($dice, $built);
        $ills = $ills === [] ? [] : $extent->drawn($ills, $around, $sound);
        $sick = $extent->sick($ills);
        $state = (new SteadyState($sick, $around))->find($sound->solution);
        if ($ills === [] && ! $state->runs()) {
            return null;
        }
        $rise = $circumstances->rise($sound, $state);
        if ($rise > self::FELT) {
            $around = $around->warmer($rise);
            [$sound, $state] = [
                (new SteadyState($healthy, $around))->find($sound->solution),
                (new SteadyState($sick, $around))->find($state->solution),
            ];
        }
        if (! $sound->runs()) {
            return null;
        }
        $entered = new EntryHabits($dice, $whole);
        $known = $entered->known($circuit);
        $taken = $entered->readings((new InstrumentReadings($dice))->of($state), $circuit);
        $said = $circumstances->state($state, $around, $built, $taken !== []);
        $findings = new Findings($known, $said, readings: $taken);
        $conditions = new Conditions($findings, $around->ambient < (Celsius::ZERO + 10.0));
        $told = new SpokenAnswers($dice, $conditions);
        $counted =
            $state->runs() && $taken !== []
                ? (new CountedReadings($dice, new Likelihoods($conditions)))->of($findings, $ills)
                : [];
        $read = new Findings($known, $said, readings: [...$taken, ...$counted]);

        return new Patient(
            $told->findings($entered, $read, $state, $ills),
            $ills,
            $ills === [] ? null : $extent->grade($sound, $state),
            $altered,
        );
    }

    public static function isOutdoor(Machine $machine): bool
    {
        return $machine->circuit->condenser === CondenserPlace::AirOutdoor;
    }
}
