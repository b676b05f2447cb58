<?php

namespace Database\Seeders;

use App\Models\Circuit;
use App\Models\Plant;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use App\Records\Author;
use App\Records\Making;
use App\Records\Recorder;
use Illuminate\Support\Carbon;
use Metrum\Installation\Coil;
use Metrum\Installation\Installation;
use Metrum\Installation\InstallationReader;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Log\FactKind;
use Metrum\Log\Statement;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;
use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\CaseState;
use Metrum\Twin\Rack\MoistAir;
use Metrum\Twin\Rack\RackDisorder;
use Metrum\Twin\Rack\RackIll;
use Metrum\Twin\Rack\RackMachine;
use Metrum\Twin\Rack\RackSizing;
use Metrum\Twin\Rack\RackSolver;
use Metrum\Twin\Rack\RackState;
use Metrum\Twin\Rack\Store;

/**
 * The medium rack of the Lunden grocery with a year of visits. What is read at each is what its twin shows in that
 * weather, with what is wrong in it, so that all of it agrees.
 */
final readonly class DemoRack
{
    /** Seconds that an entry takes a person. */
    private const PACE = 35;

    /** Fans of its condenser. */
    private const FANS = 4;

    private Installation $plant;

    private RackMachine $machine;

    private Units $units;

    /** @param  array<string, mixed>  $story */
    public function __construct(private User $user, private array $story)
    {
        $this->plant = InstallationReader::stored(json_encode($story['installation'], JSON_THROW_ON_ERROR));
        $this->machine = (new RackSizing($this->plant))->machine();
        $this->units = $user->units();
    }

    public function run(): Plant
    {
        $site = Site::query()->where('name', $this->story['site'])->firstOrFail();
        $circuits = Circuit::establishAll($site, $this->plant, $this->story['name'], $this->story['names']);
        $first = $circuits['circuit 1'];
        $first->plant->update(['name' => $this->story['name']]);
        foreach ($this->story['visits'] as $entry) {
            $at = Carbon::now()->startOfDay()->subDays($entry['days_ago'])->setTimeFromTimeString($entry['at']);
            $visit = $this->visit($first, $entry, $at);
            $visit->update([
                'closed_at' => $at->copy()->addMinutes(70),
                'ran_well_at' => ($entry['well'] ?? false) ? $at->copy()->addMinutes(70) : null,
            ]);
        }
        $open = $this->story['open'];
        $facts = count(iterator_to_array($this->said($open), false));
        $this->visit($first, $open, Carbon::now()->subSeconds(60 * $open['ended_minutes_ago'] + self::PACE * $facts));

        return $first->plant;
    }

    /** @param  array<string, mixed>  $entry */
    private function visit(Circuit $circuit, array $entry, Carbon $at): Visit
    {
        $visit = Visit::open($circuit, $this->user, $at);
        $recorder = new Recorder($visit, Author::of($this->user), new Making($at->toDateTimeImmutable()));
        $time = $at->copy();
        foreach ($this->said($entry) as $said) {
            $time->addSeconds(self::PACE);
            $recorder->at($time->toDateTimeImmutable())->record($said);
        }

        return $visit;
    }

    /**
     * @param  array<string, mixed>  $entry
     * @return \Generator<int, Statement>
     */
    private function said(array $entry): \Generator
    {
        $store = new Store(
            Celsius::ZERO + $entry['ambient_c'],
            new MoistAir(Celsius::ZERO + $entry['store_c'], $entry['humidity'] / 100),
            $entry['reclaim'],
        );
        $idle = array_fill_keys($entry['defrost'] ?? [], BranchState::HotGas);
        [$machine, $now] = $this->now($entry, $store, $idle);
        foreach ($this->shared($machine, $now, $store) as $key => $si) {
            yield $this->reading(PartId::plant(), Reading::from($key), $si);
        }
        yield self::word(PartId::plant(), Observation::SightGlass, $now->quality > 0.0 ? 'bubbles' : 'clear');
        yield self::word(PartId::plant(), Observation::HeatReclaim, $entry['reclaim'] ? 'on' : 'off');
        foreach ($this->plant->branches as $branch) {
            $circuit = $now->circuits[$branch->part->value];
            $state = isset($idle[$branch->part->value]) ? State::InDefrost : State::RunningSettled;
            yield new Statement(FactKind::State, 'state', $state->value, '', $branch->part->value);
            foreach ($branch->coils as $place => $coil) {
                $ill = ($entry['airflow']['circuit'] ?? '') === $branch->part->value
                    ? (int) $entry['airflow']['coil']
                    : null;
                yield from $this
                    ->coil($branch->part, $coil, self::caseOf($circuit->cases, $place, $ill), count($branch->coils));
            }
        }
        if (isset($entry['airflow'])) {
            $part = PartId::of($entry['airflow']['circuit']);
            $circuit = $now->circuits[$part->value];
            yield $this->reading(
                $part,
                Reading::EvaporatorPressure,
                $circuit->pressure - $this->plant->atmosphere->pascal,
            );
            yield new Statement(FactKind::Complaint, 'alarm', 'yes', '', $part->value);
        }
    }

    /**
     * @param  array<string, mixed>  $entry
     * @param  array<string, BranchState>  $idle
     * @return array{RackMachine, RackState}
     */
    private function now(array $entry, Store $store, array $idle): array
    {
        $sound = (new RackSolver($this->machine, $store, $idle))->find();
        assert($sound !== null);
        $machine = isset($entry['short'])
            ? (new RackDisorder($this->machine, $sound))->with(new RackIll(Fault::Undercharge, $entry['short']))
            : $this->machine;
        if (isset($entry['airflow'])) {
            $machine = (new RackDisorder($machine, $sound))->with(
                new RackIll(
                    Fault::EvaporatorAirflowLow,
                    $entry['airflow']['severity'],
                    PartId::of($entry['airflow']['circuit']),
                    0,
                    Cause::FansStopped,
                ),
            );
        }
        $now = (new RackSolver($machine, $store, $idle, $sound->floors))->find();
        assert($now !== null);

        return [$machine, $now];
    }

    /**
     * The sick case stands first in the twin; at the plant it may be another one.
     *
     * @param  list<CaseState>  $cases
     */
    private static function caseOf(array $cases, int $place, ?int $ill): ?CaseState
    {
        return $ill !== null && count($cases) > 1 && $place !== $ill ? $cases[1] : ($cases[0] ?? null);
    }

    /** @return array<string, float> SI by key */
    private function shared(RackMachine $machine, RackState $now, Store $store): array
    {
        $air = $this->plant->atmosphere->pascal;
        $fluid = $machine->fluid();
        $count = count($machine->groups[0]->compressors);

        return [
            Reading::SuctionHeader->value => $now->first()->suction - $air,
            Reading::SuctionSet->value => $machine->groups[0]->setSuction - $air,
            Reading::DischargePressure->value => $now->condensing - $air,
            Reading::HeadSet->value => $fluid->bubblePressure($machine->high->head->setting - 2.0) - $air,
            Reading::AmbientTemperature->value => $store->ambient,
            Reading::ReceiverLevel->value => $now->level,
            Reading::CompressorsRunning->value => max(1.0, ceil($count * $now->first()->running - 0.05)),
            Reading::CompressorsFitted->value => (float) $count,
            Reading::CondenserFansRunning->value => max(1.0, round(self::FANS * $now->fans)),
            Reading::CondenserFansFitted->value => (float) self::FANS,
            Reading::StoreTemperature->value => $store->air->temperature,
            Reading::StoreHumidity->value => $store->air->humidity,
            Reading::ReceiverOutletTemperature->value => $now->liquidTemperature,
        ];
    }

    /** @return \Generator<int, Statement> */
    private function coil(PartId $circuit, Coil $coil, ?CaseState $case, int $coils): \Generator
    {
        if ($case === null) {
            return;
        }
        $part = $coils === 1 ? $circuit : $coil->part;
        yield $this->reading($part, Reading::BoxTemperature, $case->air);
        yield $this->reading($part, Reading::SupplyAirTemperature, $case->supply);
    }

    private function reading(PartId $part, Reading $reading, float $si): Statement
    {
        $unit = $this->units->of($reading->quantity());

        return new Statement(
            FactKind::Reading,
            $reading->value,
            trim(Format::value($si, $unit).' '.$unit->symbol()),
            '',
            $part->value,
        );
    }

    private static function word(PartId $part, Observation $asked, string $word): Statement
    {
        return new Statement(FactKind::Observation, $asked->value, $word, '', $part->value);
    }
}
