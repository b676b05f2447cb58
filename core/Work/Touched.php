<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/** What was touched at a visit and is not put back yet. */
final readonly class Touched
{
    /** @param  array<string, Fact>  $open  by subject and key */
    private function __construct(public array $open)
    {
    }

    public static function of(Log $log): self
    {
        $open = [];
        foreach ($log->happened() as $fact) {
            $name = $fact->content->subject.' '.$fact->content->key;
            if ($fact->kind === FactKind::Touched) {
                $open[$name] = $fact;
            } elseif ($fact->kind === FactKind::Restored) {
                unset($open[$name]);
            }
        }

        return new self($open);
    }

    /** @return list<string> keys, in the order in which they were touched */
    public function keys(): array
    {
        return array_values(array_map(static fn (Fact $fact): string => $fact->content->key, $this->open));
    }
}
