<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Data\Refused;
use Metrum\Installation\Circuit;
use Metrum\Installation\CircuitWriter;
use Metrum\Installation\DesignKey;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\Log;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Units;

/** The circuit's words or design values were changed while the visit was open: it is judged by them from then on. */
final readonly class CircuitChanged implements KindOfFact
{
    private const KEY = 'circuit';

    /** Under which is kept what other circuits draw beside it. */
    private const OTHERS = 'others';

    public static function to(Circuit $circuit): Content
    {
        $data = ['system' => CircuitWriter::system($circuit), 'design' => CircuitWriter::design($circuit)];

        return new Content(self::KEY, null, null, $data + [self::OTHERS => $circuit->others]);
    }

    /** The circuit that a content says. @throws Refused where it was written by hand and is none */
    public static function circuit(Content $content): Circuit
    {
        $part = static function (string $name) use ($content): array {
            $given = $content->data[$name] ?? [];
            $words = [];
            foreach (is_array($given) ? $given : [] as $key => $value) {
                $words[(string) $key] = $value;
            }

            return $words;
        };

        $circuit = Circuit::fromWords($part('system'), $part('design'));
        $others = $content->data[self::OTHERS] ?? null;

        return is_int($others) || is_float($others) ? $circuit->beside((float) $others) : $circuit;
    }

    /** What a log told last of its circuit; null where it was not changed. */
    public static function last(Log $log): ?Circuit
    {
        $changed = $log->fact(FactKind::Circuit, self::KEY);

        return $changed === null ? null : self::circuit($changed->content);
    }

    /** The set point of the box is told where it is read; all else is changed on the circuit's page. */
    public function content(Statement $said, Ground $ground): Content
    {
        if ($ground->circuit === null || $said->key !== DesignKey::BoxSetPoint->value) {
            throw NotAFact::because('Edit the circuit on its own page; open visits update.');
        }
        $field = DesignKey::BoxSetPoint->field();
        try {
            $amount = $field->read($said->typed, $ground->units);
        } catch (NotAQuantity $reason) {
            throw NotAFact::because($reason->getMessage());
        }
        $circuit = $ground->circuit->with($ground->circuit->design->with(DesignKey::BoxSetPoint, $amount->si));

        return self::to($circuit)->keeping(['told' => $said->key]);
    }

    public function place(Fact $fact): string
    {
        return self::KEY;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;
        $circuit = self::circuit($content);
        $set = $circuit->design->boxSetPoint;

        return $content->text('told') === DesignKey::BoxSetPoint->value && $set !== null
            ? 'Box set point '.$units->text($set, DesignKey::BoxSetPoint->field()->kind)
            : 'Circuit edited, now '.$circuit->refrigerant;
    }

    public function stale(Content $content): array
    {
        return Region::cases();
    }

    public function canBeTakenBack(): bool
    {
        return false;
    }
}
