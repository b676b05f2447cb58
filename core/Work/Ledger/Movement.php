<?php

declare(strict_types=1);

namespace Metrum\Work\Ledger;

use Metrum\Knowledge\ChargePurpose;
use Metrum\Log\Content;
use Metrum\Log\Kinds\WeighedAmount;

/** Refrigerant that went into a plant or out of it: how much, when, what for, out of or into which cylinder. */
final readonly class Movement
{
    /**
     * @param  string  $id  of the fact
     * @param  float  $kilograms  into the plant; below 0: out of it
     * @param  ?float  $before  kg of the cylinder, gross
     * @param  ?float  $after  the same
     * @param  string  $where  site and circuit, in words
     * @param  string  $circuit  id
     * @param  string  $visit  id; empty where it was at none
     */
    public function __construct(
        public string $id,
        public \DateTimeImmutable $at,
        public float $kilograms,
        public ChargePurpose $purpose,
        public string $cylinder = '',
        public ?float $before = null,
        public ?float $after = null,
        public string $who = '',
        public string $where = '',
        public string $refrigerant = '',
        public string $circuit = '',
        public string $visit = '',
    ) {
    }

    public static function of(
        string $id,
        \DateTimeImmutable $at,
        Content $move,
        string $who,
        string $where,
        string $refrigerant,
        string $circuit = '',
        string $visit = '',
    ): self {
        $weighed = WeighedAmount::in($move);
        $kilograms = $move->value ?? 0.0;

        return new self(
            $id,
            $at,
            $kilograms,
            $weighed->purpose ?? ($kilograms < 0.0 ? ChargePurpose::Correction : ChargePurpose::Leak),
            $weighed->cylinder,
            $weighed->before,
            $weighed->after,
            $who,
            $where,
            $refrigerant,
            $circuit,
            $visit,
        );
    }

    /** What it was part of: portions of one visit, or of one day, are one. */
    public function occasion(): string
    {
        return $this->visit === '' ? $this->at->format('Y-m-d') : $this->visit;
    }

    public function isIn(): bool
    {
        return $this->kilograms > 0.0;
    }
}
