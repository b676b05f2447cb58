<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Installation\Circuit;
use Metrum\Installation\DesignKey;
use Metrum\Work\Assessment;

/** How surely the size of a plant is known, and what would tell it. */
final readonly class PlantSize
{
    /** Deviation of a plant's size against its twin's (logarithm): by what is known of it. */
    private const SIZE_BY_PLATE = 0.06;

    private const SIZE_BY_CURRENT = 0.25;

    private const SIZE_BY_RECEIVER = 0.35;

    private const SIZE_BY_KIND = 0.45;

    /** The same for lines of which nobody knows the length; a plate counts them in. */
    private const LINES_UNKNOWN = 0.1;

    public function __construct(private Circuit $circuit)
    {
    }

    public static function of(Assessment $assessment): self
    {
        return new self($assessment->present()->chapter->findings->circuit);
    }

    /** Deviation of its size (logarithm). */
    public function unknown(): float
    {
        $design = $this->circuit->design;
        if ($design->nameplateCharge !== null) {
            return self::SIZE_BY_PLATE;
        }
        $plant = match (true) {
            $design->ratedCurrent !== null => self::SIZE_BY_CURRENT,
            $design->receiverVolume !== null => self::SIZE_BY_RECEIVER,
            default => self::SIZE_BY_KIND,
        };

        return hypot($plant, $design->liquidLineVolume() === null ? self::LINES_UNKNOWN : 0.0);
    }

    /** @return list<DesignKey> that would tell how large it is, as long as nothing tells it */
    public function asked(): array
    {
        $circuit = $this->circuit;
        $receiver = $circuit->hasReceiver() ? [DesignKey::ReceiverVolume] : [];
        $telling = [DesignKey::NameplateCharge, DesignKey::RatedCurrent, ...$receiver];
        foreach ($telling as $key) {
            if ($circuit->design->value($key) !== null) {
                return [];
            }
        }

        return [...$telling, DesignKey::LiquidLineLength];
    }
}
