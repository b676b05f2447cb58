<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\HeadPressureControl;
use Metrum\Knowledge\Reading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;

/** Hot gas comes into a receiver by a flooding valve: without a seal of liquid it goes on with the liquid. */
final readonly class ReceiverSeal
{
    /** K above condensing from which it is no clamp's width any more. */
    private const ABOVE = 2.0;

    public function __construct(private Findings $findings, private Figures $figures)
    {
    }

    public static function mayBeLost(Circuit $circuit): bool
    {
        return $circuit->hasReceiver() && $circuit->headPressureControl === HeadPressureControl::FloodingValve;
    }

    /** What leaves the receiver is hotter than condensing: no clamp's fault, but a finding. */
    public function contradiction(): ?Contradiction
    {
        $pipe = $this->findings->reading(Reading::ReceiverOutletTemperature);
        $dew = $this->figures->value(DerivedFigure::CondensingDew);
        $mayBe = self::mayBeLost($this->findings->circuit);
        if ($pipe === null || $dew === null || $pipe <= $dew + self::ABOVE || ! $mayBe) {
            return null;
        }

        return new Contradiction(
            Sentence::of(Reason::NoSeal, by: Magnitude::difference($pipe - $dew)),
            [Reading::ReceiverOutletTemperature, Reading::DischargePressure],
            doubts: false,
        );
    }
}
