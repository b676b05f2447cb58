<?php

declare(strict_types=1);

namespace Metrum\Learning\Rack;

use Metrum\Findings\PartFindings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Installation;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\State;
use Metrum\Twin\Dice;
use Metrum\Twin\Rack\RackIll;
use Metrum\Twin\Rack\Store;

/** A visit to a rack as somebody enters it: the circuit complained of well, some neighbours partly, the rest hardly. */
final readonly class RackVisit
{
    /** Share of circuits whose state is told, of visits whose complaint is known. */
    private const STATE_TOLD = 0.93;

    /** How much is read of a circuit: one well, a few partly, the others hardly. */
    private const WELL = 0.75;

    private const PARTLY = 0.4;

    private const HARDLY = 0.05;

    private const NEIGHBOURS = 3;

    /** Share of visits at which what is wrong is where people look already; at the others its air alone tells. */
    private const LOOKED_AT = 0.7;

    /** @param  array<string, State>  $states  by part */
    public function __construct(
        private Dice $dice,
        private Installation $plant,
        private Store $store,
        private array $states,
    ) {
    }

    public function to(RackSick $sick): RackPatient
    {
        [$now, $ill] = [$sick->now, $sick->ofCircuit()];
        $dice = $this->dice;
        $known = (new RackKnown($dice))->of($this->plant);
        $shared = new SharedEntries($dice, $this->plant, $this->store);
        $circuits = new CircuitEntries($dice, $this->store);
        $often = $this->attention($ill);
        $parts = $shared->compressors($sick);
        foreach ($known->branches as $branch) {
            $part = $branch->part->value;
            $isShut = $ill->fault === Fault::LiquidSolenoidShut && $ill->isOf($branch->part);
            $state = $this->states[$part];
            $told = $dice->chance(self::STATE_TOLD) ? $state : null;
            $parts = [
                ...$parts,
                ...$circuits->of(
                    new CircuitVisit($branch, $this->plant, $now, $ill, $state, $told, $often[$part], $isShut),
                ),
            ];
        }
        $findings = new RackFindings(
            $known,
            $shared->of($sick),
            array_filter($parts, static fn (PartFindings $one): bool => ! $one->isEmpty() || $one->state !== null),
        );

        return new RackPatient(
            $findings,
            $sick->ill->circuit === null ? $sick->ill->fault : Fault::NoFault,
            $ill,
            array_keys(array_filter($often, static fn (float $one): bool => $one >= self::WELL)),
        );
    }

    /** @return array<string, float> how much is read of each circuit, by part */
    private function attention(RackIll $ill): array
    {
        $dice = $this->dice;
        $often = [];
        $cooling = [];
        foreach ($this->plant->branches as $branch) {
            $often[$branch->part->value] = self::HARDLY;
            if (RackPatients::isCooling($this->states[$branch->part->value])) {
                $cooling[] = $branch->part->value;
            }
        }
        $ofIll = $ill->circuit->value ?? $dice->one($cooling);
        $well = $dice->chance(self::LOOKED_AT) ? $ofIll : $dice->one($cooling);
        $often[$well] = self::WELL;
        for ($i = 0; $i < self::NEIGHBOURS; $i++) {
            $part = $dice->one($this->plant->branches)->part->value;
            $often[$part] = max($often[$part], self::PARTLY);
        }

        return $often;
    }
}
