<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\Contradiction;
use Metrum\Diagnosis\Contradictions;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;

/**
 * What cannot be true together at a rack: a coil below its header, air that leaves a case warmer than it enters. It is
 * asked again, and is no evidence until then.
 */
final readonly class RackContradictions
{
    /**
     * @param  list<array{PartId, Contradiction}>  $all  with the part at which they were read
     * @param  array<string, list<Reading>>  $doubted  by part
     */
    private function __construct(private RackFindings $found, public array $all, private array $doubted)
    {
    }

    public static function in(RackFindings $found): self
    {
        $views = new RackViews($found);
        $all = $doubted = [];
        $plant = PartId::plant();
        $known = [];
        foreach (self::of($views->shared()) as $one) {
            $known[self::name($one)] = true;
            $all[] = [$plant, $one];
            $doubted[$plant->value] = [...$doubted[$plant->value] ?? [], ...self::doubts($one)];
        }
        foreach ($found->plant->hasSeveralGroups() ? $found->plant->groups : [] as $group) {
            foreach (self::of($views->group($group)) as $one) {
                if (! isset($known[self::name($one)])) {
                    $known[self::name($one)] = true;
                    $all[] = [$group->part, $one];
                    $name = $group->part->value;
                    $doubted[$name] = [...$doubted[$name] ?? [], ...self::doubts($one)];
                }
            }
        }
        foreach ($found->plant->branches as $branch) {
            foreach (self::of($views->circuit($branch)) as $one) {
                // A circuit that stands still says nothing of a head that the others keep up.
                if (isset($known[self::name($one)]) || self::isShared($one)) {
                    continue;
                }
                $all[] = [$branch->part, $one];
                // What all share agrees with the other circuits: it is what was read here that is doubted.
                foreach ([$branch->part, $views->standingOut($branch)->part] as $part) {
                    $doubted[$part->value] = [...$doubted[$part->value] ?? [], ...self::doubts($one)];
                }
            }
        }

        return new self($found, $all, $doubted);
    }

    /** @return list<Contradiction> */
    private static function of(Findings $findings): array
    {
        $rules = new HouseRules();

        return Contradictions::in($findings, $rules, Figures::of($findings, $rules));
    }

    /** Whether it is about what all circuits share alone. */
    private static function isShared(Contradiction $one): bool
    {
        foreach ($one->repeat as $asked) {
            if (! $asked->taking()->isShared) {
                return false;
            }
        }

        return true;
    }

    private static function name(Contradiction $one): string
    {
        return serialize($one->what);
    }

    /** @return list<Reading> */
    private static function doubts(Contradiction $one): array
    {
        return ! $one->doubts
            ? []
            : array_values(array_filter($one->repeat, static fn ($key): bool => $key instanceof Reading));
    }

    /** What was found, without what is doubted. */
    public function freed(): RackFindings
    {
        if ($this->doubted === []) {
            return $this->found;
        }
        $parts = $this->found->parts;
        foreach (array_intersect_key($this->doubted, $parts) as $part => $readings) {
            $parts[$part] = $parts[$part]->without($readings);
        }
        $shared = $this->found->shared->without($this->doubted[PartId::plant()->value] ?? []);

        return $this->found->finding($shared, $parts);
    }
}
