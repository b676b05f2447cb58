<?php

declare(strict_types=1);

namespace Metrum\Bench;

/** What a calculator found, with its arithmetic in words. */
final readonly class Answer
{
    /**
     * @param  list<Output>  $outputs
     * @param  list<string>  $steps
     */
    public function __construct(public array $outputs, public array $steps)
    {
    }

    public function output(string $key): ?Output
    {
        foreach ($this->outputs as $output) {
            if ($output->key === $key) {
                return $output;
            }
        }

        return null;
    }
}
