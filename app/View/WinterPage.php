<?php

namespace App\View;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Models\User;
use App\Picture\WinterPicture;
use App\Records\Folds;
use Metrum\Bench\Calculators\Flooding;
use Metrum\Card\Cards;
use Metrum\Findings\Mark;
use Metrum\Installation\Circuit as Known;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Ruling;
use Metrum\Knowledge\Wanted;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\CannotStand;
use Metrum\Twin\ChargeConflict;
use Metrum\Twin\ConflictKind;
use Metrum\Twin\Filling;
use Metrum\Twin\Machine;
use Metrum\Twin\Twins;
use Metrum\Twin\WinterCurve;

/** The winter charge of a plant: by the twin and by the maker's arithmetic, what holds it, and which school fits. */
final class WinterPage
{
    /** kg up to which a plant is small enough to be filled by its receiver's mark. */
    private const SMALL = 15.0;

    public readonly Units $units;

    private readonly Known $known;

    private readonly ?Machine $machine;

    public function __construct(public readonly Circuit $circuit, User $user, Twins $twins, Folds $folds)
    {
        $this->units = $user->units();
        $this->known = $circuit->known();
        try {
            $this->machine = $twins->of($this->known, HouseRuleChoice::inForce(), $folds->good($circuit))->machine;
        } catch (CannotStand) {
            $this->machine = null;
        }
    }

    /** Why there is no winter charge to speak of; null where there is one. */
    public function none(): ?string
    {
        return match (true) {
            $this->machine === null => 'This circuit cannot be simulated as entered. Check its design values.',
            $this->known->condenser === CondenserPlace::Water => 'Water-cooled condenser: no winter charge needed.',
            $this->known->condenser === CondenserPlace::AirIndoor => 'Condenser indoors: in a heated room '.
                'nothing floods, so no winter charge. If the room gets cold, set it to outdoors.',
            ! $this->known->hasReceiver() => 'No receiver to supply the flooding charge; a flooding valve needs one.',
            ! $this->floods() => 'No flooding valve: fan cycling or fan speed control needs no winter charge. '.
                'With no head pressure control, fit one; do not add refrigerant.',
            default => null,
        };
    }

    private function floods(): bool
    {
        return $this->known->headPressureControl === HeadPressureControl::FloodingValve;
    }

    private function coldest(): float
    {
        return $this->known->design->coldestAmbient ?? Filling::USUAL_COLDEST;
    }

    public function coldestWords(): string
    {
        $given = $this->known->design->coldestAmbient !== null;

        return $this->units->text($this->coldest(), QuantityKind::Temperature).($given ? '' : ' (assumed)');
    }

    public function picture(): ?WinterPicture
    {
        if ($this->machine === null) {
            return null;
        }
        $warmest = max($this->machine->design->ambient, $this->coldest() + 20.0);
        $summer = WinterCurve::needed($this->machine, $this->machine->design->ambient) ?? $this->machine->charge;

        return new WinterPicture(
            WinterCurve::of($this->machine, $this->machine->charge, $this->coldest(), $warmest),
            WinterCurve::of($this->machine, $summer, $this->coldest(), $warmest),
            $this->units,
        );
    }

    /** @return list<array{string, string, string}> what, by the twin, by the maker's arithmetic */
    public function figures(): array
    {
        if ($this->machine === null) {
            return [];
        }
        $planned = $this->machine->design->ambient;
        $forecasts = WinterCurve::extra($this->machine, $this->coldest(), $planned);
        $summer = WinterCurve::needed($this->machine, $planned);
        [$share, $extra] = $this->byArithmetic($this->machine);
        $flooded = WinterCurve::of($this->machine, $this->machine->charge, $this->coldest(), $planned)[0]['condenser'];
        $mass = fn (?float $kilograms): string => $kilograms === null ? 'not known' : $this->units->mass($kilograms);
        $percent = static fn (float $part): string => Format::number(100 * $part, 0).' %';

        return [
            ['Flooded, coldest day', $percent($flooded), $percent($share)],
            ['Above clear sight glass', $mass($forecasts), $mass($extra)],
            ['Summer charge (outlet just covered)', $mass($summer), ''],
            ['Total', $mass($forecasts === null || $summer === null ? null : $forecasts + $summer), ''],
        ];
    }

