<?php

declare(strict_types=1);

namespace Metrum\Work\Site;

use Metrum\Knowledge\SiteLimit;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\TimeSaid;
use Metrum\Log\Log;

/** What limits the work at a site, as it was said: times of today, and what cannot be reached or stopped. */
final readonly class SiteTime
{
    /**
     * @param  array<string, float>  $until  s from now, by SiteLimit; nothing where it was not said
     * @param  array<string, true>  $shut  what cannot be, by SiteLimit
     */
    private function __construct(public array $until, private array $shut)
    {
    }

    /** @param  Log  $log  of the visit, of a rack the whole one */
    public static function of(Log $log, \DateTimeImmutable $now): self
    {
        $until = $shut = [];
        foreach ($log->standing(FactKind::Site) as $fact) {
            if (SiteLimit::tryFrom($fact->content->key) === null) {
                continue;
            }
            $at = TimeSaid::kept($fact->content)?->nearest($fact->takenAt);
            if ($at !== null) {
                // What is over has come: it is dark, they are open.
                $until[$fact->content->key] = max(0.0, (float) ($at->getTimestamp() - $now->getTimestamp()));
            } else {
                $shut[$fact->content->key] = true;
            }
        }

        return new self($until, $shut);
    }

    /** Whether anything was said. */
    public function isKnown(): bool
    {
        return $this->until !== [] || $this->shut !== [];
    }

    /** s from now; null where nobody said. */
    public function until(SiteLimit $limit): ?float
    {
        return $this->until[$limit->value] ?? null;
    }

    public function isShut(SiteLimit $limit): bool
    {
        return isset($this->shut[$limit->value]);
    }
}
