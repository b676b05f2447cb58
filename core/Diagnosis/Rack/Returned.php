<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Findings\Closing;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Twin\Rack\BranchState;
use Metrum\Twin\Rack\RackTwin;

/** What a circuit that was closed and pumped empty gave back to the receiver, beside what it should hold. */
final readonly class Returned
{
    /** How closely a level is read, as a share of the receiver. */
    private const READ = 0.04;

    /** Deviations from which it is no error of reading. */
    private const BEYOND = 2.5;

    /** @param  float  $expected  by which the level should rise, as a share of the receiver */
    private function __construct(public Closing $closing, public float $expected)
    {
    }

    /** Null where it was opened again, or where the twin does not run so. */
    public static function of(Closing $closing, RackExamination $examined): ?self
    {
        $states = RackTwin::states($examined->found);
        foreach ($examined->found->plant->branches as $branch) {
            $part = $branch->part->value;
            if ($examined->found->of($branch->part)->saw(Observation::CircuitShut, Word::ByUs)) {
                unset($states[$part]);
            }
            if (in_array($part, $closing->closed, true)) {
                $states[$part] = BranchState::Drained;
            }
        }
        unset($states[$closing->circuit->value]);
        $store = RackTwin::store($examined->found);
        $before = $examined->twin->at($store, $states);
        $after = $examined->twin->at($store, [...$states, $closing->circuit->value => BranchState::Drained]);

        return ! $closing->closes || $before === null || $after === null
            ? null
            : new self($closing, $after->level - $before->level);
    }

    /** More than it should hold had collected in it. */
    public function isTooMuch(): bool
    {
        return $this->closing->rise() !== null && $this->closing->rise() - $this->expected > self::error();
    }

    private static function error(): float
    {
        return self::BEYOND * sqrt(2) * self::READ;
    }
}
