<?php

namespace App\Records;

use Illuminate\Contracts\Cache\Repository;
use Metrum\Twin\Shelf;
use Metrum\Twin\Twin;

/** Keeps twins between requests, in the framework's cache. Twins of an older model are not those of this one. */
final readonly class TwinShelf implements Shelf
{
    private const DAYS = 30;

    public function __construct(private Repository $cache, private Edition $edition)
    {
    }

    public function take(string $key): ?Twin
    {
        $twin = $this->cache->get($this->name($key));

        return $twin instanceof Twin ? $twin : null;
    }

    public function put(string $key, Twin $twin): void
    {
        try {
            $this->cache->put($this->name($key), $twin, now()->addDays(self::DAYS));
        } catch (\ErrorException) {
            // A full or read-only disk: it is learned again the next time.
        }
    }

    private function name(string $key): string
    {
        return 'twin '.$this->edition->twin().' '.$key;
    }
}
