<?php

namespace App\View;

use Metrum\Circuit\Fault;
use Metrum\Circuit\Metering;
use Metrum\Plant\Disorder;
use Metrum\Plant\PlantState;
use Metrum\Plant\Scenario;
use Metrum\Plant\SteadyState;
use Metrum\Plant\Surroundings;
use Metrum\Plant\Twin;
use Metrum\Quantity\Kind;

/** What would change at the plant of a visit, before it is done: worked on the twin with the leading fault in it. */
final readonly class WhatIf
{
    /** K of a hot afternoon to ask about. */
    private const HOT = 311.15;

    public Twin $twin;

    public Surroundings $around;

    public ?Fault $fault;

    public float $severity;

    public PlantState $now;

    public function __construct(private VisitPage $page)
    {
        $this->twin = $page->expectation->twin;
        $this->around = $page->expectation->around;
        $first = $page->verdict->first();
        $carried =
            ! $page->verdict->blank &&
            $first->probability >= 0.35 &&
            Disorder::showsInLoop($first->fault, $this->twin->machine);
        $this->fault = $carried ? $first->fault : null;
        [$this->severity, $this->now] = $carried
            ? $this->twin->closest($page->findings, $first->fault, $this->around, $page->visit->rules())
            : [0.0, $this->twin->at($this->around)];
    }

    /** @return array<string, string> word => words of what can be asked */
    public function questions(): array
    {
        $valve = $this->twin->machine->feed->kind === Metering::Txv;
        $amount = $this->page->units->text($this->amount(), Kind::Mass);

        return array_filter(
            [
                'mended' => $this->fault === null ? null : 'All put right',
                'turn_in' => $valve ? 'Half a turn in' : null,
                'turn_out' => $valve ? 'Half a turn out' : null,
                'more' => $amount.' more',
                'less' => $amount.' less',
                'hot' => Surroundings::hottest($this->twin->machine->fluid) < self::HOT
                        ? null
                        : 'Ambient '.$this->page->units->text(self::HOT, Kind::Temperature),
            ],
            static fn (?string $words): bool => $words !== null,
        );
    }

    /** @return list<array{name: string, before: string, now: string, arrow: string}> only what moves */
    public function changes(string $question): array
    {
        $all = Changes::between(
            $this->page->findings->circuit,
            $this->page->visit->rules(),
            $this->now,
            $this->after($question),
            $this->page->units,
        );

        return array_values(array_filter($all, static fn (array $row): bool => $row['arrow'] !== ''));
    }

    /** What the figures stand on. */
    public function ground(): string
    {
        return $this->fault === null
            ? 'Worked on the twin of this plant, sound, at this box and ambient.'
            : 'Worked on the twin of this plant with the leading fault in it, as marked as the readings say, at this box and ambient.';
    }

    /** @return array<string, string> for the plant bench's address */
    public function bench(): array
    {
        return array_filter([
            'ambient' => $this->page->units->number($this->around->ambient, Kind::Temperature),
            'box' => $this->page->units->number($this->around->box, Kind::Temperature),
            'fault' => $this->fault?->value,
            'severity' => $this->fault === null ? null : (string) (int) max(20, 20 * round(5 * $this->severity)),
        ]);
    }

    private function after(string $question): PlantState
    {
        $machine =
            $this->fault === null || $question === 'mended'
                ? $this->twin->machine
                : Disorder::in($this->twin->machine, $this->fault, $this->severity);
        $scenario = new Scenario(
            $this->page->findings->circuit,
            $question === 'hot' ? self::HOT : $this->around->ambient,
            $this->around->box,
            valveTurns: ['turn_in' => 0.5, 'turn_out' => -0.5][$question] ?? 0.0,
            added: ['more' => $this->amount(), 'less' => -$this->amount()][$question] ?? 0.0,
        );

        return (new SteadyState($scenario->of($machine), $scenario->surroundings($machine)))->find(
            $this->now->solution,
        );
    }

    /** kg worth asking about: about a tenth of the charge, round. */
    private function amount(): float
    {
        $tenth = $this->twin->machine->charge / 10;
        foreach ([5.0, 2.0, 1.0, 0.5, 0.2, 0.1, 0.05] as $round) {
            if ($tenth >= 0.7 * $round) {
                return $round;
            }
        }

        return 0.02;
    }
}
