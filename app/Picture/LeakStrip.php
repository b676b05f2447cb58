<?php

namespace App\Picture;

use Metrum\Knowledge\Band;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Ledger;

/** What a system lost in the twelve months before each loss and before today, as a strip of the record of a circuit. */
final readonly class LeakStrip
{
    /** Limits that it is high at least. */
    private const LEAST = 1.2;

    /**
     * @param  Ledger  $ledger  of which something is known to have leaked
     * @param  Band  $limit  share of the charge a year: check from, limit
     */
    private function __construct(private Ledger $ledger, private Band $limit, private float $now)
    {
    }

    /** Null where nothing is known to have leaked, or nobody knows of how much. */
    public static function of(Ledger $ledger, Band $limit, float $now): ?self
    {
        $isKnown = $ledger->full !== null && $ledger->full > 0.0 && $ledger->losses() !== [];

        return $isKnown ? new self($ledger, $limit, $now) : null;
    }

    /** s since 1970 of the first loss. */
    public function begins(): float
    {
        return (float) $this->ledger->losses()[0][0]->getTimestamp();
    }

    public function strip(float $top, Axis $time, Units $units): HistoryStrip
    {
        $full = (float) $this->ledger->full;
        $limit = $this->limit->high * $full;
        $amounts = $this->amounts();
        $high = max(self::LEAST * $limit, ...array_column($amounts, 1));
        $level = Axis::of(HistoryPicture::BOTTOM, HistoryPicture::TOP, 0.0, $high)->held();
        $dots = [];
        foreach ($amounts as [$at, $kilograms]) {
            $said = date('j M Y', (int) $at).': '.$units->mass($kilograms).' in 12 months';
            $dots[] = [round($time->at($at), 1), round($level->at($kilograms), 1), $kilograms >= $limit, $said];
        }

        return new HistoryStrip(
            $top,
            'Leaked, 12 months',
            [HistoryPicture::BOTTOM, 0.0],
            [round($level->at($limit), 1)],
            [HistoryPicture::MIDDLE, $units->mass($limit)],
            $dots,
            [],
            '',
        );
    }

    /** @return non-empty-list<array{float, float}> s since 1970, and kg lost in the twelve months before */
    private function amounts(): array
    {
        $amounts = [];
        foreach ($this->ledger->losses() as [$at]) {
            $amounts[] = [(float) $at->getTimestamp(), $this->before($at)];
        }
        $now = new \DateTimeImmutable('@'.(int) $this->now);

        return [...$amounts, [$this->now, $this->before($now)]];
    }

    private function before(\DateTimeInterface $at): float
    {
        return ($this->ledger->rolling($at) ?? 0.0) * (float) $this->ledger->full;
    }
}