    /**
     * The maker's share, and that of the condenser's volume in liquid in place of gas.
     *
     * @return array{float, ?float} share and kg; null where its table ends before
     */
    private function byArithmetic(Machine $machine): array
    {
        $split = (new Wanted($this->known, HouseRuleChoice::inForce()))->condenserSplit()->middle();
        $held = $machine->head->setting;
        $share = Flooding::share($split, 1.0, $held, $this->coldest());
        try {
            $liquid = $machine->fluid->liquidDensity(($held + $this->coldest()) / 2);
            $vapour = $machine->fluid->vapourDensity($held);
        } catch (OutsideTable) {
            return [$share, null];
        }

        return [$share, $share * $machine->condenserVolume * ($liquid - $vapour)];
    }

    /** @return list<array{Mark, string}> whether it fits the receiver, and what of the values contradicts itself */
    public function limits(): array
    {
        if ($this->machine === null) {
            return [];
        }
        $filling = new Filling($this->known, new Wanted($this->known, HouseRuleChoice::inForce()));
        $holds = Filling::receiverHolds($this->machine);
        $contradicted = $filling->conflicts($this->machine);
        $conflicts = array_map(
            fn (ChargeConflict $one): array => [Mark::Act, $one->sentence($this->units)],
            $contradicted,
        );
        $needed = WinterCurve::needed($this->machine, $this->coldest());
        $isTold = array_filter(
            $contradicted,
            static fn (ChargeConflict $one): bool => $one->kind === ConflictKind::ReceiverTooSmall,
        ) !== [];
        if ($holds !== null && $needed !== null && ! $isTold) {
            $conflicts[] = $this->pumpedDown($holds, $needed);
        }

        return $conflicts;
    }

    /**
     * @param  float  $holds  kg
     * @param  float  $needed  kg on the coldest day
     * @return array{Mark, string}
     */
    private function pumpedDown(float $holds, float $needed): array
    {
        $isKnown = $this->known->design->receiverVolume !== null;
        $holding = 'Pumped down, the receiver can hold '.$this->units->mass($holds).
            ($isKnown ? '' : ' (default size: read its volume on the nameplate)');
        $wanted = $this->units->mass($needed);

        return match (true) {
            $needed > $holds => [
                Mark::Act,
                "$holding; the coldest day needs $wanted: in summer the full charge cannot be pumped down.",
            ],
            $isKnown => [Mark::Fine, "$holding. Winter charge $wanted fits."],
            default => [Mark::Look, "$holding. Winter charge $wanted would fit."],
        };
    }

    /** @return list<array{mark: string, name: string, why: string}> the ways to it, the house's own first */
    public function schools(): array
    {
        $charge = $this->machine->charge ?? 0.0;
        $isLarge = $charge > self::SMALL || $this->known->isShared();
        $knowsReceiver = $this->known->design->receiverVolume !== null;
        $rules = HouseRuleChoice::inForce();
        $ways = [
            [Ruling::WinterComputed, 'winter_charge', true, 'calculated, weighed in above a clear sight glass'],
            [
                Ruling::WinterFilled,
                'winter_fill',
                ! $isLarge && $knowsReceiver,
                match (true) {
                    $isLarge => 'not suitable: at '.$this->units->mass($charge).
                        ' the receiver mark overcharges',
                    ! $knowsReceiver => 'not suitable: receiver volume not entered',
                    default => 'small system, known receiver: pumped down and filled to its mark',
                },
            ],
            [Ruling::WinterWeighed, 'winter_weigh', true, 'recovered and weighed where the charge is unknown'],
        ];
        $schools = [];
        foreach ($ways as [$school, $card, $fits, $why]) {
            $isOwn = $rules->follow($school);
            $schools[] = [
                'mark' => ! $fits ? '●' : ($isOwn ? '○' : '◐'),
                'name' => Cards::find($card)->name ?? $card,
                'why' => $why.($isOwn ? ' (house rule)' : ''),
            ];
        }

        return $schools;
    }
}
