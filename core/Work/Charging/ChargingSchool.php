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
                ? [true, 'nameplate charge known: most reliable on an empty system']
                : [false, 'nameplate charge not entered'],
            self::Knee => match (true) {
                $capillary => [false, 'capillary: no knee; superheat falls until liquid returns'],
                $receiver => [false, 'receiver stores what is added, so subcooling does not show it'],
                default => [true, 'expansion valve, no receiver: superheat levels off, subcooling climbs'],
            },
            self::Receiver => $receiver
                ? [true, 'receiver: charge to clear sight glass and level, plus a margin']
                : [false, 'no receiver'],
            self::Capillary => $capillary
                ? [true, 'capillary: charge by weight only, a few percent matter']
                : [false, 'not a capillary system'],
        };
    }
}
