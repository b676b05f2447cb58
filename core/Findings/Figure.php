<?php

declare(strict_types=1);

namespace Metrum\Findings;

/** One derived value with its formula, the inputs it was worked from, and what it means where that is not plain. */
final readonly class Figure
{
    /**
     * @param  float  $si  K (also for differences), Pa, or a bare ratio
     * @param  string  $formula  in words, the inputs by name
     * @param  array<string, array{float, \Metrum\Quantity\Kind}>  $inputs  name => SI value and kind
     */
    public function __construct(
        public Derived $key,
        public float $si,
        public string $formula,
        public array $inputs,
        public ?string $meaning = null,
    ) {
    }

    /** The value in the unit of the file's key. */
    public function inFileUnit(): float
    {
        return $this->key->fileUnit()->fromSi($this->si);
    }
}
