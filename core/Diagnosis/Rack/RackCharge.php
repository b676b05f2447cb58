<?php

declare(strict_types=1);

namespace Metrum\Diagnosis\Rack;

use Metrum\Findings\RackFindings;
use Metrum\Knowledge\Reading;
use Metrum\Twin\Expected;
use Metrum\Twin\Filling;
use Metrum\Twin\Rack\RackTwin;
use Metrum\Twin\Rack\Store;

/**
 * What a plant of several circuits has of refrigerant: by the level of its receiver beside what the twin of the whole
 * plant shows here and now. One circuit says nothing of it. SI.
 */
final readonly class RackCharge
{
    /** How closely a level is read, as a share of the receiver. */
    public const READ = 0.04;

    /** Below this nothing can be read at a receiver, 0 … 1. */
    public const EMPTY = 0.01;

    /** Deviations from which a level is no error of reading. */
    private const BEYOND = 2.0;

    /** Level that must be left on the coldest day: the outlet stays covered. */
    private const LEFT = 0.1;

    /** Share of what is missing that goes in at once, at most, and of the receiver where nothing can be read. */
    private const AT_ONCE = 0.5;

    private const UNREAD = 0.1;

    /** kg in which a cylinder is dosed. */
    private const STEP = 0.5;

    private function __construct(
        private RackExamination $examined,
        public Expected $expected,
        public ?float $level,
    ) {
    }

    /**
     * Null where nothing tells what the level should be.
     *
     * @param  ?RackFindings  $now  what is read now, where that is less than what was examined
     */
    public static function of(RackExamination $examined, ?RackFindings $now = null): ?self
    {
        return $examined->level === null
            ? null
            : new self(
                $examined,
                $examined->level,
                ($now ?? $examined->found)->shared->reading(Reading::ReceiverLevel),
            );
    }

    /** kg of liquid that fill the receiver, less the gas in its place. */
    public function whole(): float
    {
        $machine = $this->examined->twin->machine;
        $fluid = $machine->fluid();
        $condensing = $this->examined->now->condensing ?? $machine->high->design->condensing;
        $gas = $fluid->vapourDensity($fluid->dewTemperature($condensing));

        return $machine->high->receiverVolume * ($fluid->liquidDensity($fluid->bubbleTemperature($condensing)) - $gas);
    }

    /** kg to what should be in, below 0 too much; null where the level was not read. */
    public function missing(): ?float
    {
        return $this->level === null ? null : ($this->expected->value - $this->level) * $this->whole();
    }

    /** Of what is missing, kg. */
    public function deviation(): float
    {
        return hypot($this->expected->deviation, self::READ) * $this->whole();
    }

    /** Whether more is missing than can be read: an empty receiver says no more than that. */
    public function isAtLeast(): bool
    {
        return $this->level !== null && $this->level < self::EMPTY;
    }

    /** Whether what is missing is beyond doubt. */
    public function isShort(): bool
    {
        return $this->missing() !== null && $this->missing() > self::BEYOND * $this->deviation();
    }

    /** Whether what is too much is beyond doubt. */
    public function isOver(): bool
    {
        return $this->missing() !== null && -$this->missing() > self::BEYOND * $this->deviation();
    }

    /** kg that fit in until the receiver stands as full as it may; null where its level was not read. */
    public function room(): ?float
    {
        return $this->level === null ? null : max(0.0, Filling::FULLEST - $this->level) * $this->whole();
    }

    /**
     * kg to add next: never more than is surely missing, half of it at most, and where the receiver is empty a tenth of
     * its content; null where nothing is missing beyond doubt.
     */
    public function next(): ?float
    {
        if (! $this->isShort()) {
            return null;
        }
        $sure = max(0.0, (float) $this->missing() - $this->deviation());
        $most = $this->isAtLeast() ? self::UNREAD * $this->whole() : self::AT_ONCE * $sure;
        $next = floor(min($most, $sure, (float) $this->room()) / self::STEP) * self::STEP;

        return $next > 0.0 ? $next : self::STEP;
    }

    /** Level once so many kg went in, 0 … 1; null where an empty or unread receiver tells nothing of it. */
    public function levelWith(float $added): ?float
    {
        return $this->level === null || $this->isAtLeast()
            ? null
            : min(1.0, $this->level + $added / $this->whole());
    }

    /** kg in all of the plant, by the twin; null where the level was not read, or nothing can be read in it. */
    public function inPlant(): ?float
    {
        $missing = $this->missing();

        return $missing === null || $this->isAtLeast()
            ? null
            : max(0.0, $this->examined->twin->machine->charge - $missing);
    }

    /** kg that the receiver takes at most, pumped down on a warm day, and what the plant holds as planned. */
    public function pumpedDown(): RackPumpDown
    {
        $machine = $this->examined->twin->machine;
        $heavy = $machine->fluid()->liquidDensity(Filling::REFERENCE);

        return new RackPumpDown(
            Filling::FULLEST * $machine->high->receiverVolume * $heavy,
            $machine->charge,
        );
    }

    /** K of the coldest day by which the winter charge is told. */
    public function coldest(): float
    {
        return $this->examined->found->plant->highSide->coldestAmbient ?? Filling::USUAL_COLDEST;
    }

    /**
     * Level on the coldest day with all circuits cooling and the heat reclaim in use, with what is in now; null where
     * today's level was not read, or the twin does not run then.
     */
    public function coldestLevel(): ?float
    {
        $store = RackTwin::store($this->examined->found);
        $cold = new Store($this->coldest(), $store->air, $this->examined->twin->machine->reclaimVolume > 0.0);
        $then = $this->examined->twin->at($cold);

        return $then === null || $this->level === null ? null : $then->level - ($this->expected->value - $this->level);
    }

    /** The same once what is missing today went in. */
    public function coldestFilled(): ?float
    {
        $level = $this->coldestLevel();

        return $level === null ? null : $level + max(0.0, (float) $this->missing()) / $this->whole();
    }

    /** Whether liquid stands over the outlet of the receiver at that level. */
    public static function covers(float $level): bool
    {
        return $level >= self::LEFT;
    }

    /** kg to add for the coldest day beside what is missing today; 0 where nothing is; null where nothing tells. */
    public function winter(): ?float
    {
        $filled = $this->coldestFilled();

        return $filled === null ? null : max(0.0, self::LEFT - $filled) * $this->whole();
    }
}
