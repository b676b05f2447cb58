<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\Findings;
use Metrum\Installation\Metering;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Quantity\Celsius;

/** What would change at a plant, before it is done: worked on its twin with the leading fault in it. */
final class WhatIf
{
    /** K of a hot afternoon to ask about. */
    public const HOT = Celsius::ZERO + 38.0;

    /** Turns of the valve worth asking about. */
    private const TURN = 0.5;

    /** kg worth asking about, and the share of the charge that they should come to. */
    private const AMOUNTS = [5.0, 2.0, 1.0, 0.5, 0.2, 0.1, 0.05];

    private const LEAST_AMOUNT = 0.02;

    private const CHARGE_SHARE = 0.1;

    private const NEARLY = 0.7;

    public readonly ?Fault $fault;

    /** @var ?array{float, PlantState} severity at which the twin reads most like the plant, and its state there */
    private ?array $closest = null;

    /**
     * @param  ?Fault  $leading  the fault that leads; null where none does. One that the loop cannot show is left out.
     */
    public function __construct(
        private readonly Twin $twin,
        public readonly Surroundings $around,
        private readonly Findings $findings,
        private readonly HouseRules $rules,
        ?Fault $leading,
    ) {
        $shows = $leading !== null && Ailment::of($leading)->showsAt($twin->machine);
        $this->fault = $shows ? $leading : null;
    }

    /** @return list<TwinQuestion> */
    public function questions(): array
    {
        $machine = $this->twin->machine;
        $valve = $machine->feed->kind === Metering::Txv;

        return [
            ...$this->fault === null ? [] : [TwinQuestion::Mended],
            ...$valve ? [TwinQuestion::TurnIn, TwinQuestion::TurnOut] : [],
            TwinQuestion::More,
            TwinQuestion::Less,
            ...Surroundings::hottest($machine->fluid) < self::HOT ? [] : [TwinQuestion::Hot],
        ];
    }

    /** How marked the leading fault is, 0 … 1, by what was read. */
    public function severity(): float
    {
        return $this->closest()[0];
    }

    public function now(): PlantState
    {
        return $this->closest()[1];
    }

    /** The plant as it stands: with what leads in it. */
    public function machine(): Machine
    {
        return $this->fault === null
            ? $this->twin->machine
            : Disorder::in($this->twin->machine, $this->fault, $this->severity());
    }

    public function after(TwinQuestion $question): PlantState
    {
        $sick = $question === TwinQuestion::Mended ? $this->twin->machine : $this->machine();
        $scenario = new Scenario(
            $sick,
            $question === TwinQuestion::Hot ? self::HOT : $this->around->ambient,
            $this->around->box,
            valveTurns: match ($question) {
                TwinQuestion::TurnIn => self::TURN,
                TwinQuestion::TurnOut => -self::TURN,
                TwinQuestion::Mended, TwinQuestion::More, TwinQuestion::Less, TwinQuestion::Hot => 0.0,
            },
            added: match ($question) {
                TwinQuestion::More => $this->amount(),
                TwinQuestion::Less => -$this->amount(),
                TwinQuestion::Mended, TwinQuestion::TurnIn, TwinQuestion::TurnOut, TwinQuestion::Hot => 0.0,
            },
        );

        return (new SteadyState($scenario->machine(), $scenario->surroundings()))->find($this->now()->solution);
    }

    /** kg worth asking about: about a tenth of the charge, round. */
    public function amount(): float
    {
        $wanted = self::CHARGE_SHARE * $this->twin->machine->charge;
        foreach (self::AMOUNTS as $round) {
            if ($wanted >= self::NEARLY * $round) {
                return $round;
            }
        }

        return self::LEAST_AMOUNT;
    }

    /** @return array{float, PlantState} */
    private function closest(): array
    {
        return $this->closest ??=
            $this->fault === null
                ? [0.0, $this->twin->at($this->around)]
                : (new Likeness($this->twin, $this->around, $this->findings, $this->rules))->closest(
                    $this->fault,
                );
    }
}
