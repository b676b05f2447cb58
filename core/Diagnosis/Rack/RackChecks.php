<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Likelihoods;
use Metrum\Findings\Findings;
use Metrum\Installation\Branch;
use Metrum\Installation\CaseForm;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;

/** What to look at next: what would tell most of what is still open, for the least time; at the plant and circuits. */
final readonly class RackChecks
{
    /** Asked of what all circuits share. */
    private const OF_PLANT = [
        Observation::SightGlass,
        Observation::CondenserFans,
        Observation::CondenserFace,
        Observation::OilLevel,
        Observation::OilStains,
        Observation::ReceiverFeel,
        Observation::HeadPressureValveBypassLine,
        Test::NitrogenOrBubbleSearch,
        Test::NonCondensableCheck,
        Test::CircuitIsolated,
    ];

    private const READ_OF_PLANT = [
        Reading::ReceiverLevel,
        Reading::SuctionHeader,
        Reading::SuctionSet,
        Reading::DischargePressure,
        Reading::AmbientTemperature,
        Reading::CompressorsRunning,
        Reading::CondenserOutletTemperature,
        Reading::ReceiverOutletTemperature,
    ];

    /** Of these, what each suction group has for itself. */
    private const READ_OF_GROUP = [Reading::SuctionHeader, Reading::SuctionSet, Reading::CompressorsRunning];

    private const OF_CIRCUIT = [
        Observation::FrostCoil,
        Observation::EvaporatorFans,
        Observation::EvaporatorFace,
        Observation::Product,
        Observation::Doors,
        Observation::AirCurtain,
        Observation::LiquidSolenoid,
        Observation::LiquidLineFeel,
        Observation::ValveSound,
        Observation::FrostSuctionLine,
        Observation::RegulatorStem,
        Observation::SuctionLineAfterHotGasValve,
        Observation::LastDefrost,
        Observation::DefrostClock,
        Observation::Drain,
        Test::ValveBulbWarmed,
    ];

    private const READ_OF_CIRCUIT = [
        Reading::EvaporatorPressure,
        Reading::SuctionTemperatureEvaporator,
        Reading::SupplyAirTemperature,
        Reading::ValveInletTemperature,
    ];

    /** Share of what is open that a reading which proves the leading fault would settle, and another one. */
    private const PROVES = 0.5;

    private const TELLS = 0.25;

    /** Circuits that are asked about: those in question most. */
    private const CIRCUITS = 3;

    /** Probability that something is wrong with a circuit from which it is asked about. */
    private const IN_QUESTION = 0.04;

    public function __construct(private RackVerdict $verdict)
    {
    }

    /** @return list<RackCheck> best first */
    public function ranked(int $count): array
    {
        $checks = $this->ofPlant();
        foreach ($this->inQuestion() as $branch) {
            $checks = [...$checks, ...$this->ofCircuit($branch)];
        }

        return self::best($checks, $count);
    }

    /** @return list<RackCheck> of one circuit, best first */
    public function of(Branch $branch, int $count): array
    {
        return self::best($this->ofCircuit($branch), $count);
    }

    /**
     * @param  list<RackCheck>  $checks
     * @return list<RackCheck>
     */
    private static function best(array $checks, int $count): array
    {
        $told = array_values(array_filter($checks, static fn (RackCheck $one): bool => $one->gain > 0.002));
        usort($told, static fn (RackCheck $a, RackCheck $b): int => $b->worth() <=> $a->worth());

        return array_slice($told, 0, $count);
    }

    /** @return list<Branch> */
    private function inQuestion(): array
    {
        $found = $this->verdict->examined->found;
        $open = [];
        foreach ($found->plant->branches as $branch) {
            $ranking = $this->verdict->circuitRanking($branch->part);
            $ill = 1 - ($ranking[Fault::NoFault->value] ?? 0.0);
            if ($ill > self::IN_QUESTION && $found->cools($branch)) {
                $open[] = [$branch, $ill];
            }
        }
        usort($open, static fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return array_map(static fn (array $one): Branch => $one[0], array_slice($open, 0, self::CIRCUITS));
    }

    /** @return list<RackCheck> */
    private function ofPlant(): array
    {
        $shared = $this->verdict->examined->shared();
        $ranking = $this->verdict->plantRanking();
        $plant = PartId::plant();
        $isOne = ! $this->verdict->examined->found->plant->hasSeveralGroups();
        $fits = static fn (Asked $asked): bool => in_array($asked, self::READ_OF_GROUP, true)
            ? $isOne
            : $asked->taking()->isAskedAt($shared->circuit) || in_array($asked, self::READ_OF_PLANT, true);

        return [
            ...$this->ofGroups($ranking),
            ...$this->questions(array_filter(self::OF_PLANT, $fits), $plant, $shared, $ranking),
            ...$this->readings(array_filter(self::READ_OF_PLANT, $fits), $plant, $shared, $ranking),
        ];
    }

    /**
     * @param  array<string, float>  $ranking
     * @return list<RackCheck> of each suction group's compressors, and where there are several, of its header
     */
    private function ofGroups(array $ranking): array
    {
        $checks = [];
        foreach ($this->verdict->examined->groups() as $group) {
            $found = $this->verdict->examined->group($group);
            $suspected = $this->verdict->groupOf(Fault::CompressorOut);
            if ($suspected === null || $suspected->part->is($group->part)) {
                $checks = [...$checks, ...$this->standing($group, $found, $ranking)];
            }
            if ($this->verdict->examined->found->plant->hasSeveralGroups()) {
                $checks = [...$checks, ...$this->readings(self::READ_OF_GROUP, $group->part, $found, $ranking)];
            }
        }

        return $checks;
    }

    /**
     * Which compressor stands, and what stopped it: asked of the first of which nothing was said, until one
     * tripped; never where all run.
     *
     * @param  array<string, float>  $ranking
     * @return list<RackCheck>
     */
    private function standing(SuctionGroup $group, Findings $own, array $ranking): array
    {
        $found = $this->verdict->examined->found;
        $running = $own->reading(Reading::CompressorsRunning);
        $units = $group->compressors;
        if ($running !== null && $running >= ($own->reading(Reading::CompressorsFitted) ?? count($units))) {
            return [];
        }
        $unsaid = null;
        foreach ($units as $unit) {
            $word = $found->of($unit->part)->observed(Observation::Compressor);
            if ($word?->stop()?->isTrip() === true) {
                return [];
            }
            $unsaid ??= $word === null ? $unit : null;
        }

        return $unsaid === null
            ? []
            : $this->questions([Observation::Compressor], $unsaid->part, $own, $ranking);
    }

    /** @return list<RackCheck> */
    private function ofCircuit(Branch $branch): array
    {
        $findings = $this->verdict->examined->circuit($branch);
        $ranking = $this->verdict->circuitRanking($branch->part);
        $form = $branch->coils[0]->form;
        $fits = static fn (Asked $asked): bool => match ($asked) {
            Observation::AirCurtain => $form === CaseForm::OpenMultideck || $form === CaseForm::Service,
            Observation::Doors => $form === null || $form === CaseForm::GlassDoor,
            Reading::EvaporatorPressure => true,
            default => $asked->taking()->isAskedAt($findings->circuit),
        };

        return [
            ...$this->questions(array_filter(self::OF_CIRCUIT, $fits), $branch->part, $findings, $ranking),
            ...$this->readings(array_filter(self::READ_OF_CIRCUIT, $fits), $branch->part, $findings, $ranking),
        ];
    }

    /**
     * @param  array<int, Question>  $questions
     * @param  array<string, float>  $ranking
     * @return list<RackCheck>
     */
    private function questions(array $questions, PartId $of, Findings $findings, array $ranking): array
    {
        $likelihoods = new Likelihoods(new Conditions($findings, null));
        $answered = [...$findings->observations, ...$findings->tests];
        $checks = [];
        foreach ($questions as $asked) {
            if (isset($answered[(string) $asked->value])) {
                continue;
            }
            [$gain, $outcomes] = BitsTold::by($asked, $likelihoods, $ranking);
            $checks[] = new RackCheck($of, $asked, $gain, $asked->taking()->minutes, $outcomes);
        }

        return $checks;
    }

    /**
     * @param  array<int, Reading>  $readings
     * @param  array<string, float>  $ranking
     * @return list<RackCheck>
     */
    private function readings(array $readings, PartId $of, Findings $findings, array $ranking): array
    {
        $open = BitsTold::open($ranking);
        $leading = array_map(Fault::from(...), array_slice(array_keys($ranking), 0, 2));
        $checks = [];
        foreach ($readings as $reading) {
            if ($findings->reading($reading) !== null) {
                continue;
            }
            $proves = false;
            foreach ($leading as $fault) {
                $proves = $proves || in_array($reading, FaultCatalogue::entry($fault)->provenBy, true);
            }
            $share = $proves ? self::PROVES : self::TELLS;
            $checks[] = new RackCheck($of, $reading, $share * $open, $reading->taking()->minutes);
        }

        return $checks;
    }
}
