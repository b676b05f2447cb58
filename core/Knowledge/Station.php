<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Installation\Circuit;
use Metrum\Installation\LoadKind;

/** The stations of a visit, in the order of the work; each can be skipped or come back to. */
enum Station: string
{
    case Complaint = 'complaint';
    case Box = 'box';
    case Unit = 'unit';
    case Gauges = 'gauges';
    case Verdict = 'verdict';
    case PutRight = 'put_right';
    case Prove = 'prove';
    case Leave = 'leave';

    public function label(): string
    {
        return match ($this) {
            self::Complaint => 'Complaint',
            self::Box => 'At the box',
            self::Unit => 'At the unit',
            self::Gauges => 'Gauges & clamps',
            self::Verdict => 'Diagnosis & tests',
            self::PutRight => 'Repair & adjust',
            self::Prove => 'Verify',
            self::Leave => 'Close out',
        };
    }

    public function short(): string
    {
        return match ($this) {
            self::Box => 'Box',
            self::Unit => 'Unit',
            self::Gauges => 'Gauges',
            self::Verdict => 'Diagnosis',
            self::PutRight => 'Repair',
            self::Prove => 'Verify',
            self::Leave => 'Close',
            default => $this->label(),
        };
    }

    /** The same at such a plant: an ice machine has no box. */
    public function labelAt(Circuit $circuit): string
    {
        return $this === self::Box && $circuit->cools(LoadKind::IceMachine) ? 'Ice & water' : $this->label();
    }

    public function shortAt(Circuit $circuit): string
    {
        return $this === self::Box && $circuit->cools(LoadKind::IceMachine) ? 'Ice' : $this->short();
    }

    public function next(): ?self
    {
        return self::cases()[(int) array_search($this, self::cases(), true) + 1] ?? null;
    }

    /** @return list<Reading> its cells, in the order in which refrigerant passes them */
    public function readings(): array
    {
        return $this->inOrder(Reading::cases());
    }

    /** @return list<Observation> */
    public function observations(): array
    {
        return $this->inOrder(Observation::cases());
    }

    /** @return list<Test> */
    public function tests(): array
    {
        return $this->inOrder(Test::cases());
    }

    /** @return list<Reading> seldom needed, without a station of their own: folded away at the gauges */
    public function moreReadings(): array
    {
        return $this !== self::Gauges
            ? []
            : array_values(
                array_filter(
                    Reading::cases(),
                    static fn (Reading $one): bool => $one->taking()->stations === [],
                ),
            );
    }

    /** Where a thing is first asked. */
    public static function of(Asked $key): self
    {
        $first = array_key_first($key->taking()->stations);

        return $first === null ? self::Gauges : self::from($first);
    }

    /**
     * @template T of Asked
     *
     * @param  list<T>  $all
     * @return list<T>
     */
    private function inOrder(array $all): array
    {
        $places = [];
        foreach ($all as $i => $one) {
            $place = $one->taking()->stations[$this->value] ?? null;
            if ($place !== null) {
                $places[$i] = $place;
            }
        }
        asort($places);

        return array_map(static fn (int $i): Asked => $all[$i], array_keys($places));
    }
}
