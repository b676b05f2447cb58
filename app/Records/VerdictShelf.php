<?php

namespace App\Records;

use App\Models\Visit;
use Illuminate\Contracts\Cache\Repository;
use Metrum\Diagnosis\Verdict;

/**
 * Keeps the last verdict of an open visit between requests: one station opened after another weighs nothing anew.
 *
 * It is known by all that it follows from, so that no word need be said to it when something changes.
 */
final readonly class VerdictShelf
{
    /** Hours of a visit in which nothing is told; longer than a night. */
    private const HOURS = 20;

    public function __construct(private Repository $cache, private Edition $edition)
    {
    }

    /**
     * @param  list<mixed>  $follows  all that it follows from: what was found, the rules, by what its twin is drawn
     * @param  \Closure(): Verdict  $weigh  where it is another one than the last
     */
    public function of(Visit $visit, array $follows, \Closure $weigh): Verdict
    {
        $follows = hash('xxh128', serialize([$this->edition->verdicts(), ...$follows]));
        $kept = $this->kept($visit, $follows);
        if ($kept !== null) {
            return $kept;
        }
        $verdict = $weigh();
        if ($visit->isOpen()) {
            $this->put($visit, [$follows, serialize($verdict)]);
        } else {
            $this->cache->forget(self::name($visit));
        }

        return $verdict;
    }

    private function kept(Visit $visit, string $follows): ?Verdict
    {
        $kept = $this->cache->get(self::name($visit));
        // After an entry it is another one: then it is not brought back to life.
        if (! is_array($kept) || $kept[0] !== $follows) {
            return null;
        }
        $verdict = @unserialize($kept[1]);

        return $verdict instanceof Verdict ? $verdict : null;
    }

    /** @param  array{string, string}  $kept */
    private function put(Visit $visit, array $kept): void
    {
        try {
            $this->cache->put(self::name($visit), $kept, now()->addHours(self::HOURS));
        } catch (\ErrorException) {
            // A full or read-only disk: it is weighed again the next time.
        }
    }

    private static function name(Visit $visit): string
    {
        return 'verdict '.$visit->getRouteKey();
    }
}
