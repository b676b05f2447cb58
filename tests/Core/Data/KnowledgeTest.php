<?php

declare(strict_types=1);

namespace Tests\Core\Data;

use Illuminate\Filesystem\Filesystem;
use Metrum\Card\Cards;
use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Reading;
use PHPUnit\Framework\TestCase;

/** What the trade knows is read from one folder; another can be put in its place, and nothing keeps the first. */
final class KnowledgeTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/knowledge-'.bin2hex(random_bytes(4));
        (new Filesystem())->copyDirectory(dirname(__DIR__, 3).'/data', $this->folder);
    }

    protected function tearDown(): void
    {
        Knowledge::use(null);
        (new Filesystem())->deleteDirectory($this->folder);
    }

    public function test_another_folder_speaks_at_once_wherever_it_is_asked(): void
    {
        $before = [Fault::Undercharge->label(), Reading::BoxTemperature->label(), count(Cards::all())];
        $prior = FaultCatalogue::entry(Fault::Undercharge)->prior;
        $this->edit('faults/undercharge', '"name": "', '"name": "Another ');
        $this->edit('faults/undercharge', '"prior": ', '"prior": 1');
        $this->edit('readings', '"label": "Box air', '"label": "Another box air');
        unlink($this->folder.'/cards/receiver_level.json');
        Knowledge::use(new Knowledge($this->folder));

        self::assertStringStartsWith('Another ', Fault::Undercharge->label());
        self::assertGreaterThan($prior, FaultCatalogue::entry(Fault::Undercharge)->prior);
        self::assertStringStartsWith('Another box air', Reading::BoxTemperature->label());
        self::assertCount($before[2] - 1, Cards::all());
        self::assertNull(Cards::find('receiver_level'));

        Knowledge::use(null);
        $after = [Fault::Undercharge->label(), Reading::BoxTemperature->label(), count(Cards::all())];
        self::assertSame($before, $after, 'and the first one again');
        self::assertSame($prior, FaultCatalogue::entry(Fault::Undercharge)->prior);
    }

    public function test_what_is_missing_is_named(): void
    {
        unlink($this->folder.'/faults/undercharge.json');
        Knowledge::use(new Knowledge($this->folder));

        $this->expectException(BrokenData::class);
        $this->expectExceptionMessage('data/faults/undercharge.json: the file is missing');
        Fault::Undercharge->label();
    }

    public function test_it_is_read_once(): void
    {
        Knowledge::use(new Knowledge($this->folder));
        $first = HouseRule::SuperheatMedium->row();
        unlink($this->folder.'/house-rules.json');

        self::assertSame($first, HouseRule::SuperheatMedium->row());
    }

    private function edit(string $file, string $from, string $to): void
    {
        $path = $this->folder.'/'.$file.'.json';
        $text = (string) file_get_contents($path);
        self::assertStringContainsString($from, $text);
        $place = (int) strpos($text, $from);
        file_put_contents($path, substr_replace($text, $to, $place, strlen($from)));
    }
}
