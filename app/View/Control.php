<?php

namespace App\View;

use Metrum\Log\FactKind;

/** The control that was used: of which kind of fact, about what, and what was typed in it. */
final readonly class Control
{
    /** @param  ?FactKind  $kind  null: the quick line, or a kind that is none */
    public function __construct(public ?FactKind $kind, public string $key, public string $typed = '')
    {
    }

    public function isLine(): bool
    {
        return $this->kind === null && $this->key === 'line';
    }
}
