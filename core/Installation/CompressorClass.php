<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/** Classes of compressors by where they may run: typical fields of data/envelopes.json, no maker's. */
enum CompressorClass: string
{
    case HermeticSmall = 'hermetic_small';
    case SemiHermeticMedium = 'semi_hermetic_medium';
    case SemiHermeticLow = 'semi_hermetic_low';
    case ScrollMedium = 'scroll_medium';
    case ScrollLow = 'scroll_low';

    /** What such a plant usually has. */
    public static function usual(Circuit $circuit): self
    {
        $isLow = $circuit->isLowTemperature();

        return match (true) {
            $circuit->cools(LoadKind::IceMachine), $circuit->cools(LoadKind::Cabinet) => self::HermeticSmall,
            $circuit->isShared() => $isLow ? self::SemiHermeticLow : self::SemiHermeticMedium,
            default => $isLow ? self::ScrollLow : self::ScrollMedium,
        };
    }

    /** @throws BrokenData */
    public function label(): string
    {
        return Knowledge::file('envelopes')->row($this->value)->text('label');
    }

    /** @throws BrokenData */
    public function envelope(): Envelope
    {
        return Knowledge::once(
            'envelope '.$this->value,
            fn (): Envelope => Envelope::of(Knowledge::file('envelopes')->row($this->value)),
        );
    }
}
