<?php

declare(strict_types=1);

namespace Metrum\Data;

/**
 * What is made of the files under data/ and stays as long as they do. Where a folder is given, it is made once and
 * kept there in PHP's own words, so that a process need not read and check those files again.
 *
 * The folder is of one edition of the files: whoever gives it gives another when they change.
 */
final readonly class Prepared
{
    /**
     * @param  ?\Closure(): string  $folder  asked when something is wanted, so that what wants nothing pays nothing;
     *                                        null: nothing is kept
     */
    public function __construct(private ?\Closure $folder = null)
    {
    }

    /**
     * @template T
     *
     * @param  string  $name  of a file: letters, digits and hyphens
     * @param  \Closure(): T  $make
     * @return T
     */
    public function of(string $name, \Closure $make): mixed
    {
        if ($this->folder === null) {
            return $make();
        }
        $file = ($this->folder)().'/'.$name.'.php';
        if (is_file($file)) {
            /** @var T $kept */
            $kept = require $file;

            return $kept;
        }
        $made = $make();
        self::keep($file, $made);

        return $made;
    }

    /** Written beside and moved there: nobody reads half a file. Where it cannot be written, all goes on without. */
    private static function keep(string $file, mixed $made): void
    {
        $folder = dirname($file);
        if (! is_dir($folder) && ! @mkdir($folder, 0o775, true) && ! is_dir($folder)) {
            return;
        }
        $beside = is_writable($folder) ? @tempnam($folder, 'new') : false;
        if ($beside === false) {
            return;
        }
        $words = self::isPlain($made)
            ? var_export($made, true)
            : 'unserialize('.var_export(serialize($made), true).')';
        $php = '<?php return '.$words.';'."\n";
        // Of a full disk half a file is left: it goes.
        $isWhole = @file_put_contents($beside, $php) === strlen($php);
        if (! $isWhole || ! chmod($beside, 0o664) || ! @rename($beside, $file)) {
            @unlink($beside);
        }
    }

    /** Arrays of numbers and words alone are held by the byte-code cache as they are. */
    private static function isPlain(mixed $made): bool
    {
        if (! is_array($made)) {
            return is_scalar($made) || $made === null;
        }
        foreach ($made as $one) {
            if (! self::isPlain($one)) {
                return false;
            }
        }

        return true;
    }
}
