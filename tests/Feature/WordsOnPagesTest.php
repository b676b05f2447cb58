<?php

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Cylinder;
use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Metrum\Card\Cards;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Station;
use Tests\TestCase;
use Tests\Wording\BannedWords;
use Tests\Wording\Texts;

/** What the demo town shows is said in plain words, and its buttons are short. */
final class WordsOnPagesTest extends TestCase
{
    use RefreshDatabase;

    private const LONGEST_BUTTON = 24;

    /** @return iterable<string> addresses of the town's pages */
    private static function addresses(): iterable
    {
        yield from ['/', '/sites', '/sites/create', '/refrigerant', '/refrigerant/import', '/cylinders/create'];
        yield from ['/handbook', '/settings', '/people', '/import', '/bench/superheat', '/bench/saturation'];
        yield '/plants/walk_in_freezer?fault=undercharge';
        foreach (Fault::cases() as $fault) {
            yield "/handbook/$fault->value";
        }
        foreach (Site::query()->limit(2)->get() as $site) {
            yield from ["/sites/$site->id", "/sites/$site->id/edit"];
        }
        foreach (Circuit::query()->limit(4)->get() as $circuit) {
            foreach (['', '/edit', '/ledger', '/winter', '/tag', '/plant'] as $page) {
                yield "/circuits/$circuit->id$page";
            }
        }
        foreach (Cylinder::query()->limit(1)->get() as $cylinder) {
            yield "/cylinders/$cylinder->id";
        }
        $visits = Visit::query()->latest('opened_at')->limit(6)->get();
        foreach ($visits as $visit) {
            foreach ([...array_column(Station::cases(), 'value'), 'why', 'report'] as $page) {
                yield "/visits/$visit->id/$page";
            }
        }
        foreach (Cards::all() as $card) {
            yield '/visits/'.$visits->first()?->id.'/'.$card->station->value.'?card='.$card->key;
        }
    }

    public function test_no_page_says_what_another_word_says_better(): void
    {
        $this->seed(DemoSeeder::class);
        $this->actingAs(User::query()->firstOrFail());
        $wrong = [];
        $long = [];
        $opened = 0;
        foreach (self::addresses() as $address) {
            $page = $this->get($address);
            if ($page->getStatusCode() !== 200) {
                continue;
            }
            $opened++;
            $html = (string) $page->getContent();
            foreach (Texts::shown($html) as $text) {
                foreach (BannedWords::of($text) as $word) {
                    $wrong[$word] ??= "$address: $word";
                }
            }
            foreach (self::buttons($html) as $button) {
                $long[$button] = $address;
            }
        }
        self::assertSame([], array_values($wrong));
        self::assertSame([], $long, 'buttons of more than '.self::LONGEST_BUTTON.' letters');
        self::assertGreaterThan(150, $opened, 'they all open');
    }

    /** @return list<string> that are too long; a tick, a choice and a proposal say whole sentences */
    private static function buttons(string $html): array
    {
        preg_match_all('~<(button|a)\b[^>]*class="[^"]*\bbtn\b[^"]*"[^>]*>(.*?)</\1>~s', $html, $found);
        $texts = array_map(
            static fn (string $one): string => trim(
                (string) preg_replace('~\s+~', ' ', html_entity_decode(strip_tags($one))),
            ),
            $found[2],
        );

        return array_values(array_filter(
            $texts,
            static fn (string $one): bool => mb_strlen($one) > self::LONGEST_BUTTON,
        ));
    }
}
