<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Installation\BoxControl;
use Metrum\Installation\Branch;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\Installation;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\State;
use Metrum\Quantity\Celsius;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\MoistAir;
use Metrum\Twin\Rack\Store;

/** In which weather and store a rack is met, and what each circuit does just then. */
final readonly class RackCircumstances
{
    /** °C below which something has to hold the head. */
    private const MILD = 14.0;

    /** Share of visits that meet many circuits in defrost at once, of times when heat is reclaimed. */
    private const BUSY = 0.07;

    private const RECLAIMS = 0.2;

    private const COVERED = 0.05;

    public function __construct(private Dice $dice)
    {
    }

    public function store(Installation $plant, Fault $fault): Store
    {
        $dice = $this->dice;
        $celsius = match (true) {
            $fault === Fault::HeadPressureLow => $dice->between(-14.0, 8.0),
            $plant->highSide->headPressureControl === HeadPressureControl::None => $dice->between(self::MILD, 39.0),
            $dice->chance(0.45) => $dice->between(-14.0, self::MILD),
            default => $dice->between(self::MILD, 39.0),
        };

        return new Store(
            Celsius::ZERO + $celsius,
            new MoistAir(
                Celsius::ZERO + $dice->between(17.0, 26.0),
                $dice->between(0.32, 0.62),
                $plant->atmosphere->pascal,
            ),
            $dice->chance($celsius < self::MILD ? 1.6 * self::RECLAIMS : 0.5 * self::RECLAIMS),
            $dice->chance(self::COVERED),
        );
    }

    /** @return array<string, State> by part; one at least cools */
    public function states(Installation $plant): array
    {
        $busy = $this->dice->chance(self::BUSY);
        $states = [];
        foreach ($plant->branches as $branch) {
            $states[$branch->part->value] = $this->state($branch, $busy);
        }
        if (! in_array(State::RunningSettled, $states, true)) {
            $states[$plant->branches[0]->part->value] = State::RunningSettled;
        }

        return $states;
    }

    private function state(Branch $branch, bool $busy): State
    {
        $dice = $this->dice;
        $isGas = $branch->load->defrost === DefrostKind::HotGas;

        return match (true) {
            $dice->chance($busy && $isGas ? 0.6 : 0.07) => State::InDefrost,
            $dice->chance(0.025) => State::AfterDefrost,
            $branch->load->control === BoxControl::Thermostat && $dice->chance(0.25) => State::Off,
            default => State::RunningSettled,
        };
    }

    /**
     * @param  array<string, State>  $states
     * @return array<string, BranchState> of those that do not cool
     */
    public static function idle(Installation $plant, array $states): array
    {
        $idle = [];
        foreach ($plant->branches as $branch) {
            $state = $states[$branch->part->value];
            if ($state === State::Off || $state === State::InDefrost) {
                $isGas = $state === State::InDefrost && $branch->load->defrost === DefrostKind::HotGas;
                $idle[$branch->part->value] = $isGas ? BranchState::HotGas : BranchState::Drained;
            }
        }

        return $idle;
    }
}
