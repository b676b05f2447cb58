<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** Where twins wait between requests. */
interface Shelf
{
    public function take(string $key): ?Twin;

    public function put(string $key, Twin $twin): void;
}
