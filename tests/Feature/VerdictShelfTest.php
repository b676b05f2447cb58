<?php

namespace Tests\Feature;

use App\Models\Visit;
use App\Records\Judge;
use App\Records\VerdictShelf;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Tests\TestCase;

/** The last verdict of an open visit is kept between requests, and given again where nothing behind it changed. */
final class VerdictShelfTest extends TestCase
{
    private Visit $visit;

    private int $weighed = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->visit = $this->starved();
        Cache::flush();
    }

    public function test_the_same_is_weighed_once(): void
    {
        $first = $this->ask();
        self::assertEquals($first, $this->ask());
        self::assertSame(1, $this->weighed);
    }

    public function test_a_verdict_is_the_same_once_it_was_kept(): void
    {
        $this->read($this->visit, ['discharge_temperature_c' => '82', 'suction_temperature_compressor_c' => '9']);
        $verdict = $this->judged($this->visit)->verdict;
        $kept = unserialize(serialize($verdict));
        self::assertInstanceOf(Verdict::class, $kept);
        self::assertEquals($verdict, $kept);
        self::assertEquals($verdict->figures->all(), $kept->figures->all());
        self::assertEquals($verdict->figures->unknown(), $kept->figures->unknown());
    }

    public function test_whatever_it_follows_from_brings_another(): void
    {
        $this->ask();
        $this->ask($this->visit->findings()->withReadings(['ambient_temperature_c' => 304.15]));
        self::assertSame(2, $this->weighed, 'a reading');
        $this->ask(rules: new HouseRules(['discharge_limit' => [90.0, 100.0]]));
        self::assertSame(3, $this->weighed, 'a house rule');
        $this->ask(good: [$this->visit->findings()]);
        self::assertSame(4, $this->weighed, 'what ran well');
    }

    public function test_the_page_after_an_entry_says_what_the_entry_made_of_it(): void
    {
        $this->freezeTime();
        $page = fn (): string => (string) $this->actingAs($this->technician)
            ->get("/visits/{$this->visit->id}/verdict")
            ->assertOk()
            ->getContent();
        $bare = static fn (string $of): string => preg_replace('/[0-9A-HJKMNP-TV-Z]{26}|nonce="[^"]*"/', '', $of) ?? '';
        $before = $page();
        self::assertSame($bare($before), $bare($page()));
        $this->enter($this->visit, 'observation', 'sight_glass', 'clear')->assertOk();
        $after = $page();
        self::assertNotSame($bare($before), $bare($after));
        Cache::flush();
        self::assertSame($bare($page()), $bare($after), 'as it is weighed anew');
    }

    public function test_a_closed_visit_keeps_none(): void
    {
        $this->visit->update(['closed_at' => now()]);
        $this->ask();
        $this->ask();
        self::assertSame(2, $this->weighed);
    }

    public function test_what_cannot_be_read_back_or_kept_is_weighed_anew(): void
    {
        $this->ask();
        $this->mock(Repository::class, function ($cache): void {
            $cache->shouldReceive('get')->andReturn('something else', ['as it was', 'torn'], null);
            $cache->shouldReceive('put')->andThrow(new \ErrorException('No space left on device'));
        });
        foreach (range(1, 3) as $ignored) {
            $this->ask();
        }
        self::assertSame(4, $this->weighed);
    }

    /** @param  list<Findings>  $good */
    private function ask(?Findings $findings = null, ?HouseRules $rules = null, array $good = []): Verdict
    {
        $weigh = function (): Verdict {
            $this->weighed++;

            return app(Judge::class)->of($this->visit, 0)->verdict;
        };

        return app(VerdictShelf::class)->of(
            $this->visit,
            [$findings ?? $this->visit->findings(), $rules ?? $this->visit->rules(), $good],
            $weigh,
        );
    }
}
