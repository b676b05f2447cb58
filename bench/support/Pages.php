<?php

use App\Models\User;
use App\Records\Edition;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** Every page of the demo town that a lead can reach by links, as it is at one moment. */
final class Pages
{
    private const MOMENT = '2026-11-30 12:00:00';

    private const MOST = 700;

    private const NO_PAGE = '~\.(pdf|css|js|ico|svg|png|webmanifest|ics)|^/build~';

    /** Between the children of these blanks are not shown. */
    private const ROWS = ['table', 'thead', 'tbody', 'tr', 'ul', 'ol', 'dl', 'select'];

    /** What is another one each time. */
    private const CHANCE = [
        '/name="_token" value="[^"]*"/' => 'name="_token"',
        '/content="[A-Za-z0-9]{40}"/' => 'content=""',
        '/"X-CSRF-TOKEN": ?"[^"]*"/' => '',
        '/build\/assets\/[\w.-]+/' => 'build',
        '/name="id"\s+value="[^"]*"/' => 'name="id"',
    ];

    /** @return array<string, string> by address */
    public static function of(string $root, string $database): array
    {
        foreach (['APP_ENV' => 'testing', 'DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $database,
            'SESSION_DRIVER' => 'array', 'CACHE_STORE' => 'array'] as $name => $value) {
            putenv("$name=$value");
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
        $app = require $root.'/bootstrap/app.php';
        $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
        Illuminate\Support\Facades\Artisan::call('migrate', ['--force' => true]);
        // What was judged before the change is not called old: it is the answers that are compared.
        Illuminate\Support\Facades\DB::table('verdicts')->update(['edition' => $app->make(Edition::class)->verdicts()]);
        Carbon::setTestNow(self::MOMENT);
        $kernel = $app->make(Kernel::class);
        $pages = [];
        $waiting = ['/'];
        while (($address = array_shift($waiting)) !== null && count($pages) < self::MOST) {
            if (isset($pages[$address])) {
                continue;
            }
            Illuminate\Support\Facades\Auth::setUser(User::query()->where('role', User::LEAD)->firstOrFail());
            $response = $kernel->handle(Request::create($address));
            $text = (string) $response->getContent();
            $pages[$address] = $response->getStatusCode()."\n".self::steady($text);
            foreach (self::links($text) as $link) {
                isset($pages[$link]) || $waiting[] = $link;
            }
        }
        Carbon::setTestNow();

        return $pages;
    }

    /** @return list<string> */
    private static function links(string $text): array
    {
        preg_match_all('~href="(?:https?://localhost)?(/[^"#]*)~', $text, $found);

        return array_values(array_unique(array_filter(
            array_map(static fn (string $one): string => html_entity_decode($one), $found[1]),
            static fn (string $one): bool => preg_match(self::NO_PAGE, $one) !== 1,
        )));
    }

    /** What a browser makes of it: blanks, and the order of attributes and of what is hidden in a form, say nothing. */
    private static function steady(string $text): string
    {
        $plain = (string) preg_replace(array_keys(self::CHANCE), array_values(self::CHANCE), $text);
        if (! str_starts_with(ltrim($plain), '<!doctype html>')) {
            return $plain;
        }
        $document = new DOMDocument();
        @$document->loadHTML('<?xml encoding="utf-8">'.$plain);
        $hidden = (new DOMXPath($document))->query('//form//input[@type="hidden"]');
        foreach ($hidden === false ? [] : [...$hidden] as $input) {
            assert($input instanceof DOMElement);
            $form = $input;
            while ($form->nodeName !== 'form') {
                $form = $form->parentNode;
            }
            assert($form instanceof DOMElement);
            $names = ['name', 'value'];
            $said = array_map(static fn (string $one): string => $input->getAttribute($one), $names);
            $form->setAttribute('hidden-'.$said[0], $form->getAttribute('hidden-'.$said[0]).' '.$said[1]);
            $input->parentNode->removeChild($input);
        }

        return self::told($document->documentElement);
    }

    private static function told(DOMNode $node): string
    {
        if ($node instanceof DOMText) {
            $isBetween = trim($node->data) === '' && in_array($node->parentNode?->nodeName, self::ROWS, true);

            return $isBetween ? '' : (string) preg_replace('/\s+/u', ' ', $node->data);
        }
        if (! $node instanceof DOMElement) {
            return '';
        }
        $attributes = [];
        foreach ($node->attributes as $one) {
            $value = $one->value === $one->name ? '' : $one->value;
            $value = trim((string) preg_replace('/\s+/u', ' ', $value));
            $attributes[] = $one->name.'="'.str_replace(', ', ',', $value).'"';
        }
        sort($attributes);
        $inside = implode('', array_map(self::told(...), [...$node->childNodes]));

        return "\n<".$node->nodeName.' '.implode(' ', $attributes).'>'.trim($inside).'</'.$node->nodeName.'>';
    }
}
