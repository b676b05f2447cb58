<?php

declare(strict_types=1);

namespace Tests\Wording;

use Symfony\Component\Finder\Finder;

/** Every text of the house that a person can read, where it stands. */
final class Texts
{
    private const ROOT = __DIR__.'/../../';

    /** Keys of data whose values are words of the house or what people type, not what they read. */
    private const UNREAD = [
        'said', 'said_with_unit', 'key', 'group', 'family', 'look', 'quantity', 'does', 'station', 'effort', 'for',
        'not_for', 'only_for', 'suspects', 'gates', 'cautions', 'fits', 'unit', 'kind', 'touches_kind',
    ];

    /** Keys of data whose values are read, even where they are a single word. */
    private const READ = [
        'label', 'short', 'name', 'title', 'how_often', 'high', 'low', 'fine', 'says', 'place', 'done',
    ];

    /** Data that is written for the machine. */
    private const MACHINE = ['phrases', 'sayings', 'separators', 'curves', 'sureness', 'kinds', 'handbook'];

    /** @return iterable<string, string> place => text */
    public static function data(): iterable
    {
        foreach ((new Finder())->in(self::ROOT.'data')->name('*.json')->exclude('refrigerants') as $file) {
            if (! in_array($file->getBasename('.json'), self::MACHINE, true)) {
                yield from self::inside(json_decode($file->getContents(), true), $file->getRelativePathname());
            }
        }
    }

    /**
     * @param  array<mixed>  $values
     * @return iterable<string, string>
     */
    private static function inside(array $values, string $place): iterable
    {
        foreach ($values as $key => $value) {
            if (in_array($key, self::UNREAD, true)) {
                continue;
            }
            if (is_array($value)) {
                yield from self::inside($value, "$place.$key");

                continue;
            }
            $isRead = in_array($key, self::READ, true);
            if (is_string($value) && ($isRead || preg_match('~\s|^[A-Z]~', $value) === 1)) {
                yield "$place.$key" => (string) preg_replace('~\{[^}]*\}~', '…', $value);
            }
        }
    }

    /** @return iterable<string, string> what stands in code, in quotes */
    public static function code(): iterable
    {
        foreach ((new Finder())->in([self::ROOT.'app', self::ROOT.'core'])->name('*.php') as $file) {
            $place = basename($file->getPath()).'/'.$file->getFilename();
            foreach (token_get_all($file->getContents()) as $token) {
                if (is_array($token) && self::isText($token)) {
                    yield "$place:$token[2]" => stripslashes(trim($token[1], '\'"'));
                }
            }
        }
    }

    /** @param  array{int, string, int}  $token */
    private static function isText(array $token): bool
    {
        return in_array($token[0], [T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE], true) &&
            preg_match('~[a-z]{2,}[,;:.]? [a-z]{2,}|^.?[A-Z][a-z]+ ~', $token[1]) === 1 &&
            preg_match('~\b(?:select|from|pragma|insert|attach)\b .*\b|->|::|=>|\(\?|\\\\b~', $token[1]) !== 1;
    }

    /** @return iterable<string, string> what views and scripts show of themselves */
    public static function views(): iterable
    {
        foreach ((new Finder())->in(self::ROOT.'resources/views')->name('*.blade.php') as $file) {
            yield from self::numbered($file->getRelativePathname(), self::shown($file->getContents()));
        }
        foreach ((new Finder())->in(self::ROOT.'resources/js')->name('*.js') as $file) {
            $code = (string) preg_replace('~^\s*(?://|/?\*).*$~m', '', $file->getContents());
            preg_match_all('~[\'"`]([^\'"`\n]*[a-z] [a-z][^\'"`\n]*)[\'"`]~', $code, $texts);
            yield from self::numbered($file->getFilename(), $texts[1]);
        }
    }

    /** @return list<string> texts of a page or a view: what stands between tags and in the attributes that are read */
    public static function shown(string $html): array
    {
        $html = (string) preg_replace('~\{\{--.*?--\}\}|<(style|script)\b.*?</\1>~s', '', $html);
        $quoted = [];
        $html = (string) preg_replace_callback(
            '~\{\{(.*?)\}\}|\{!!(.*?)!!\}|(?<=\s):[\w-]+="([^"]*)"|@\w+\s*(\((?:[^()]++|(?4))*\))~s',
            static function (array $code) use (&$quoted): string {
                array_push($quoted, ...self::strings(implode(' ', array_slice($code, 1))));

                return ' … ';
            },
            $html,
        );
        preg_match_all('~\b(?:aria-label|placeholder|title|label|hint|alt)="([^"]*)"~', $html, $attributes);
        $bare = html_entity_decode((string) preg_replace('~<[^>]*>~', "\n", $html));

        return array_values(array_filter(
            [...$attributes[1], ...$quoted, ...explode("\n", $bare)],
            static fn (string $one): bool => preg_match('~[a-z]{2}~', $one) === 1,
        ));
    }

    /** @return list<string> texts of more than a word in a piece of code */
    private static function strings(string $code): array
    {
        $found = [];
        foreach (token_get_all('<?php '.$code) as $token) {
            $isQuoted = is_array($token) && $token[0] === T_CONSTANT_ENCAPSED_STRING;
            if ($isQuoted && preg_match('~[a-z] ?[a-z]~', $token[1]) === 1) {
                $found[] = stripslashes(trim($token[1], '\'"'));
            }
        }

        return array_values(
            array_filter($found, static fn (string $one): bool => preg_match('~ |^[A-Z]~', $one) === 1),
        );
    }

    /**
     * @param  list<string>  $texts
     * @return iterable<string, string>
     */
    private static function numbered(string $place, array $texts): iterable
    {
        foreach ($texts as $i => $text) {
            yield "$place#$i" => $text;
        }
    }
}
