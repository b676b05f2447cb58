<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Installation\Circuit;
use Metrum\Installation\Metering;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Ruling;

/** How the end of a charge is found (Z-08): which it is depends on the plant. Each has a card. */
enum ChargingSchool: string
{
    case ByWeight = 'charge_by_weight';
    case Knee = 'charge_by_knee';
    case Receiver = 'charge_with_receiver';
    case Capillary = 'charge_capillary';

    /** The one for a plant; the workshop's rule where it fits there. */
    public static function for(Circuit $circuit, HouseRules $rules): self
    {
        $ruled = match (true) {
            $rules->follow(Ruling::ChargedByPlate) => self::ByWeight,
            $rules->follow(Ruling::ChargedToKnee), $rules->follow(Ruling::ChargedToSubcooling) => self::Knee,
            $rules->follow(Ruling::ChargedToMargin), $rules->follow(Ruling::ChargedToGlass) => self::Receiver,
            default => null,
        };
        if ($ruled !== null && $ruled->why($circuit)[0]) {
            return $ruled;
        }

        return match (true) {
            $circuit->metering === Metering::Capillary => self::Capillary,
            $circuit->hasReceiver() => self::Receiver,
            default => self::Knee,
        };
    }

    /** @return array{bool, string} whether it serves a plant, and why or why not */
    public function why(Circuit $circuit): array
    {
        $plate = $circuit->design->nameplateCharge !== null;
        $capillary = $circuit->metering === Metering::Capillary;
        $receiver = $circuit->hasReceiver();

        return match ($this) {
            self::ByWeight => $plate
                ? [true, 'the plate gives the charge: surest after the plant was emptied']
                : [false, 'the charge of the plate is not known here'],
            self::Knee => match (true) {
                $capillary => [false, 'a capillary has no knee: superheat falls on until liquid comes back'],
                $receiver => [false, 'the receiver takes up what is added, so subcooling tells nothing'],
                default => [true, 'valve-fed and without receiver: superheat stands, subcooling climbs'],
            },
            self::Receiver => $receiver
                ? [true, 'the receiver buffers: glass and level tell, and a margin belongs on top']
                : [false, 'there is no receiver'],
            self::Capillary => $capillary
                ? [true, 'a capillary is charged by weight alone: a few per cent matter']
                : [false, 'it has a valve'],
        };
    }
}
