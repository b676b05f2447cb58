<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Installation\DesignKey;
use Metrum\Knowledge\Reading;

/** One derived value with its formula, the inputs it was worked from, and what it means where that is not plain. */
final readonly class Figure
{
    /**
     * @param  float  $si  K (also for differences), Pa, or a bare ratio
     * @param  string  $pattern  the formula in words, %1$s … for the names of its inputs
     * @param  list<Reading|DesignKey>  $from  what it was worked from
     */
    public function __construct(
        public DerivedFigure $key,
        public float $si,
        private string $pattern,
        public array $from,
        public ?Meaning $meaning = null,
    ) {
    }

    /** In words, the inputs by name. */
    public function formula(): string
    {
        $names = array_map(
            static fn (Reading|DesignKey $one): string => $one instanceof Reading
                ? mb_strtolower($one->label())
                : mb_strtolower($one->field()->label),
            $this->from,
        );

        return vsprintf($this->pattern, [...$names, '', '', '']);
    }

    /** The value in the unit of the file's key. */
    public function inFileUnit(): float
    {
        return $this->key->fileUnit()->fromSi($this->si);
    }

    /** The same value under another name. */
    public function as(DerivedFigure $key): self
    {
        return new self($key, $this->si, $this->pattern, $this->from, $this->meaning);
    }
}
