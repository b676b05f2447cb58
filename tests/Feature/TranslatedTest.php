<?php

namespace Tests\Feature;

use App\Models\Site;
use App\Models\User;
use App\Models\Visit;
use App\View\OnPicture;
use App\View\Translated;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\App;
use Illuminate\Support\Facades\Blade;
use Metrum\Data\Knowledge;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Texts go through translation files; an owner reads the report in the language of the site. */
final class TranslatedTest extends TestCase
{
    use RefreshDatabase;

    /** @return iterable<string, array{string, string}> a view, and how it reads where every text is marked */
    public static function views(): iterable
    {
        yield 'a text between tags' => ['<p>Go on</p>', '<p>[Go on]</p>'];
        yield 'space stays around it' => ["<p>\n  Go\n  on </p>", "<p>\n  [Go on] </p>"];
        yield 'what is put in stays' => ['<b>{{ $name }}</b> is here', '<b>Ylva</b> [is here]'];
        yield 'an attribute that is read' => [
            '<a title="To do" href="to do">x</a>',
            '<a title="[To do]" href="to do">x</a>',
        ];
        yield 'an arrow within a tag' => [
            '<a @if ($page->open) class="on" @endif>Yes</a>',
            '<a  class="on" >[Yes]</a>',
        ];
        yield 'both sides of a choice' => ['@if ($page->open)Open @else Closed @endif', '[Open] '];
        yield 'nothing to read' => [
            '<b>·</b> 12 <style>p { color: red }</style>',
            '<b>·</b> 12 <style>p { color: red }</style>',
        ];
        yield 'an apostrophe' => ["<p>the owner's part</p>", "<p>[the owner's part]</p>"];
    }

    #[DataProvider('views')]
    public function test_a_text_is_asked_of_the_translation_files(string $view, string $shown): void
    {
        $texts = ['Go on', 'is here', 'To do', 'Yes', 'Open', 'Closed', "the owner's part"];
        foreach ($texts as $text) {
            App::make('translator')->addLines(["*.$text" => "[$text]"], 'xx');
        }
        App::setLocale('xx');
        $page = (object) ['open' => true];

        self::assertSame($shown, Blade::render($view, ['name' => 'Ylva', 'page' => $page]));
    }

    public function test_in_english_a_view_says_what_stands_in_it(): void
    {
        self::assertSame('<p>Go on</p>', Blade::render('<p>Go on</p>'));
        self::assertSame('<p>{{ $a }}</p>', Translated::of('<p>{{ $a }}</p>'));
    }

    public function test_number_and_gender_are_chosen(): void
    {
        $moves = static fn (int $count): string => Sentence::of(
            WorkReason::MovesCounted,
            count: Magnitude::count((float) $count),
        )->in(new Units());
        self::assertSame('1 change', $moves(1));
        self::assertSame('2 changes', $moves(2));

        $room = static fn (string $room): string => Sentence::of(Reason::BoxUnknown, room: $room)
            ->in((new Units())->speaking('de'));
        $later = ' wurde nach der Arbeit noch nicht gemessen.';
        self::assertSame('Die Temperatur der Eismaschine'.$later, $room('ice machine'));
        self::assertSame('Die Temperatur des Kühlraums'.$later, $room('cooler'));
    }

    public function test_an_owner_reads_the_report_in_the_language_of_the_site(): void
    {
        $this->seed(DemoSeeder::class);
        $user = User::query()->firstOrFail();
        $visit = Visit::query()->whereNotNull('closed_at')->latest('opened_at')->firstOrFail();
        $site = $visit->circuit->site;
        $this->actingAs($user)->put("/sites/$site->id", ['name' => $site->name, 'language' => 'tlh'])
            ->assertSessionHasErrors(['language' => 'Choose one of the languages listed.']);
        $english = (string) $this->get("/visits/$visit->id/report")->assertSee('What was wrong')->getContent();
        $this->put("/sites/$site->id", ['name' => $site->name, 'language' => 'de'])->assertRedirect();
        $german = (string) $this->get("/visits/$visit->id/report")
            ->assertSee('Was nicht in Ordnung war')
            ->assertDontSee('What was wrong')
            ->getContent();
        self::assertNotSame($english, $german);
        self::assertMatchesRegularExpression('~\d,\d °C~', $german, 'decimals follow a comma');
        $this->get("/visits/$visit->id/report.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
        $this->get('/sites')->assertSee('Sites');
    }

    public function test_pictures_of_the_report_speak_it_too(): void
    {
        self::assertSame('◐ Überhitzung', $this->inGerman(fn (): string => OnPicture::told('◐ superheat')));
        self::assertSame('14,6 K', $this->inGerman(fn (): string => OnPicture::told('14.6 K')));
        self::assertSame('Soll 4 bis 7', $this->inGerman(fn (): string => OnPicture::told('target 4 to 7')));
        self::assertSame('superheat 14.6 K', OnPicture::told('superheat 14.6 K'), 'English stays');

        $visit = $this->starved();
        $visit->circuit->site->update(['language' => 'de']);
        $page = $this->actingAs($this->technician)->get("/visits/$visit->id/report");
        $page->assertSee('Überhitzung am Fühler')->assertSee('Verflüssiger')->assertSee('Soll 4 bis 7');
    }

    /** @param  \Closure(): string  $told */
    private function inGerman(\Closure $told): string
    {
        $this->app->setLocale('de');
        $said = $told();
        $this->app->setLocale('en');

        return $said;
    }

    public function test_nothing_of_what_owners_are_told_is_left_in_english(): void
    {
        $known = array_keys(Knowledge::file('languages/de')->all());
        $asked = [];
        foreach (['faults' => ['for_the_owner', 'what_we_do']] as $folder => $keys) {
            foreach (glob(base_path("data/$folder/*.json")) ?: [] as $file) {
                $data = json_decode((string) file_get_contents($file), true);
                array_push($asked, ...array_values(array_intersect_key($data, array_flip($keys))));
            }
        }
        foreach (Knowledge::file('moves')->all() as $move) {
            $asked[] = $move['owner'];
        }
        foreach (Knowledge::file('leak-places')->all() as $place) {
            $asked[] = $place['label'];
        }
        $sentences = Knowledge::file('sentences')->all();
        $from = array_search('owner_complaint', array_keys($sentences), true);
        $to = array_search('proof_box', array_keys($sentences), true);
        $asked = [...$asked, ...array_slice(array_values($sentences), (int) $from, (int) $to - (int) $from)];
        $asked = array_filter(
            $asked,
            static fn (string $one): bool => preg_match('~[a-z]{3}~', (string) preg_replace('~{\w+}~', '', $one)) === 1,
        );

        self::assertSame([], array_values(array_diff($asked, $known)));
        self::assertGreaterThan(120, count($asked));
    }
}
