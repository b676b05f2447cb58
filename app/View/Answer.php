<?php

namespace App\View;

use App\Models\User;
use App\Records\Judged;
use Metrum\Circuit\Station;
use Metrum\Log\Fact;
use Metrum\Log\Part;

/** The answer to one entry: its control as it now stands, and each part of the page that it made stale. */
final readonly class Answer
{
    /**
     * @param  ?Control  $used  that was used, and is answered in place; null where none was
     * @param  list<Control>  $touched  other controls of the page that changed with it
     * @param  list<Part>  $stale
     * @param  list<string>  $except  keys whose hints are within their cells already
     */
    private function __construct(
        public VisitPage $page,
        public ?Control $used,
        public ?string $refusal,
        public array $touched,
        private array $stale,
        private array $except,
    ) {
    }

    /** @param  list<Fact>  $facts */
    public static function kept(Judged $judged, Station $station, User $user, Control $used, array $facts): self
    {
        $page = new VisitPage($judged, $station, $user);
        $touched = $used->isLine() ? self::controls($page, ...$facts) : [];
        $keys = array_map(static fn (Fact $fact): string => $fact->content->key, $facts);

        return new self($page, $used, null, $touched, self::stale(...$facts), $keys);
    }

    public static function refused(
        Judged $judged,
        Station $station,
        User $user,
        Control $used,
        string $refusal,
    ): self {
        return new self(new VisitPage($judged, $station, $user), $used, $refusal, [], [], []);
    }

    public static function undone(Judged $judged, Station $station, User $user, Fact $fact): self
    {
        $page = new VisitPage($judged, $station, $user);

        return new self($page, null, null, self::controls($page, $fact), self::stale($fact), [
            $fact->content->key,
        ]);
    }

    public function isStale(Part $part): bool
    {
        return in_array($part, $this->stale, true);
    }

    /** The log always gained a line, unless nothing was kept. */
    public function isLogStale(): bool
    {
        return $this->refusal === null;
    }

    public function isCourseStale(): bool
    {
        return $this->isStale(Part::Course) && $this->page->station !== Station::Leave;
    }

    /** @return list<Cell> whose hints are put to their place */
    public function hinted(): array
    {
        if (! $this->isStale(Part::Hints)) {
            return [];
        }

        return array_values(
            array_filter(
                [...$this->page->cells(), ...$this->page->moreCells()],
                fn (Cell $cell): bool => ! in_array($cell->reading->value, $this->except, true),
            ),
        );
    }

    /** @return list<Control> of facts that stand on the page */
    private static function controls(VisitPage $page, Fact ...$facts): array
    {
        $controls = [];
        foreach ($facts as $fact) {
            if ($page->shows($fact->kind, $fact->content->key)) {
                $controls[] = new Control($fact->kind, $fact->content->key);
            }
        }

        return $controls;
    }

    /** @return list<Part> */
    private static function stale(Fact ...$facts): array
    {
        $stale = [];
        foreach ($facts as $fact) {
            array_push($stale, ...$fact->rule()->stale($fact->content));
        }

        return $stale;
    }
}
