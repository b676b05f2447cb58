<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Kinds\WeighedAmount;
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

    /** @return list<Fact> additions that made good a loss before its leak was found, in their order */
    public static function beforeTheLeakWasFound(Log $log): array
    {
        $added = [];
        foreach ($log->happened() as $fact) {
            if (self::findsLeak($fact)) {
                break;
            }
            $isCharge = $fact->kind === FactKind::Move && $fact->content->key === Control::Charge->value;
            $purpose = $isCharge ? WeighedAmount::in($fact->content)->purpose : null;
            $isForLoss = in_array($purpose, [null, ChargePurpose::Leak], true);
            if ($isCharge && $isForLoss && ($fact->content->value ?? 0.0) > 0.0) {
                $added[] = $fact;
            }
        }

        return $added;
    }

    private static function findsLeak(Fact $fact): bool
    {
        if ($fact->kind === FactKind::Test && $fact->content->key === Test::NitrogenOrBubbleSearch->value) {
            return $fact->content->word === Word::LeakFound->value;
        }
        $outcome = $fact->kind === FactKind::Card ? StepTaken::outcome($fact->content) : null;
        foreach ($outcome->tells ?? [] as [$test, $word]) {
            if ($test === Test::NitrogenOrBubbleSearch && $word === Word::LeakFound) {
                return true;
            }
        }

        return false;
    }
}
