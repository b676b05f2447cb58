<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** A view puts what it is handed into its place: it counts nothing and asks the database nothing. */
final class ViewsTest extends TestCase
{
    /** Two operands with a sign of arithmetic between them; words in quotes and arrows are taken out before. */
    private const SUM = '~(?:\w|\)|\])\s*(?:[+*/%]|-)\s*(?:\w|\(|\$|\\\\)~';

    private const COUNTS = '~\b(?:round|abs|min|max|floor|ceil|intdiv|fmod|sqrt|log|exp|array_slice|array_sum)\(~';

    private const ASKS = '~::query\(|::find\(|\bDB::|->(?:whereKey|where|orderBy|latest|get|first|count)\(\)?[\'"]~';

    public function test_no_view_counts(): void
    {
        $counting = [];
        foreach (self::views() as $path => $text) {
            foreach (self::code($text) as $code) {
                if (self::isCounting($code)) {
                    $counting[] = $path.': '.trim($code);
                }
            }
        }
        self::assertSame([], $counting);
    }

    public function test_no_view_asks_the_database(): void
    {
        $asking = [];
        foreach (self::views() as $path => $text) {
            foreach (self::code($text) as $code) {
                if (preg_match(self::ASKS, $code) === 1) {
                    $asking[] = $path.': '.trim($code);
                }
            }
        }
        self::assertSame([], $asking);
    }

    /** @return iterable<string, array{string, bool}> */
    public static function samples(): iterable
    {
        yield 'a sum' => ['<text y="{{ $row[\'y\'] + 4 }}">', true];
        yield 'a product in a directive' => ['@if (2 * $page->count() > 3)', true];
        yield 'a sum over two lines' => ["{{ \$a['y'] +\n    \$a['height'] }}", true];
        yield 'a function that counts' => ['{{ round($share) }}', true];
        yield 'an attribute of a component' => ['<x-bar :share="$a / $b" />', true];
        yield 'a block' => ['@php $x = $a - $b; @endphp', true];
        yield 'an arrow' => ['{{ $page->units->text($one, $kind) }}', false];
        yield 'words with a dash' => ['{{ $on ? \'is-on\' : \'is - off\' }}', false];
        yield 'a route with an array' => ['{{ route(\'bench\', [\'card\' => $card, \'a\' => 1]) }}', false];
        yield 'plain text' => ['<p>5 - 3 = 2</p>', false];
    }

    #[DataProvider('samples')]
    public function test_what_counts_is_found(string $view, bool $isCounting): void
    {
        $found = array_filter(self::code($view), self::isCounting(...));
        self::assertSame($isCounting, $found !== []);
    }

    private static function isCounting(string $code): bool
    {
        $plain = (string) preg_replace(['~\'[^\']*\'|"[^"]*"~', '~\?->|->|=>|\+\+|--~'], ['""', '.'], $code);

        return preg_match(self::SUM, $plain) === 1 || preg_match(self::COUNTS, $plain) === 1;
    }

    /** @return list<string> what PHP stands in a view: echoes, directives, blocks, attributes of components */
    private static function code(string $view): array
    {
        preg_match_all('~\{\{(?!--)(.*?)\}\}|\{!!(.*?)!!\}|@php\s(?!\()(.*?)@endphp~s', $view, $echoes);
        preg_match_all('~@\w+\s?(\((?:[^()]++|(?1))*+\))~', $view, $directives);
        preg_match_all('~\s:[a-z][\w-]*="([^"]*)"~', $view, $attributes);

        return array_values(array_filter([
            ...array_merge(...array_slice($echoes, 1)),
            ...$directives[1],
            ...$attributes[1],
        ]));
    }

    /** @return iterable<string, string> by path */
    private static function views(): iterable
    {
        $root = dirname(__DIR__, 2);
        foreach (Finder::create()->files()->in("$root/resources/views")->name('*.blade.php')->sortByName() as $file) {
            yield $file->getRelativePathname() => $file->getContents();
        }
    }
}
