<?php

declare(strict_types=1);

namespace Tests\Architecture;

use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\TestCase;

/** House style that no tool knows: read off the files themselves. */
final class HouseTest extends TestCase
{
    public function test_the_core_says_its_types_and_closes_its_classes(): void
    {
        foreach (self::files('core') as $path => $text) {
            self::assertStringContainsString('declare(strict_types=1);', $text, $path);
            self::assertMatchesRegularExpression(
                '/^(final (readonly )?class|abstract class|enum|interface|trait) /m',
                $text,
                $path.': final, abstract, an enum, an interface or a trait',
            );
        }
    }

    /** What is read from data/ is kept by the knowledge in use; a room that kept some of it would judge by another. */
    public function test_no_room_keeps_what_is_known(): void
    {
        $keeps = '/^\s*(?:(?:private|public|protected) static (?!function|fn)|static \$)/m';
        foreach (self::files('core') as $path => $text) {
            self::assertSame($path === 'core/Data/Knowledge.php' ? 1 : 0, preg_match_all($keeps, $text), $path);
        }
    }

    public function test_where_zero_celsius_stands_is_written_once(): void
    {
        foreach ([...self::files('core'), ...self::files('app')] as $path => $text) {
            $code = (string) preg_replace('~^\s*(\*|/\*|//).*$~m', '', $text);
            $isKept = str_starts_with($path, 'core/Quantity/');
            self::assertSame(0, $isKept ? 0 : preg_match('/\b[23]\d\d\.15\b/', $code), $path);
        }
    }

    /** A folder is there to be read alone: no two of a room know each other. */
    public function test_no_two_folders_of_a_room_circle(): void
    {
        $root = dirname(__DIR__, 2);
        foreach (Rooms::all() as $room) {
            self::assertSame([], Rooms::circles($root, $room));
        }
    }

    public function test_two_folders_that_know_each_other_are_found(): void
    {
        $root = sys_get_temp_dir().'/house-'.bin2hex(random_bytes(4));
        foreach (['Cards' => 'Leaks', 'Leaks' => 'Cards'] as $folder => $other) {
            mkdir("$root/core/Work/$folder", 0o777, true);
            file_put_contents("$root/core/Work/$folder/One.php", "<?php use Metrum\\Work\\$other\\One;");
        }
        $circles = Rooms::circles($root, 'Metrum\Work');
        (new Filesystem())->deleteDirectory($root);

        self::assertSame(['Metrum\Work: Cards and Leaks'], $circles);
    }

    public function test_files_hold_one_idea(): void
    {
        foreach ([...self::files('core'), ...self::files('app')] as $path => $text) {
            self::assertLessThanOrEqual(285, substr_count($text, "\n"), $path);
        }
    }

    public function test_views_styles_and_scripts_hold_one_idea_too(): void
    {
        foreach (self::files('resources', ['php', 'scss', 'js']) as $path => $text) {
            self::assertLessThanOrEqual(250, substr_count($text, "\n"), $path);
        }
    }

    public function test_a_line_can_be_read_aloud(): void
    {
        $rooms = ['core', 'app', 'bench', 'database', 'routes', 'tests'];
        $written = array_merge(
            self::files('bench', ['']),
            self::files('resources', ['php', 'scss', 'js']),
            ...array_map(self::files(...), $rooms),
        );
        $long = [];
        foreach ($written as $path => $text) {
            foreach (explode("\n", $text) as $number => $line) {
                if (mb_strlen($line) > 120) {
                    $long[] = $path.':'.($number + 1);
                }
            }
        }
        self::assertSame([], $long);
    }

    /** What is told of a plant names its amounts by type; only the reader's units make a number of them. */
    public function test_no_amount_is_written_where_nobody_knows_who_reads_it(): void
    {
        $number = '(?:\d|\}|\$\w+|%[.\d]*[fd]) ?';
        $written = "/['\"][^'\"\n]*$number(?:°C|°F|K|kPa|Pa|bar|psi|kg|lb|min|%(?![.\d]))(?![\w'\"])[^'\"\n]*['\"]/u";
        foreach (['Data', 'Installation', 'Knowledge', 'Log', 'Findings', 'Twin', 'Diagnosis', 'Work'] as $room) {
            foreach (self::files('core/'.$room) as $path => $text) {
                $code = implode('', array_map(
                    static fn (\PhpToken $one): string => $one->is([T_COMMENT, T_DOC_COMMENT]) ? '' : $one->text,
                    \PhpToken::tokenize($text),
                ));
                self::assertDoesNotMatchRegularExpression($written, $code, $path);
            }
        }
    }

    /** Two things of one name are told apart by a path that nobody reads; a table is named as what it keeps. */
    /** A script without an ending is not found by the analysis: one that is not named would break unseen. */
    public function test_each_bench_is_looked_at_by_the_analysis(): void
    {
        $root = dirname(__DIR__, 2);
        $looked = (string) file_get_contents($root.'/phpstan-tests.neon');
        $scripts = array_filter(
            array_filter((array) glob($root.'/bench/*'), is_file(...)),
            static fn (string $one): bool => ! str_ends_with($one, '.mjs'),
        );
        foreach ($scripts as $script) {
            self::assertStringContainsString("\n        - bench/".basename((string) $script)."\n", $looked);
        }
    }

    public function test_a_name_stands_once_in_the_house(): void
    {
        $at = [];
        $named = '/^(?:final |abstract |readonly )*(?:class|enum|interface|trait) (\w+)/m';
        foreach (['core', 'app', 'tests'] as $room) {
            foreach (self::files($room) as $path => $text) {
                if (preg_match($named, $text, $found) === 1) {
                    $at[$found[1]][] = $path;
                }
            }
        }
        $isOneOfModels = static fn (array $paths): bool => count($paths) === 2 &&
            count(array_filter($paths, static fn (string $path): bool => str_starts_with($path, 'app/Models/'))) === 1;
        $twice = array_filter($at, static fn (array $paths): bool => count($paths) > 1 && ! $isOneOfModels($paths));
        self::assertSame([], $twice);
    }

