<?php

declare(strict_types=1);

namespace Tests\Core\Data;

use Metrum\Data\Prepared;
use Metrum\Quantity\Atmosphere;
use PHPUnit\Framework\TestCase;

/** What is made of files is made once where there is a folder for it, and each time where there is none. */
final class PreparedTest extends TestCase
{
    private string $folder;

    private int $made = 0;

    private Prepared $prepared;

    protected function setUp(): void
    {
        $this->prepared = new Prepared();
        $this->folder = sys_get_temp_dir().'/prepared-'.bin2hex(random_bytes(4));
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        is_dir($this->folder) && rmdir($this->folder);
    }

    private function asked(mixed $thing): mixed
    {
        return $this->prepared->of('thing', function () use ($thing): mixed {
            $this->made++;

            return $thing;
        });
    }

    public function test_without_a_folder_it_is_made_each_time(): void
    {
        $this->asked([1.5]);
        $this->asked([1.5]);

        self::assertSame(2, $this->made);
    }

    public function test_with_a_folder_it_is_made_once_and_comes_back_the_same(): void
    {
        $this->prepared = new Prepared(fn (): string => $this->folder);
        $table = ['rows' => [0.1 + 0.2, -INF, 1e-300], 'name' => "it's"];

        self::assertSame($table, $this->asked($table));
        self::assertSame($table, $this->asked('another'));
        self::assertSame(1, $this->made);
    }

    public function test_objects_come_back_too(): void
    {
        $this->prepared = new Prepared(fn (): string => $this->folder);
        $this->asked(['sea' => Atmosphere::atAltitude(0.0)]);

        self::assertEquals(['sea' => Atmosphere::atAltitude(0.0)], $this->asked('another'));
    }

    public function test_where_nothing_can_be_written_all_goes_on(): void
    {
        file_put_contents($this->folder, 'a file in its place');
        $this->prepared = new Prepared(fn (): string => $this->folder.'/below');
        self::assertSame([7], $this->asked([7]));
        unlink($this->folder);
    }

    public function test_the_folder_is_asked_for_only_when_something_is_wanted(): void
    {
        $asked = 0;
        $this->prepared = new Prepared(function () use (&$asked): string {
            $asked++;

            return $this->folder;
        });
        self::assertSame(0, $asked);
        $this->asked(1);
        self::assertSame(1, $asked);
    }
}
