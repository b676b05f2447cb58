<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\Control;
use Metrum\Log\FactKind;
use Metrum\Log\Log;

/** Refrigerant that went in and out at a visit, kg. */
final readonly class Movements
{
    private function __construct(public float $added, public float $recovered)
    {
    }

    public static function of(Log $log): self
    {
        $added = $recovered = 0.0;
        foreach ($log->history(FactKind::Move) as $move) {
            if ($move->content->key === Control::Charge->value) {
                $added += max(0.0, $move->content->value ?? 0.0);
                $recovered += max(0.0, -($move->content->value ?? 0.0));
            }
        }

        return new self($added, $recovered);
    }
}
