<?php

namespace App\View;

use Metrum\Circuit\Observation;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;

/** One question with its answers as large taps. */
final readonly class Choice
{
    public function __construct(
        public Observation|Test $asked,
        public ?Word $chosen,
        public bool $proposed,
        public string $how = '',
    ) {
    }

    public function kind(): string
    {
        return $this->asked instanceof Test ? 'test' : 'observation';
    }

    public function domId(): string
    {
        return 'choice-'.str_replace('_', '-', $this->asked->value);
    }
}
