<?php

namespace App\View;

use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\FactKind;

/** One question with its answers as large taps. */
final readonly class Choice
{
    /** @param  list<string>  $cautions  of a test, in words */
    public function __construct(
        public Question $asked,
        public ?Word $chosen,
        public bool $proposed,
        public string $how = '',
        public array $cautions = [],
    ) {
    }

    public function kind(): FactKind
    {
        return $this->asked instanceof Test ? FactKind::Test : FactKind::Observation;
    }

    public function domId(): string
    {
        return 'choice-'.str_replace('_', '-', (string) $this->asked->value);
    }

    /** Whether its answers are drawn as well as named: the coil with its frost. */
    public function isOfCoil(): bool
    {
        return $this->asked === Observation::FrostCoil;
    }

    /** The same: the plate of an ice machine with its ice. */
    public function isOfPlate(): bool
    {
        return $this->asked === Observation::IcePattern;
    }
}
