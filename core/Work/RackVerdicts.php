<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackJudge;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\RackFindings;
use Metrum\Refrigerant\OutsideTable;

/** What is held of plants of several circuits: each is judged once, however many pages and circuits ask for it. */
final class RackVerdicts
{
    /** @var array<string, ?RackVerdict> by what was found */
    private array $judged = [];

    public function __construct(private readonly RackJudge $judge = new RackJudge())
    {
    }

    /** Null where no twin of such a plant can be built. */
    public function of(RackFindings $found): ?RackVerdict
    {
        $key = hash('xxh128', serialize([$found->plant, $found->names, $found->shared, $found->parts]));
        if (! array_key_exists($key, $this->judged)) {
            $this->judged[$key] = $this->worked($found);
        }

        return $this->judged[$key];
    }

    private function worked(RackFindings $found): ?RackVerdict
    {
        try {
            return $this->judge->of(RackExamination::of($found));
        } catch (OutsideTable) {
            return null;
        }
    }
}
