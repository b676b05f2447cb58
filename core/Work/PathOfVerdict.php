<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Findings\Chapters;
use Metrum\Findings\Findings;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Log\Window;
use Metrum\Twin\Expectation;

/** How the ranking came about: the visit told again, entry by entry, as it is weighed today. */
final readonly class PathOfVerdict
{
    /** Entries that are told one by one; what came before them is told as one. */
    private const MOST = 24;

    private const SAYS_NOTHING = [FactKind::Note, FactKind::Undo];

    /** @param  \Closure(Findings): Expectation  $expected  by the twin */
    public function __construct(
        private Window $window,
        private Diagnosis $diagnosis,
        private \Closure $expected,
        private RackBeside $rack,
    ) {
    }

    /** @return non-empty-list<PathStep> */
    public function steps(): array
    {
        $facts = array_values(array_filter(
            $this->window->log->standing(),
            static fn (Fact $fact): bool => ! in_array($fact->kind, self::SAYS_NOTHING, true),
        ));
        $first = max(0, count($facts) - self::MOST);

        return array_map(
            fn (int $told): PathStep => new PathStep(
                $facts[$told - 1] ?? null,
                $this->ranking(array_slice($facts, 0, $told)),
            ),
            range($first, count($facts)),
        );
    }

    /**
     * @param  list<Fact>  $facts
     * @return array<string, float>
     */
    private function ranking(array $facts): array
    {
        $findings = Chapters::of($this->window->withLog(new Log($facts)))->present()->findings;
        $ranking = [];
        $last = $facts === [] ? null : $facts[count($facts) - 1];
        $judge = $this->diagnosis->within($this->rack->after($last));
        foreach ($judge->of($findings, 0, 0, ($this->expected)($findings))->suspects as $suspect) {
            $ranking[$suspect->fault->value] = $suspect->probability;
        }

        return $ranking;
    }
}
