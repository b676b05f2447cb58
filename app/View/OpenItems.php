<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Knowledge\Hazard;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Leaks\LeakWork;
use Metrum\Work\Movements;

/** What stays open when a visit ends: in words for the owner. The technician's list stands at leaving. */
final readonly class OpenItems
{
    /** K off the set point that are not where they should be. */
    private const OFF = 1.0;

    public function __construct(private JudgedVisit $judged, private Units $units)
    {
    }

    /** @return list<string> */
    public function forTheOwner(): array
    {
        $leaving = $this->judged->desk->leaving();
        $leak = new LeakWork($this->judged->assessment);
        $early = Movements::beforeTheLeakWasFound($this->judged->log) !== [];

        return array_values(array_filter([
            ...array_map(
                static fn (Hazard $one): string => 'Danger: '.lcfirst($one->label()).', not made safe yet.',
                $leaving->hazards(),
            ),
            ...array_map(
                static fn (array $one): string => 'Not put back yet: '.str_replace('_', ' ', $one[0]).
                    PartAddress::behind($one[1]).'.',
                $leaving->touched(),
            ),
            $early && ! $leak->isMended()
                ? 'The refrigerant that was added will leak out again until the leak is found and mended.'
                : '',
            ! $early && $leak->isOpen() ? 'The leak is not mended yet.' : '',
            $leaving->fans->ofCoil ? 'Not all fans of the cooling coil run.' : '',
            $leaving->fans->ofCondenser ? 'Not all fans of the condenser run.' : '',
            $this->boxOff(),
            ...array_map(
                static fn (array $one): string => 'Begun and not finished: '.lcfirst($one[0]->name).'.',
                $this->judged->desk->cards()->open(),
            ),
        ]));
    }

    private function boxOff(): string
    {
        $findings = $this->judged->present();
        $box = $findings->reading(Reading::BoxTemperature);
        $set = $findings->circuit->design->boxSetPoint;
        if ($box === null || $set === null || abs($box - $set) <= self::OFF) {
            return '';
        }
        $off = $this->units->text(abs($box - $set), QuantityKind::Difference);

        return $box > $set
            ? "The box is still $off warmer than set."
            : "The box is still $off colder than set.";
    }
}
