<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Models\Visit;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** An answer replaces parts of the page it was asked from: each has its place there, and none grown stale is left. */
#[Group('figures')]
final class SwapsTest extends TestCase
{
    private const LARGE = ['verdict', 'walk', 'log', 'course-box', 'figures', 'stage'];

    private const STATIONS = ['complaint', 'box', 'unit', 'gauges', 'verdict', 'leave'];

    /** Kind, key and value of an entry, by what it is. */
    private const ENTRIES = [
        'a reading' => ['reading', 'box_temperature_c', '6.1'],
        'an answer' => ['observation', 'sight_glass', 'bubbles'],
        'an answer that stops the compressor' => ['observation', 'compressor', 'off_on_low_pressure'],
        'a state' => ['state', 'state', 'running_settled'],
        'a complaint' => ['complaint', 'too_warm', 'yes'],
        'a fault proven' => ['confirmed', 'undercharge', 'yes'],
        'a line' => ['line', 'line', 'suction 2.1 bar, glass bubbles, key at the kiosk'],
    ];

    /** @return iterable<string, array{string, string}> */
    public static function entries(): iterable
    {
        foreach (self::STATIONS as $station) {
            foreach (array_keys(self::ENTRIES) as $what) {
                yield "$what at $station" => [$station, $what];
            }
        }
    }

    #[DataProvider('entries')]
    public function test_each_part_of_an_answer_has_its_place_on_the_page(string $station, string $what): void
    {
        $visit = $this->partlyRead();
        $page = (string) $this->get("/visits/{$visit->id}/$station")
            ->assertOk()
            ->getContent();
        [$kind, $key, $value] = self::ENTRIES[$what];
        $answer = (string) $this->enter($visit, $kind, $key, $value, ['stage' => $station])->getContent();

        $places = self::ids($page);
        $parts = self::replaced($answer);
        self::assertSame([], array_diff($parts, $places), 'parts without a place');
        self::assertSame($parts, array_unique($parts), 'parts sent twice');
        self::assertContains('log', $parts, 'the log follows what was kept');
        if ($kind === 'reading') {
            self::assertContains('verdict', $parts);
            self::assertSame($station === 'leave', ! in_array('course-box', $parts, true));
        }
        $again = (string) $this->get("/visits/{$visit->id}/$station")->getContent();
        self::assertSame(
            [],
            self::differing($page, $again, $parts),
            'parts that grew stale and were not replaced',
        );
    }

    #[DataProvider('stations')]
    public function test_an_undo_replaces_the_control_that_it_takes_back(string $station): void
    {
        $visit = $this->partlyRead();
        $page = (string) $this->get("/visits/{$visit->id}/$station")->getContent();
        $fact = FactRecord::query()->where('key', 'box_temperature_c')->sole();
        $answer = (string) $this->post(
            "/visits/{$visit->id}/entries/{$fact->id}/undo",
            ['id' => (string) Str::ulid(), 'stage' => $station],
            self::OUTBOX,
        )
            ->assertOk()
            ->getContent();

        $parts = self::replaced($answer);
        self::assertContains('log', $parts);
        self::assertContains('verdict', $parts);
        self::assertSame([], array_diff($parts, self::ids($page)));
        $again = (string) $this->get("/visits/{$visit->id}/$station")->getContent();
        self::assertSame([], self::differing($page, $again, $parts));
    }

    /** @return iterable<string, array{string}> */
    public static function stations(): iterable
    {
        foreach (self::STATIONS as $station) {
            yield $station => [$station];
        }
    }

    private function partlyRead(): Visit
    {
        $visit = $this->visit();
        $this->read($visit, ['box_temperature_c' => '3', 'ambient_temperature_c' => '25']);

        return $visit;
    }

    /** @return list<string> ids on a page */
    private static function ids(string $html): array
    {
        preg_match_all('/\sid="([^"]+)"/', $html, $found);
        self::assertGreaterThan(10, count($found[1]));

        return array_values(array_unique($found[1]));
    }

    /** @return list<string> ids of the parts of an answer */
    private static function replaced(string $html): array
    {
        preg_match_all('/<\w+[^>]*?\sid="([^"]+)"[^>]*\sdata-part/s', $html, $found);

        return $found[1];
    }

    /**
     * Parts of the page that say something else than before, without being replaced themselves or within what was.
     *
     * @param  list<string>  $replaced
     * @return list<string>
     */
    private static function differing(string $before, string $after, array $replaced): array
    {
        $one = self::parts($before);
        $other = self::parts($after);
        $differing = [];
        foreach (self::LARGE as $id) {
            if (
                isset($one[$id], $other[$id]) &&
                // A stage whose parts are sent one by one is held by them.
                ($id !== 'stage' || ! in_array('figures', $replaced, true)) &&
                $one[$id] !== $other[$id] &&
                ! in_array($id, $replaced, true)
            ) {
                $differing[] = $id;
            }
        }

        return $differing;
    }

    /** @return array<string, string> text of the large parts of a page */
    private static function parts(string $html): array
    {
        $page = new \DOMDocument();
        @$page->loadHTML('<?xml encoding="utf-8"?>'.$html);
        $parts = [];
        foreach (self::LARGE as $id) {
            $part = $page->getElementById($id);
            if ($part !== null) {
                $parts[$id] = (string) preg_replace('/\s+/u', ' ', $part->textContent);
            }
        }

        return $parts;
    }
}
