<?php

namespace Tests\Feature;

use App\Models\FactRecord;
use App\Records\Author;
use App\View\Explain;
use App\View\LineMeaning;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** What is shown before Enter is what is stored: over spellings of every reading, and lines that mean nothing. */
#[Group('figures')]
final class SpellingsTest extends TestCase
{
    private const SEED = 20261126;

    private const LINES = 220;

    private const NUMBERS = [
        '2',
        '2.1',
        '2,1',
        '-10',
        '+4',
        '0',
        '1/4',
        '3½',
        '1 234',
        '1,234.5',
        '2,1.5',
        '31½50',
        '007',
        '1e3',
    ];

    private const UNITS = [
        '',
        ' bar',
        'bar',
        ' bara',
        ' psi',
        'psia',
        ' psig',
        ' kPa',
        ' kPa abs',
        ' inHg',
        '°C',
        '°F',
        'f',
        ' K',
        '°',
        ' %',
        ' A',
        ' kg',
        ' min',
        ' furlongs',
    ];

    private const ASIDES = ['', 'not ', 'no ', 'about ', 'was '];

    private const NOTES = [
        'key at the kiosk',
        'bracket 1/4 in',
        'put at 36f',
        'clock wrong',
        'not iced up',
        'no short cycling',
        '',
        '🧊',
        '%s%d',
    ];

    /** @return list<string> */
    private static function lines(): array
    {
        mt_srand(self::SEED);
        $names = array_map(static fn (Reading $one): string => $one->short(), Reading::cases());
        $pick = static fn (array $of): string => (string) $of[mt_rand(0, count($of) - 1)];
        $lines = [];
        for ($i = 0; $i < self::LINES; $i++) {
            $pieces = [];
            for ($n = mt_rand(1, 3); $n > 0; $n--) {
                $asked = Observation::cases()[mt_rand(0, count(Observation::cases()) - 1)];
                $word = $asked->words()[mt_rand(0, count($asked->words()) - 1)];
                $pieces[] = match (mt_rand(0, 3)) {
                    0 => $pick(self::NOTES),
                    1 => $pick(self::ASIDES).
                        mb_strtolower($asked->label()).
                        ' '.
                        mb_strtolower($word->label()),
                    default => $pick(self::ASIDES).
                        mb_strtolower($pick($names)).
                        ' '.
                        $pick(self::NUMBERS).
                        $pick(self::UNITS),
                };
            }
            $lines[] = implode($pick([', ', '; ', ' , ']), $pieces);
        }

        return $lines;
    }

    /** The log says a reading by its short name, the line before it by the whole one. */
    private static function named(Fact $fact, string $told): string
    {
        $reading = Reading::tryFrom($fact->content->key);
        if ($fact->kind !== FactKind::Reading || $reading === null) {
            return $told;
        }
        self::assertStringStartsWith($reading->short(), $told);

        return $reading->label().mb_substr($told, mb_strlen($reading->short()));
    }

    public function test_what_is_shown_before_enter_is_what_is_stored(): void
    {
        $visit = $this->visit();
        $author = Author::of($this->technician);
        $explain = new Explain($author->units);
        $kept = $refused = 0;
        foreach (self::lines() as $line) {
            $shown = (new LineMeaning($visit, $author, now()->toDateTimeImmutable(), $line))->pieces;
            $before = FactRecord::query()->count();
            $answer = $this->enter($visit, 'line', 'line', $line);
            $stored = array_slice(FactRecord::ofVisit($visit->id), $before);
            $isRefused = in_array(true, array_column($shown, 'refused'), true) || $shown === [];
            self::assertSame($isRefused ? 422 : 200, $answer->getStatusCode(), $line);
            self::assertSame($isRefused, $stored === [], $line);
            if (! $isRefused) {
                $told = array_map(
                    static fn ($fact): string => ($fact->kind === FactKind::Note ? 'note: ' : '').
                        self::named($fact, $explain->fact($fact)),
                    $stored,
                );
                self::assertSame(array_column($shown, 'text'), $told, $line);
            }
            $isRefused ? $refused++ : $kept++;
        }
        self::assertGreaterThan(40, $kept);
        self::assertGreaterThan(20, $refused);
    }

    /** @return iterable<string, array{string}> */
    public static function notes(): iterable
    {
        foreach (['bracket 1/4 in', 'put at 36f', 'clock in the cellar', 'not iced up', 'no short cycling'] as $line) {
            yield $line => [$line];
        }
    }

    #[DataProvider('notes')]
    public function test_what_is_not_understood_is_a_note_and_said_so(string $line): void
    {
        $visit = $this->visit();
        $this->actingAs($this->technician)
            ->get("/visits/{$visit->id}/meaning?value=".urlencode($line))
            ->assertSee("note: $line");
        $this->enter($visit, 'line', 'line', $line)->assertOk();
        $fact = FactRecord::query()->sole();
        self::assertSame([FactKind::Note->value, $line], [$fact->kind, $fact->data['text']]);
    }

    public function test_every_field_answers_any_text_in_words(): void
    {
        mt_srand(self::SEED);
        $odd = [
            '',
            ' ',
            '-',
            '--1',
            '1..2',
            '∞',
            'NaN',
            '1e400',
            '-0',
            '９',
            '½',
            '٣',
            "a'b\"c",
            '<b>',
            '{{ 7 }}',
            '../..',
            'null',
            str_repeat('9', 400),
            "\u{202E}4",
            "4\n5",
            "tab\t4",
            '４.２',
            '0x1F',
            '1_000',
            '٫',
        ];
        $visit = $this->visit();
        $asked = 0;
        foreach (Reading::cases() as $reading) {
            for ($i = 0; $i < 8; $i++) {
                $typed = $odd[mt_rand(0, count($odd) - 1)];
                $before = FactRecord::query()->count();
                $answer = $this->enter($visit, 'reading', $reading->value, $typed);
                self::assertContains($answer->getStatusCode(), [200, 422], $reading->value.' '.$typed);
                self::assertStringNotContainsString('Stack trace', (string) $answer->getContent());
                self::assertSame(
                    $answer->getStatusCode() === 200,
                    FactRecord::query()->count() === $before + 1,
                );
                $asked++;
            }
        }
        self::assertGreaterThan(300, $asked);
        $this->get("/visits/{$visit->id}/verdict")->assertOk();
    }
}
