<?php

namespace App\View\Board;

use Metrum\Findings\Mark;
use Metrum\Installation\Branch;
use Metrum\Knowledge\Fault;

/** One circuit on the board: how warm it is, what it does, what is held of it. */
final readonly class BoardRow
{
    /**
     * @param  string  $warmest  "5.8 °C, 2.8 K above set"; empty where it was not read
     * @param  string  $doing  what it does now, in words
     * @param  ?Fault  $leading  what leads in its ranking; null: nothing was found of it
     * @param  string  $address  where it is walked
     * @param  string  $ofCases  where its cases stand side by side; empty where it has one
     * @param  list<BoardCell>  $cells  of its cases
     * @param  list<BoardChoice>  $choices
     */
    public function __construct(
        public Branch $branch,
        public string $name,
        public string $kind,
        public Mark $mark,
        public ?float $over,
        public string $warmest,
        public string $doing,
        public ?Fault $leading,
        public float $chance,
        public bool $isConfirmed,
        public string $holding,
        public string $address,
        public string $ofCases,
        public array $cells,
        public array $choices,
    ) {
    }

    /** Whether a fault leads in its ranking. */
    public function isIll(): bool
    {
        return $this->leading !== null && $this->leading !== Fault::NoFault;
    }

    /**
     * What is held of it, in words; empty where nothing was found of it.
     *
     * @param  callable(float): string  $percent
     */
    public function finding(callable $percent): string
    {
        return match ($this->leading) {
            null => '',
            Fault::NoFault => 'no fault found',
            default => $this->leading->label().', '.($this->isConfirmed ? 'confirmed' : $percent($this->chance)),
        };
    }

    public function domId(): string
    {
        return 'board-row-'.strtr($this->branch->part->value, [' ' => '-', '/' => '-']);
    }
}
