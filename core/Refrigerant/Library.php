<?php

declare(strict_types=1);

namespace Metrum\Refrigerant;

use Metrum\Data\BrokenData;
use Metrum\Data\Knowledge;

/**
 * The refrigerants known, each read from its tables when first asked for.
 *
 * @phpstan-type Entry array{
 *   name: string, file: string, composition_mass_percent: array<string, float|int>,
 *   safety_class: string, gwp_ar4: float|int
 * }
 */
final class Library
{
    /** @var array<string, Entry> */
    private array $index = [];

    /** @var array<string, Refrigerant> */
    private array $loaded = [];

    public function __construct(private readonly string $folder)
    {
        /** @var array{refrigerants: list<Entry>} $index */
        $index = json_decode(
            (string) file_get_contents($folder.'/index.json'),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
        foreach ($index['refrigerants'] as $entry) {
            $this->index[$entry['name']] = $entry;
        }
    }

    /** Of the knowledge in use. */
    public static function known(): self
    {
        return Knowledge::once(
            'refrigerants',
            static fn (): self => new self(Knowledge::inUse()->folder.'/refrigerants'),
        );
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->index);
    }

    public function has(string $name): bool
    {
        return isset($this->index[$name]);
    }

    /** Safety class (A1, A2L, A3, B2L) without reading any table. @throws UnknownRefrigerant */
    public function safetyClass(string $name): string
    {
        return ($this->index[$name] ?? throw UnknownRefrigerant::named($name, $this->names()))['safety_class'];
    }

    /** @throws UnknownRefrigerant */
    public function get(string $name): Refrigerant
    {
        $entry = $this->index[$name] ?? throw UnknownRefrigerant::named($name, $this->names());
        $base = $this->folder.'/'.$entry['file'];

        return $this->loaded[$name] ??= new Refrigerant(
            $entry['name'],
            $entry['safety_class'],
            $entry['composition_mass_percent'],
            (float) $entry['gwp_ar4'],
            new Saturation(
                $entry['name'],
                Knowledge::kept(
                    $entry['file'].'-saturation',
                    static fn (): array => Saturation::parts(self::rows($base.'.saturation.csv')),
                ),
            ),
            static fn (): Vapour => new Vapour(
                $entry['name'],
                Knowledge::kept(
                    $entry['file'].'-vapour',
                    static fn (): array => VapourGrid::parts(self::rows($base.'.vapour.csv')),
                ),
            ),
        );
    }

    /**
     * @return list<list<float>>
     *
     * @throws BrokenData
     */
    private static function rows(string $file): array
    {
        $lines = file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES);
        if ($lines === false) {
            throw BrokenData::at('refrigerants/'.basename($file), 'the table is missing');
        }

        return array_map(
            static fn (string $line): array => array_map(floatval(...), explode(',', $line)),
            array_slice($lines, 1),
        );
    }
}
