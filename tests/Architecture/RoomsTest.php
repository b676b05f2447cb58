<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The arrows of the house: a room knows only those below it, and the core nothing of the framework. */
final class RoomsTest
{
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

    /** @return iterable<string, Rule> */
    public function test_a_room_knows_only_those_below(): iterable
    {
        foreach (Rooms::all() as $room) {
            if (Rooms::forbidden($room) !== []) {
                yield $room => PHPat::rule()
                    ->classes(Selector::inNamespace($room))
                    ->shouldNotDependOn()
                    ->classes(...self::namespaces(Rooms::forbidden($room)))
                    ->because('arrows point down: '.implode(' < ', Rooms::all()));
            }
        }
    }

    public function test_what_is_kept_and_drawn_knows_no_request(): Rule
    {
        return PHPat::rule()
            ->classes(...self::namespaces(['App\Models', 'App\Records', 'App\Picture']))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Illuminate\Http'))
            ->because('what is kept and drawn does not depend on how it was asked for');
    }

    /**
     * @param  list<string>  $names
     * @return list<SelectorInterface>
     */
    private static function namespaces(array $names): array
    {
        return array_map(static fn (string $name): SelectorInterface => Selector::inNamespace($name), $names);
    }
}
