<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Metrum\Learning\SingleLooks;
use PHPUnit\Framework\TestCase;

/** What each answer says alone was looked through by a person: what says something else now is looked at again. */
final class SingleLooksTest extends TestCase
{
    public function test_each_look_says_what_was_looked_through(): void
    {
        $kept = (string) file_get_contents(dirname(__DIR__, 3).'/docs/single-looks.md');
        self::assertSame($kept, SingleLooks::page(), 'bench/looks > docs/single-looks.md, and look at the difference');
    }
}
