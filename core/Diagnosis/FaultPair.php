<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;

/**
 * Whether two faults at once explain what was found where one alone does badly (J-12).
 *
 * The plant is taken with the leading fault in it, as it would be once that is confirmed: where a second fault then
 * stands out although the first explains what it can, both are named.
 */
final readonly class FaultPair
{
    /** Probability of the first from which it is worth asking. */
    private const FIRST = 0.7;

    /** Probability of the second, with the first in the plant, from which it is named. */
    private const SECOND = 0.8;

    /** Readings from which what one fault leaves over can be trusted to be more than noise. */
    private const READINGS = 7;

    public function __construct(private Curves $curves, private HouseRules $rules)
    {
    }

    /** @return ?array{Fault, Fault} null where one fault does, or nothing stands out */
    public function of(Examination $examined, Weighing $weighing): ?array
    {
        $faults = $weighing->byFault();
        $first = Fault::from((string) array_key_first($faults));
        if (
            $examined->findings->confirmed !== [] ||
            count($examined->findings->readings) < self::READINGS ||
            $first === Fault::NoFault ||
            $faults[$first->value] < self::FIRST
        ) {
            return null;
        }
        $with = $examined->withConfirmed($first);
        $rest = new Weighing(
            $this->curves,
            $with,
            ConfirmedFaults::supposed($with, $first, $this->curves, $this->rules),
        );
        $left = $rest->byFault();
        $second = Fault::from((string) array_key_first($left));

        return $second === Fault::NoFault || $left[$second->value] < self::SECOND ? null : [$first, $second];
    }
}
