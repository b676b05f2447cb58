<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * The arrows of the house: a room of the core knows only the rooms below it, and nothing of the framework or the
 * application.
 */
final class RoomsTest
{
    /** From the ground up. */
    private const ROOMS = ['Quantity', 'Refrigerant', 'Circuit', 'Findings', 'Plant', 'Diagnosis', 'Exchange'];

    public function test_core_knows_no_framework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Metrum'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App'),
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Symfony'),
                Selector::inNamespace('Database'),
            )
            ->because('the core is plain PHP and tested on its own');
    }

    public function test_quantity_knows_only_itself(): Rule
    {
        return $this->knowsNothingAbove('Quantity');
    }

    public function test_refrigerant_knows_only_quantity(): Rule
    {
        return $this->knowsNothingAbove('Refrigerant');
    }

    public function test_circuit_knows_only_what_is_below(): Rule
    {
        return $this->knowsNothingAbove('Circuit');
    }

    public function test_findings_know_only_what_is_below(): Rule
    {
        return $this->knowsNothingAbove('Findings');
    }

    public function test_plant_knows_only_what_is_below(): Rule
    {
        return $this->knowsNothingAbove('Plant');
    }

    public function test_diagnosis_knows_no_exchange(): Rule
    {
        return $this->knowsNothingAbove('Diagnosis');
    }

    public function test_models_know_no_http(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::inNamespace('App\Models'),
                Selector::inNamespace('App\Records'),
                Selector::inNamespace('App\Picture'),
            )
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('Illuminate\Http'))
            ->because('what is kept and drawn does not depend on how it was asked for');
    }

    private function knowsNothingAbove(string $room): Rule
    {
        $place = (int) array_search($room, self::ROOMS, true);
        $above = array_map(
            static fn (string $name): SelectorInterface => Selector::inNamespace('Metrum\\'.$name),
            array_slice(self::ROOMS, $place + 1),
        );

        return PHPat::rule()
            ->classes(Selector::inNamespace('Metrum\\'.$room))
            ->shouldNotDependOn()
            ->classes(...$above)
            ->because('arrows point down: '.implode(' < ', self::ROOMS));
    }
}
