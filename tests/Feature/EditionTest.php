<?php

namespace Tests\Feature;

use App\Records\Edition;
use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A verdict is known to be of other files than these: nothing that was edited is answered from what was kept. */
final class EditionTest extends TestCase
{
    private const ROOMS = [
        'core/Quantity',
        'core/Refrigerant',
        'core/Data',
        'core/Installation',
        'core/Knowledge',
        'core/Findings',
        'core/Twin',
        'core/Bench',
        'core/Card',
        'core/Log',
        'core/Diagnosis',
        'core/Language',
        'core/Work',
        'data/refrigerants',
        'data',
    ];

    private string $project;

    protected function setUp(): void
    {
        $this->project = sys_get_temp_dir().'/metrum-'.bin2hex(random_bytes(6));
        foreach (self::ROOMS as $room) {
            @mkdir("$this->project/$room", 0o777, true);
            file_put_contents("$this->project/$room/one.json", '{"a": 1}');
        }
        $this->edition(false)->write(new Filesystem());
    }

    protected function tearDown(): void
    {
        (new Filesystem())->deleteDirectory($this->project);
    }

    private function edition(bool $isEdited): Edition
    {
        return new Edition($this->project, $this->project.'/kept', $isEdited);
    }

    private function edit(string $room): void
    {
        file_put_contents("$this->project/$room/one.json", '{"a": 2}');
        touch("$this->project/$room/one.json", time() + 60);
        clearstatcache();
    }

    /** @return iterable<string, array{string}> */
    public static function rooms(): iterable
    {
        foreach (self::ROOMS as $room) {
            yield $room => [$room];
        }
    }

    #[DataProvider('rooms')]
    public function test_a_verdict_is_of_all_that_it_rests_on_and_an_edit_is_seen_at_once(string $room): void
    {
        $before = $this->edition(true)->verdicts();
        $this->edit($room);
        self::assertNotSame($before, $this->edition(true)->verdicts());
    }

    public function test_what_a_verdict_rests_on_and_the_twin_does_not_leaves_the_twin(): void
    {
        $before = $this->edition(true)->twin();
        $this->edit('core/Work');
        self::assertSame($before, $this->edition(true)->twin());
        $this->edit('core/Twin');
        self::assertNotSame($before, $this->edition(true)->twin());
    }

    public function test_in_production_what_was_prepared_is_read(): void
    {
        $before = $this->edition(false)->verdicts();
        $this->edit('core/Work');
        self::assertSame($before, $this->edition(false)->verdicts());
    }
}
