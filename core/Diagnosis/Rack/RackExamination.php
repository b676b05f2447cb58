<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Diagnosis\Contradiction;
use Metrum\Findings\Findings;
use Metrum\Findings\PartFindings;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Installation\PartId;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Refrigerant\OutsideTable;
use Metrum\Twin\Expected;
use Metrum\Twin\Rack\GroupState;
use Metrum\Twin\Rack\RackState;
use Metrum\Twin\Rack\RackTwin;

/** What was found at a plant of several circuits, beside what its twin shows here and now. */
final readonly class RackExamination
{
    private RackViews $views;

    /**
     * @param  RackFindings  $found  without what is doubted
     * @param  list<array{PartId, Contradiction}>  $contradictions  with the part at which they were read
     * @param  ?RackState  $now  the sound plant, here and now; null where the twin does not run so
     * @param  ?Expected  $level  of the receiver, 0 … 1
     * @param  array<string, float>  $needs  Pa abs at the header that each circuit in cooling needs, lowest first
     */
    private function __construct(
        public RackFindings $found,
        public array $contradictions,
        public RackTwin $twin,
        public ?RackState $now,
        public ?Expected $level,
        public array $needs,
    ) {
        $this->views = new RackViews($found);
    }

    /** @throws OutsideTable where such a plant cannot be built with its refrigerant */
    public static function of(RackFindings $entered, ?RackTwin $twin = null): self
    {
        $checked = RackContradictions::in($entered);
        $found = $checked->freed();
        $twin ??= RackTwin::of($found);
        $store = RackTwin::store($found);
        $states = RackTwin::states($found);

        return new self(
            $found,
            $checked->all,
            $twin,
            $twin->at($store, $states),
            $twin->level($store, $states),
            $twin->needs($found),
        );
    }

    /** What all circuits share, as of one plain plant. */
    public function shared(): Findings
    {
        return $this->views->shared();
    }

    /** The same with what was found at one suction group. */
    public function group(SuctionGroup $group): Findings
    {
        return $this->views->group($group);
    }

    /** @return non-empty-list<SuctionGroup> from which any circuit draws */
    public function groups(): array
    {
        return $this->found->plant->groupsInUse();
    }

    /** How a group should stand here and now; null where the twin does not run so. */
    public function state(SuctionGroup $group): ?GroupState
    {
        return $this->now->groups[$group->part->value] ?? null;
    }

    /** @return array<string, float> Pa abs that each circuit of a group in cooling needs at its header, lowest first */
    public function needsOf(SuctionGroup $group): array
    {
        $own = array_map(
            static fn (Branch $one): string => $one->part->value,
            $this->found->plant->branchesOf($group),
        );

        return array_intersect_key($this->needs, array_flip($own));
    }

    /** One circuit with what it shares, by the case of it that stands out. */
    public function circuit(Branch $branch): Findings
    {
        return $this->views->circuit($branch);
    }

    /** The case that differs most from its set point, of which most is known. */
    public function standingOut(Branch $branch): Coil
    {
        return $this->views->standingOut($branch);
    }

    /**
     * What was said of a circuit and its cases; of several answers to a question the least usual.
     *
     * @return array{observations: array<string, Word>, tests: array<string, Word>}
     */
    public function words(Branch $branch): array
    {
        return $this->views->words($branch);
    }

    /** K; dew at the coil of a circuit, null where nobody read it. */
    public function coil(Branch $branch): ?float
    {
        return $this->dew($this->found->of($branch->part)->reading(Reading::EvaporatorPressure));
    }

    /** K; dew of a gauge pressure. */
    public function dew(?float $gauge): ?float
    {
        if ($gauge === null) {
            return null;
        }
        try {
            return $this->twin->machine->fluid()->dewTemperature($this->found->plant->atmosphere->absolute($gauge));
        } catch (OutsideTable) {
            return null;
        }
    }

    /** K; bubble of the same. */
    public function bubble(?float $gauge): ?float
    {
        if ($gauge === null) {
            return null;
        }
        try {
            return $this->twin->machine->fluid()->bubbleTemperature($this->found->plant->atmosphere->absolute($gauge));
        } catch (OutsideTable) {
            return null;
        }
    }

    /** @return array<string, PartFindings> of its cases, by part */
    public function cases(Branch $branch): array
    {
        $cases = [];
        foreach ($branch->coils as $coil) {
            $cases[$coil->part->value] = $this->found->ofCoil($branch, $coil);
        }

        return $cases;
    }

    /** @param  list<float>  $of  not empty */
    public static function median(array $of): float
    {
        sort($of);
        $middle = intdiv(count($of), 2);

        return count($of) % 2 === 1 ? $of[$middle] : ($of[$middle - 1] + $of[$middle]) / 2;
    }
}