    public function test_what_cannot_be_answered_has_one_base(): void
    {
        foreach (self::files('core') as $path => $text) {
            if (preg_match('/^final class \w+ extends (\S*Exception)/m', $text, $found) === 1) {
                self::fail($path.' extends '.$found[1].'; a way of failing extends Unanswerable');
            }
            self::assertDoesNotMatchRegularExpression(
                '/throw new \\\\?(InvalidArgument|Domain|Runtime|OutOf\w+)Exception/',
                $text,
                $path.': a failure has a name of its own',
            );
        }
    }

    /** A word for people is shown; whether it is this or that is asked of a type. */
    public function test_nothing_is_decided_by_words_meant_for_reading(): void
    {
        foreach (self::files('core') + self::files('app') as $path => $text) {
            self::assertDoesNotMatchRegularExpression(
                '/str_(contains|starts_with|ends_with)\(\$\S*(why|label|title|summary)\b/i',
                $text,
                $path,
            );
            self::assertDoesNotMatchRegularExpression(
                '/->label\(\) [!=]==|[!=]== \$\S+->label\(\)/',
                $text,
                $path,
            );
        }
    }

    public function test_an_arrow_that_runs_up_is_found(): void
    {
        $root = sys_get_temp_dir().'/house-'.bin2hex(random_bytes(4));
        foreach (Rooms::all() as $room) {
            mkdir($root.'/'.Rooms::folder($room), 0o777, true);
        }
        file_put_contents($root.'/core/Twin/Twin.php', '<?php use Metrum\Installation\Kind;');
        self::assertSame([], Rooms::wrong(Rooms::arrows($root)), 'down');

        file_put_contents($root.'/core/Installation/Kind.php', '<?php use Metrum\Twin\Twin;');
        file_put_contents($root.'/app/Models/Visit.php', '<?php new \App\Records\Judge();');
        file_put_contents($root.'/app/Picture/Course.php', '<?php use App\Models\Visit;');
        $wrong = Rooms::wrong(Rooms::arrows($root));
        (new Filesystem())->deleteDirectory($root);

        self::assertSame(
            [
                'Metrum\Installation must not know Metrum\Twin: core/Installation/Kind.php',
                'App\Models must not know App\Records: app/Models/Visit.php',
                'App\Picture must not know App\Models: app/Picture/Course.php',
            ],
            $wrong,
        );
    }

    public function test_only_quantity_knows_conversion_factors(): void
    {
        foreach (self::files('core') + self::files('app') as $path => $text) {
            if (! str_starts_with($path, 'core/Quantity/')) {
                self::assertDoesNotMatchRegularExpression(
                    '/6894|3386|98066|\b0\.4535|5\s*\/\s*9\b|\b1\.8\s*\*/',
                    $text,
                    $path,
                );
            }
        }
    }

    public function test_nothing_is_left_unfinished_or_silenced(): void
    {
        foreach (['core', 'app', 'tests', 'resources', 'database'] as $room) {
            foreach (self::files($room, ['php', 'js', 'mjs']) as $path => $text) {
                if (! str_contains($path, 'HouseTest')) {
                    self::assertDoesNotMatchRegularExpression(
                        '/TODO|FIXME|markTestSkipped|markTestIncomplete|phpstan-ignore|'.
                            'test\.(skip|fixme|only)|\bdd\(|\bvar_dump\(/',
                        $text,
                        $path,
                    );
                }
            }
        }
    }

    public function test_views_do_no_arithmetic_on_plants_and_load_nothing_from_elsewhere(): void
    {
        foreach (self::files('resources/views', ['php']) as $path => $text) {
            self::assertDoesNotMatchRegularExpression('/273\.15|101325|DB::|->save\(|::query\(/', $text, $path);
            self::assertDoesNotMatchRegularExpression('/(src|href)="https?:/', $text, $path);
            if (! str_contains($path, 'report/pdf')) {
                self::assertDoesNotMatchRegularExpression(
                    '/\sstyle="|<style|\son[a-z]+="/',
                    $text,
                    $path.': the content security policy allows no inline style or script',
                );
            }
        }
    }

    public function test_nothing_of_a_machine_is_in_the_project(): void
    {
        foreach (
            ['core', 'app', 'bin', 'bench', 'config', 'resources', 'routes', 'tests', 'docs', 'database'] as $room
        ) {
            foreach (self::files($room, null) as $path => $text) {
                if (! str_ends_with($path, '.png') && ! str_contains($path, 'HouseTest')) {
                    self::assertDoesNotMatchRegularExpression(
                        '~(^|[^a-zA-Z0-9.])/(work|root|home)/[a-z]|registry\.npm|packagist\.~',
                        $text,
                        $path,
                    );
                }
            }
        }
    }

    /**
     * @param  ?list<string>  $endings
     * @return array<string, string> path => content
     */
    private static function files(string $room, ?array $endings = ['php']): array
    {
        $root = dirname(__DIR__, 2);
        $found = [];
        if (! is_dir($root.'/'.$room)) {
            return [];
        }
        foreach (
            new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator($root.'/'.$room, \FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            assert($file instanceof \SplFileInfo);
            $path = substr($file->getPathname(), strlen($root) + 1);
            if (
                $file->isFile() &&
                ! str_contains($path, '.sqlite') &&
                ($endings === null || in_array($file->getExtension(), $endings, true))
            ) {
                $found[$path] = (string) file_get_contents($file->getPathname());
            }
        }

        return $found;
    }
}
