<?php

namespace App\View;

use Metrum\Language\Tongue;

/**
 * Sends every text that stands in a view through the framework's translation files, as the view is compiled: an author
 * writes English, and lang/ says it otherwise. What is put in by code is not touched.
 */
final class Translated
{
    /** What is no text: comments, code, directives with what they are given, styles and scripts, tags. */
    private const APART = '~\{\{--.*?--\}\}|\{\{.*?\}\}|\{!!.*?!!\}|@php\b(?!\s*\().*?@endphp|<\?php.*?\?>'.
        '|<(?<raw>style|script)\b.*?</\k<raw>>'.
        '|@[a-z]\w*+(?:\s*+(?<in>\((?:[^()\'"]++|\'(?:[^\'\\\\]|\\\\.)*+\'|"(?:[^"\\\\]|\\\\.)*+"|(?&in))*+\)))?'.
        '|<[a-z/!](?:[^<>"\'(]++|(?<=[-=])>|"[^"]*+"|\'[^\']*+\'|(?&in))*+>~si';

    /** Attributes that are read aloud or shown. */
    private const READ = '~\b(aria-label|title|placeholder)="([^"{<]*[a-z]{2}[^"{<]*)"~i';

    public static function of(string $view): string
    {
        $done = '';
        $at = 0;
        preg_match_all(self::APART, $view, $apart, PREG_OFFSET_CAPTURE);
        foreach ($apart[0] as [$piece, $from]) {
            $done .= self::text(substr($view, $at, $from - $at)).self::attributes($piece);
            $at = $from + strlen($piece);
        }

        return $done.self::text(substr($view, $at));
    }

    /** A text between tags; the space around it stays where it is. */
    private static function text(string $text): string
    {
        if (preg_match('~^(\s*)(\S.*?)(\s*)$~s', $text, $part) !== 1 || preg_match('~[a-z]{2}~i', $part[2]) !== 1) {
            return $text;
        }

        return $part[1].self::call($part[2]).$part[3];
    }

    /** Of plain tags; a component says its own. */
    private static function attributes(string $tag): string
    {
        return str_starts_with($tag, '<') && preg_match('~^<(?:x-|\?)~', $tag) === 0
            ? (string) preg_replace_callback(
                self::READ,
                static fn (array $one): string => $one[1].'="'.self::call($one[2]).'"',
                $tag,
            )
            : $tag;
    }

    private static function call(string $text): string
    {
        $words = var_export((string) preg_replace('~\s+~', ' ', $text), true);

        return '<?php echo \\'.self::class.'::said('.$words.'); ?>';
    }

    /** In the language of the page; English is not looked up, since a page has hundreds of texts. */
    public static function said(string $english): string
    {
        return app()->getLocale() === Tongue::ENGLISH ? $english : app('translator')->get($english);
    }
}
