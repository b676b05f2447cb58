<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use PHPUnit\Framework\TestCase;

/** What putting a fault right opens with stands in the fault's own file. */
final class RemedyTest extends TestCase
{
    public function test_the_expansion_valve_is_turned_for_what_is_wrong_with_it_alone(): void
    {
        $turned = [];
        foreach (Fault::cases() as $fault) {
            if (FaultCatalogue::entry($fault)->remedy->move === Control::ValveTurn) {
                $turned[] = $fault;
            }
        }
        self::assertSame([Fault::ValveUnderfeeding, Fault::ValveOverfeeding], $turned);
    }

    public function test_each_has_a_move_or_a_card_but_where_nothing_is_turned_or_worked(): void
    {
        $none = [];
        foreach (Fault::cases() as $fault) {
            $remedy = FaultCatalogue::entry($fault)->remedy;
            self::assertFalse($remedy->move !== null && $remedy->card !== '', $fault->value);
            if ($remedy->move === null && $remedy->card === '') {
                $none[] = $fault->value;
            }
        }
        self::assertEqualsCanonicalizing(
            [
                Fault::NoFault->value,
                Fault::SuctionLineWarm->value,
                Fault::OilReturnPoor->value,
                Fault::CompressorOut->value,
                Fault::SuctionSetWrong->value,
            ],
            $none,
        );
    }

    public function test_ice_is_thawed_a_drain_cleared_and_a_shortage_charged(): void
    {
        $remedy = static fn (Fault $fault): string => FaultCatalogue::entry($fault)->remedy->move->value
            ?? FaultCatalogue::entry($fault)->remedy->card;
        self::assertSame('thaw', $remedy(Fault::EvaporatorIced));
        self::assertSame('drain_frozen', $remedy(Fault::DrainBlocked));
        self::assertSame('charge', $remedy(Fault::Undercharge));
    }
}
