<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Taken;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Field;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** A reading: the last one of each key stands. */
final readonly class ReadingTaken implements KindOfFact
{
    private const ABOVE_CRITICAL = 'R-744';

    /** With what it was taken. */
    public const WITH = 'taken';

    public function content(Statement $said, Ground $ground): Content
    {
        $reading =
            Reading::tryFrom($said->key) ??
            throw NotAFact::unknownKey($said->key, 'unknown reading');
        if ($said->typed === '') {
            return new Content($said->key);
        }
        try {
            [$typed, $with] = Taken::isSaidOf($reading) ? Taken::apart($said->typed) : [$said->typed, null];
            $amount = self::field($reading, $ground)->read($typed, $ground->units);
        } catch (NotAQuantity $reason) {
            throw NotAFact::because($reason->getMessage());
        }
        $data = ['typed' => $said->typed, 'unit' => $amount->unit->value];
        $data += $with === null ? [] : [self::WITH => $with->value];

        return new Content($said->key, $amount->si, null, $data);
    }

    /** No pressure stands above what the refrigerant can have beside its liquid; carbon dioxide runs above it. */
    private static function field(Reading $reading, Ground $ground): Field
    {
        $field = $reading->field($ground->atmosphere);
        $fluid = $ground->circuit?->fluid();
        if ($fluid === null || $fluid->name === self::ABOVE_CRITICAL || $field->kind !== QuantityKind::GaugePressure) {
            return $field;
        }

        return $field->below(
            $ground->atmosphere->gauge($fluid->highestPressure()),
            "$fluid->name has no higher pressure with liquid present",
        );
    }

    /** With what a reading was taken; null: as its place asks. */
    public static function with(Content $content): ?Taken
    {
        return Taken::tryFrom($content->text(self::WITH));
    }

    public function place(Fact $fact): string
    {
        return $fact->part.' '.$fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;
        $reading = Reading::from($content->key);
        $value =
            $content->value === null ? 'not measured' : $units->text($content->value, $reading->quantity());

        $with = self::with($content);

        return $reading->short().' '.$value.($with === null ? '' : ' ('.$with->label().')');
    }

    public function stale(Content $content): array
    {
        return Region::cases();
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
