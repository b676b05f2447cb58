<?php

namespace App\Records;

use App\Models\FactRecord;
use App\Models\Visit;

/**
 * When something was entered, and as the how-manieth of its device. Order counts before clocks: what a device made
 * later never stands before what it made earlier, whatever was done to its clock meanwhile.
 */
final readonly class Making
{
    /**
     * @param  ?string  $device  null where it does not say
     * @param  ?int  $count  of all that this device made, from 1
     */
    public function __construct(
        public \DateTimeImmutable $at,
        public ?string $device = null,
        public ?int $count = null,
    ) {
    }

    /** The same, held between what its device made before it and after it at this visit. */
    public function inOrder(Visit $visit): self
    {
        if ($this->device === null || $this->count === null) {
            return $this;
        }
        $own = FactRecord::query()->toBase()->where('occasion_id', $visit->id)->where('device', $this->device);
        $before = (clone $own)->where('made', '<', $this->count)->max('taken_at');
        $after = (clone $own)->where('made', '>', $this->count)->min('taken_at');
        $at = $this->at;
        if (is_string($after)) {
            $at = min($at, new \DateTimeImmutable($after, $at->getTimezone()));
        }
        if (is_string($before)) {
            $at = max($at, new \DateTimeImmutable($before, $at->getTimezone()));
        }

        return new self($at, $this->device, $this->count);
    }
}
