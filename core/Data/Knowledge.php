<?php

declare(strict_types=1);

namespace Metrum\Data;

/**
 * What the trade knows, as one folder has it: its files, and what is made of them, each once.
 *
 * One is in use in a process: the vocabulary (readings, faults, controls …) are enumerations, and their rows come from
 * here. Who starts the process says which; a test may put another in its place. No room keeps anything of it itself.
 */
final class Knowledge
{
    private static ?self $inUse = null;

    /** @var array<string, DataRow> by path */
    private array $files = [];

    /** @var array<string, mixed> by name */
    private array $made = [];

    /** @param  string  $folder  where the files lie */
    public function __construct(
        public readonly string $folder,
        private readonly Prepared $prepared = new Prepared(),
    ) {
    }

    public static function inUse(): self
    {
        return self::$inUse ??= new self(dirname(__DIR__, 2).'/data');
    }

    /** @param  ?self  $knowledge  null: the project's own */
    public static function use(?self $knowledge): void
    {
        self::$inUse = $knowledge;
    }

    /**
     * @param  string  $path  below the folder, without .json
     *
     * @throws BrokenData where it is no JSON object
     */
    public static function file(string $path): DataRow
    {
        $knowledge = self::inUse();

        return $knowledge->files[$path] ??= $knowledge->read($path);
    }

    /**
     * What is made of files, once as long as they are in use.
     *
     * @template T
     *
     * @param  \Closure(): T  $make
     * @return T
     */
    public static function once(string $name, \Closure $make): mixed
    {
        $knowledge = self::inUse();
        if (! array_key_exists($name, $knowledge->made)) {
            $knowledge->made[$name] = $make();
        }

        /** @var T */
        return $knowledge->made[$name];
    }

    /**
     * The same, and kept for the next process where there is a place for it.
     *
     * @template T
     *
     * @param  string  $name  of a file: letters, digits and hyphens
     * @param  \Closure(): T  $make
     * @return T
     */
    public static function kept(string $name, \Closure $make): mixed
    {
        return self::once($name, static fn (): mixed => self::inUse()->prepared->of($name, $make));
    }

    private function read(string $path): DataRow
    {
        $name = 'data/'.$path.'.json';
        $file = $this->folder.'/'.$path.'.json';
        $kept = 'data-'.str_replace('/', '-', $path);

        return new DataRow($name, $this->prepared->of($kept, static fn (): array => self::json($file, $name)));
    }

    /**
     * @return array<mixed>
     *
     * @throws BrokenData
     */
    private static function json(string $file, string $name): array
    {
        $rows = is_file($file) ? json_decode((string) file_get_contents($file), true, 32) : null;

        return is_array($rows)
            ? $rows
            : throw BrokenData::at($name, is_file($file)
                ? 'no JSON object ('.json_last_error_msg().')'
                : 'the file is missing');
    }
}
