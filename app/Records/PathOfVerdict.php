<?php

namespace App\Records;

use App\Models\Visit;
use Metrum\Diagnosis\Diagnosis;
use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Twin\Twins;

/** How the ranking came about: the visit told again, entry by entry, as it is weighed today. */
final readonly class PathOfVerdict
{
    /** Entries that are told one by one; what came before them is told as one. */
    private const MOST = 24;

    private const SAYS_NOTHING = [FactKind::Note, FactKind::Undo];

    public function __construct(private Twins $twins, private Folds $folds)
    {
    }

    /** @return non-empty-list<PathStep> */
    public function of(Visit $visit): array
    {
        $facts = array_values(
            array_filter(
                $visit->log()->standing(),
                static fn (Fact $fact): bool => ! in_array($fact->kind, self::SAYS_NOTHING, true),
            ),
        );
        $rules = $visit->rules();
        $diagnosis = new Diagnosis($rules, $this->twins);
        $good = $this->folds->good($visit->circuit, $visit);
        $first = max(0, count($facts) - self::MOST);

        return array_map(
            fn (int $told): PathStep => new PathStep(
                $facts[$told - 1] ?? null,
                $this->ranking(
                    $diagnosis,
                    self::findings($visit, array_slice($facts, 0, $told)),
                    $rules,
                    $good,
                ),
            ),
            range($first, count($facts)),
        );
    }

    /** @param  list<Fact>  $facts */
    private static function findings(Visit $visit, array $facts): Findings
    {
        return Chapters::of($visit->window()->withLog(new Log($facts)))->present()->findings;
    }

    /**
     * @param  list<Findings>  $good
     * @return array<string, float>
     */
    private function ranking(Diagnosis $diagnosis, Findings $findings, HouseRules $rules, array $good): array
    {
        $expectation = $this->twins->expectation($findings, $rules, $good);
        $ranking = [];
        foreach ($diagnosis->of($findings, 0, 0, $expectation)->suspects as $suspect) {
            $ranking[$suspect->fault->value] = $suspect->probability;
        }

        return $ranking;
    }
}
