<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Findings\PartFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Twin\Rack\CaseState;
use Metrum\Twin\Rack\CircuitState;

/** Numbers that tell of one circuit of a plant. SI by RackSign; what was not read is not among them. */
final readonly class CircuitSigns
{
    /** K of superheat where nobody planned it. */
    private const SUPERHEAT = 4.5;

    /** @var array<string, PartFindings> by part */
    private array $cases;

    private ?CircuitState $now;

    private SuctionGroup $group;

    public function __construct(private RackExamination $examined, private Branch $branch)
    {
        $this->cases = $examined->cases($branch);
        $this->group = $examined->found->plant->group($branch);
        $this->now = $examined->now?->circuits[$branch->part->value];
    }

    /** @return array<string, float> SI by RackSign */
    public function all(): array
    {
        return array_filter(
            [...$this->context(), ...$this->air(), ...$this->feed(), ...$this->coil(), ...$this->pipes()],
            static fn (?float $one): bool => $one !== null && is_finite($one),
        );
    }

    /** @return list<float> K of each case that was read, over what is planned, by the coil's pressure */
    public function superheats(): array
    {
        $coil = $this->examined->coil($this->branch);

        return $coil === null ? [] : $this->superheatsBy($coil);
    }

    /** @return list<float> */
    private function superheatsBy(float $coil): array
    {
        $planned = $this->branch->superheat ?? self::SUPERHEAT;

        return array_map(static fn (float $bulb): float => $bulb - $coil - $planned, $this->bulbs());
    }

    /** @return list<float> K */
    private function bulbs(): array
    {
        return $this->each(Reading::SuctionTemperatureEvaporator);
    }

    /** @return list<float> */
    private function each(Reading $reading): array
    {
        return array_values(
            array_filter(
                array_map(static fn (PartFindings $one): ?float => $one->reading($reading), $this->cases),
                static fn (?float $one): bool => $one !== null,
            ),
        );
    }

    /** @return array<string, ?float> */
    private function context(): array
    {
        $shared = $this->examined->found->shared;
        $glass = $shared->observed(Observation::SightGlass);
        $state = $this->examined->found->of($this->branch->part)->state;

        return [
            RackSign::Bubbles->value => match ($glass) {
                Word::Bubbles => 1.0,
                Word::Clear => 0.0,
                default => null,
            },
            RackSign::PlantLevel->value => $shared->reading(Reading::ReceiverLevel),
            RackSign::PlantHeader->value => PlantSigns::less($this->header(), $this->dew(Reading::SuctionSet)),
            RackSign::Regulated->value => $this->isRegulated() ? 1.0 : 0.0,
            RackSign::LowTemperature->value => $this->branch->load->kind?->isLowTemperature() === true ? 1.0 : 0.0,
            RackSign::Several->value => count($this->branch->coils) > 1 ? 1.0 : 0.0,
            RackSign::ByThermostat->value => $this->branch->load->control?->isByThermostat() === true ? 1.0 : 0.0,
            RackSign::Entries->value => (float) $this->entries(),
            RackSign::AfterDefrost->value => self::afterDefrost($state),
        ];
    }

    /** Where nobody said what it does it may be warm because it was in defrost. */
    private static function afterDefrost(?State $state): float
    {
        return $state === null ? 0.5 : (float) ($state === State::AfterDefrost);
    }

    /** How many things were found of it: people look where something is wrong. */
    private function entries(): int
    {
        $entries = 0;
        foreach ([$this->examined->found->of($this->branch->part), ...array_values($this->cases)] as $part) {
            $entries += count($part->readings) + count($part->observations) + count($part->tests);
        }

        return $entries;
    }

    private function isRegulated(): bool
    {
        return $this->branch->regulator?->isFitted === true;
    }

    private function header(): ?float
    {
        return $this->dew(Reading::SuctionHeader);
    }

    /** Of a pressure of the group that it draws from. */
    private function dew(Reading $reading): ?float
    {
        return $this->examined->dew($this->examined->found->ofGroup($this->group)->reading($reading));
    }

    /** @return array<string, ?float> */
    private function air(): array
    {
        $above = $this->examined->found->above($this->branch);
        $product = $this->each(Reading::ProductTemperature);
        $air = $this->each(Reading::BoxTemperature);
        $neighbours = new Neighbours($this->examined, $this->branch);

        return [
            RackSign::Over->value => $above === [] ? null : max($above),
            RackSign::Under->value => $above === [] ? null : min($above),
            RackSign::Apart->value => count($above) < 2 ? null : max($above) - Spread::rest($above, max($above)),
            RackSign::Others->value => $neighbours->over(),
            RackSign::OthersStarved->value => $neighbours->starved(),
            RackSign::ProductOver->value => $product === [] || $air === [] ? null : max($product) - max($air),
            RackSign::FansStopped->value => $this->fansStopped(),
        ];
    }

    private function fansStopped(): ?float
    {
        $stopped = [];
        foreach ($this->cases as $case) {
            $running = $case->reading(Reading::FansRunning);
            $fitted = $case->reading(Reading::FansFitted);
            $isKnown = $running !== null && $fitted !== null && $fitted > 0.0;
            $stopped = $isKnown ? [...$stopped, 1 - min(1.0, $running / $fitted)] : $stopped;
        }

        return $stopped === [] ? null : max($stopped);
    }

    /** @return array<string, ?float> */
    private function feed(): array
    {
        $over = $this->superheats();
        $bulbs = $this->bulbs();
        $coil = $this->expectedCoil();
        $far = $coil === null || $over !== [] ? [] : $this->superheatsBy($coil);
        $farthest = $far === [] ? null : Spread::farthest($far);
        $differences = [];
        foreach ($this->cases as $case) {
            $air = $case->reading(Reading::BoxTemperature);
            $bulb = $case->reading(Reading::SuctionTemperatureEvaporator);
            $differences = $air === null || $bulb === null ? $differences : [...$differences, $air - $bulb];
        }
        $swings = $this->each(Reading::SuperheatSwing);

        return [
            RackSign::SuperheatMost->value => $over === [] ? null : max($over),
            RackSign::SuperheatLeast->value => $over === [] ? null : min($over),
            RackSign::SuperheatFar->value => $farthest,
            RackSign::SuperheatApart->value => count($bulbs) < 2 ? null : Spread::standingApart($bulbs),
            RackSign::BulbToAir->value => $differences === [] ? null : min($differences),
            RackSign::Swing->value => $swings === [] ? null : max($swings),
        ];
    }

    /** K; where its coil should be now, moved as the header is. */
    private function expectedCoil(): ?float
    {
        if ($this->now === null) {
            return null;
        }
        $header = $this->header();
        $state = $this->examined->state($this->group);
        $expected = $state === null
            ? null
            : $this->examined->twin->machine->fluid()->dewTemperature($state->suction);
        $isMoved = $header !== null && $expected !== null && ! $this->isRegulated();

        return $this->now->saturated + ($isMoved ? $header - $expected : 0.0);
    }

    /** @return array<string, ?float> */
    private function coil(): array
    {
        $coil = $this->examined->coil($this->branch);
        $air = $this->each(Reading::BoxTemperature);
        $case = $this->now?->cases[0] ?? null;
        $expected = $this->expectedCoil();
        $warmest = $air === [] ? null : max($air);
        $difference = $case === null ? null : $case->air - $this->now->saturated;

        return [
            RackSign::CoilOff->value => PlantSigns::less($coil, $expected),
            RackSign::TdOff->value => PlantSigns::less(PlantSigns::less($warmest, $coil), $difference),
            RackSign::LineDrop->value => PlantSigns::less($coil, $this->header()),
            RackSign::AirDropOff->value => $this->airDrop($case),
        ];
    }

    /** K by which the air's fall over a coil differs most from what it should be. */
    private function airDrop(?CaseState $expected): ?float
    {
        $drops = [];
        foreach ($this->cases as $case) {
            $air = $case->reading(Reading::BoxTemperature);
            $supply = $case->reading(Reading::SupplyAirTemperature);
            if ($air !== null && $supply !== null && $expected !== null) {
                $drops[] = $air - $supply - ($expected->air - $expected->supply);
            }
        }

        return $drops === [] ? null : Spread::farthest($drops);
    }

    /** @return array<string, ?float> */
    private function pipes(): array
    {
        $shared = $this->examined->found->shared;
        $liquid = $shared->reading(Reading::DrierOutletTemperature) ??
            $shared->reading(Reading::ReceiverOutletTemperature) ??
            $shared->reading(Reading::CondenserOutletTemperature);
        $valve = $this->examined->found->of($this->branch->part)->reading(Reading::ValveInletTemperature);
        $inlets = $this->each(Reading::CoilInletTemperature);
        $coil = $this->examined->coil($this->branch) ?? $this->expectedCoil();

        return [
            RackSign::LiquidFall->value => PlantSigns::less($liquid, $valve),
            RackSign::InletOver->value => $inlets === [] ? null : PlantSigns::less(min($inlets), $coil),
        ];
    }
}
