<?php

namespace App\Records;

use Illuminate\Filesystem\Filesystem;

/**
 * Which twin and which weights these are: a short name that changes with the files they are made of.
 *
 * Reading all those files costs too much for a request: bin/setup writes the names down, and that is what is read.
 * Where somebody may be editing them (anywhere but in production) it is looked first whether one was changed since.
 */
final class Edition
{
    /** Below the project; the twin is made of the first, a verdict of both. */
    private const TWIN = [
        'core/Quantity',
        'core/Refrigerant',
        'core/Data',
        'core/Installation',
        'core/Knowledge',
        'core/Findings',
        'core/Twin',
        'data/refrigerants',
    ];

    private const VERDICTS = [
        'core/Language',
        'core/Bench',
        'core/Card',
        'core/Log',
        'core/Diagnosis',
        'core/Work',
        'data',
    ];

    private const SHORT = 16;

    /** @var array{twin: string, verdicts: string}|null */
    private ?array $names = null;

    /**
     * @param  string  $kept  the folder for what is written down
     * @param  bool  $isEdited  whether the files may change while it runs
     */
    public function __construct(
        private readonly string $project,
        private readonly string $kept,
        private readonly bool $isEdited = false,
    ) {
    }

    public function twin(): string
    {
        return $this->names()['twin'];
    }

    public function verdicts(): string
    {
        return $this->names()['verdicts'];
    }

    /** Where what is made of this edition's files may be kept. */
    public function folder(): string
    {
        return $this->kept.'/'.$this->verdicts();
    }

    /** Writes down the names of the files as they are now; what was made of others goes. */
    public function write(Filesystem $files): void
    {
        $this->names = $this->worked();
        $files->ensureDirectoryExists($this->kept);
        foreach ($files->directories($this->kept) as $folder) {
            if ($folder !== $this->folder()) {
                $files->deleteDirectory($folder);
            }
        }
        $written = $this->names + ['stamp' => $this->stamp()];
        $files->replace($this->written(), '<?php return '.var_export($written, true).';'."\n");
        if (function_exists('opcache_invalidate')) {
            opcache_invalidate($this->written(), true);
        }
    }

    /** When each of the files was changed, and how large it is: another wherever one was edited, moved or put back. */
    private function stamp(): string
    {
        $seen = [];
        foreach ([...self::TWIN, ...self::VERDICTS] as $folder) {
            foreach ($this->files($folder) as $file) {
                $seen[] = $file->getPathname().' '.$file->getMTime().' '.$file->getSize();
            }
        }
        sort($seen);

        return md5(implode("\n", $seen));
    }

    private function written(): string
    {
        return $this->kept.'/names.php';
    }

    /** @return array{twin: string, verdicts: string} */
    private function names(): array
    {
        if ($this->names === null && is_file($this->written())) {
            /** @var array{twin: string, verdicts: string, stamp?: string} $written */
            $written = require $this->written();
            if (! $this->isEdited || ($written['stamp'] ?? '') === $this->stamp()) {
                $this->names = ['twin' => $written['twin'], 'verdicts' => $written['verdicts']];
            } else {
                $this->write(new Filesystem());
            }
        }

        return $this->names ??= $this->worked();
    }

    /** @return array{twin: string, verdicts: string} */
    private function worked(): array
    {
        $twin = $this->hash(self::TWIN);

        return [
            'twin' => $twin,
            'verdicts' => substr(md5($twin.$this->hash(self::VERDICTS)), 0, self::SHORT),
        ];
    }

    /** @param  list<string>  $folders */
    private function hash(array $folders): string
    {
        $files = [];
        foreach ($folders as $folder) {
            foreach ($this->files($folder) as $file) {
                $path = (string) $file;
                $files[substr($path, strlen($this->project))] = md5_file($path);
            }
        }
        ksort($files);

        return substr(md5(json_encode($files, JSON_THROW_ON_ERROR)), 0, self::SHORT);
    }

    /** @return iterable<\SplFileInfo> below a folder of the project */
    private function files(string $folder): iterable
    {
        return new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($this->project.'/'.$folder, \FilesystemIterator::SKIP_DOTS),
        );
    }
}
