<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Card\Card;
use Metrum\Card\Cards;
use Metrum\Card\Outcome;
use Metrum\Card\Step;
use Metrum\Card\StepKind;
use Metrum\Card\Stop;
use Metrum\Language\Heading;
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
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;

/**
 * A step of a card was taken. Its key is "card.step"; four steps every card has: `begun`, with the reason where a gate
 * was passed, `done`, with its outcome or stop as the word, `passed`, with the stop as the word and the reason, and
 * `no_result`, with the reason why it came to no end.
 */
final readonly class StepTaken implements KindOfFact
{
    /** Under which `done` keeps the readings that came of it, SI, and what it said. */
    private const KEEPS = 'keeps';

    private const SAYS = 'says';

    private const YES = 'yes';

    /**
     * What a card came to, as a fact keeps it.
     *
     * @param  array<string, float>  $keeps  SI by key of the reading
     */
    public static function done(Card $card, Outcome $outcome, string $says, array $keeps): Content
    {
        $data = [self::SAYS => $says] + ($keeps === [] ? [] : [self::KEEPS => $keeps]);

        return new Content($card->stepKey(Card::DONE), null, $outcome->key, $data);
    }

    public function content(Statement $said, Ground $ground): Content
    {
        if (! self::isKnown($said->key)) {
            throw NotAFact::unknownKey($said->key, 'unknown procedure step');
        }
        if ($said->typed === '') {
            return new Content($said->key);
        }
        $field = self::field($said->key);
        if ($field !== null) {
            return self::amount($said, $field, $ground);
        }
        $words = self::words($said->key);
        if (! in_array($said->typed, $words, true)) {
            $label = self::step($said->key)->label ?? self::card($said->key)->name ?? $said->key;
            $answers = self::step($said->key)->answers ?? [];
            throw NotAFact::unknownWord($label, $said->typed, $answers === [] ? $words : array_values($answers));
        }
        if ($said->reason === '' && in_array(self::own($said->key), [Card::PASSED, Card::LEFT], true)) {
            throw NotAFact::because('Give a reason: the next person must know.');
        }
        $data = $said->reason === '' ? [] : ['reason' => $said->reason];

        return new Content($said->key, null, $said->typed, $data);
    }

    /** @throws NotAFact */
    private static function amount(Statement $said, Field $field, Ground $ground): Content
    {
        try {
            $amount = $field->at($ground->atmosphere)->read($said->typed, $ground->units);
        } catch (NotAQuantity $reason) {
            throw NotAFact::because($reason->getMessage());
        }
        $data = ['typed' => $said->typed, 'unit' => $amount->unit->value];

        return new Content($said->key, $amount->si, null, $data);
    }

    /** Every value of a timed series stands; of other steps the last one. */
    public function place(Fact $fact): string
    {
        $stays = self::step($fact->content->key)?->kind === StepKind::Time || self::own($fact->content->key) !== null;

        return $stays ? $fact->id : $fact->part.' '.$fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;
        $card = self::card($content->key);
        $step = self::step($content->key);
        $part = $fact->part->name();
        $of = ($card->name ?? $content->key).($part === '' ? '' : ', '.$part);
        if ($step !== null) {
            return $of.', '.self::answer($step, $content, $units);
        }
        $reason = $content->text('reason');

        return match (self::own($content->key)) {
            Card::DONE => "$of: ".self::outcome($content)?->label.'. '.
                $units->retell($content->text(self::SAYS)),
            Card::PASSED => "$of continued although ".
                lcfirst(self::card($content->key)?->stop((string) $content->word)->outcome->label ?? 'it was stopped').
                ", because $reason",
            Card::LEFT => "$of ended without result, because $reason",
            default => "$of started".($reason === '' ? '' : ', despite open conditions: '.$reason),
        };
    }

    /** "highest suction with the bulb warm: 3.50 bar" */
    private static function answer(Step $step, Content $content, Units $units): string
    {
        $field = self::field($content->key);
        $label = Heading::within($step->label);

        $units = $units->asTyped(self::typedIn($content));

        return match (true) {
            $content->isCleared() => "removed: $label",
            $content->value !== null && $field !== null => $label.': '.
                $units->text($content->value, $field->kind).
                self::ago($content, $units),
            $step->answers !== [] => $label.': '.($step->answers[$content->word] ?? ''),
            default => $label,
        };
    }

    /** The unit in which an amount was typed; null where none was kept. */
    public static function typedIn(Content $content): ?Unit
    {
        return Unit::tryFrom($content->text('unit'));
    }

    private static function ago(Content $content, Units $units): string
    {
        $ago = Trace::ago($content);

        return $ago > 0.0 ? ', '.$units->text($ago, QuantityKind::Duration).' earlier' : '';
    }

    public function stale(Content $content): array
    {
        return self::own($content->key) === Card::DONE ? Region::cases() : [Region::Work];
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }

    /** Whether a card has such a step, and its answer is a fact of the card. */
    public static function isKnown(string $key): bool
    {
        return self::own($key) !== null || self::step($key)?->isOwn() === true;
    }

    public static function card(string $key): ?Card
    {
        return Cards::find(Card::split($key)[0]);
    }

    public static function step(string $key): ?Step
    {
        return self::card($key)?->step(Card::split($key)[1]);
    }

    /** Which of the steps that every card has; null for a step of its own. */
    private static function own(string $key): ?string
    {
        $step = Card::split($key)[1];

        return self::card($key) !== null && in_array($step, Card::OWN, true) ? $step : null;
    }

    /** In which an amount is given; null where a word is. */
    public static function field(string $key): ?Field
    {
        $step = self::step($key);

        return $step?->kind === StepKind::Wait ? ClockSet::field() : $step?->field;
    }

    /** @return list<string> with which a step can be answered */
    public static function words(string $key): array
    {
        $step = self::step($key);

        return match (true) {
            $step !== null && $step->answers !== [] => array_map(strval(...), array_keys($step->answers)),
            self::own($key) === Card::DONE => array_map(
                static fn (Outcome $one): string => $one->key,
                self::card($key)?->ends() ?? [],
            ),
            self::own($key) === Card::PASSED => self::passable($key),
            default => [self::YES],
        };
    }

    /** @return list<string> stops of its card that a reason passes */
    private static function passable(string $key): array
    {
        $stops = array_filter(
            self::card($key)?->stops() ?? [],
            static fn (Stop $stop): bool => $stop->canBePassed,
        );

        return array_values(array_map(static fn (Stop $stop): string => $stop->key(), $stops));
    }

    /** Whether it tells that a card was stopped. */
    public static function isStop(Content $content): bool
    {
        return self::own($content->key) === Card::DONE &&
            self::card($content->key)?->stop((string) $content->word) !== null;
    }

    /** What a card came to; null for any other step. */
    public static function outcome(Content $content): ?Outcome
    {
        return self::own($content->key) === Card::DONE
            ? self::card($content->key)?->outcome((string) $content->word)
            : null;
    }

    /** @return array<string, float> readings that came of a card, SI by key */
    public static function keeps(Content $content): array
    {
        $kept = [];
        $given = self::own($content->key) === Card::DONE ? $content->data[self::KEEPS] ?? [] : [];
        foreach (is_array($given) ? $given : [] as $key => $si) {
            if (is_float($si) || is_int($si)) {
                $kept[(string) $key] = (float) $si;
            }
        }

        return $kept;
    }

    /** Whether it says something of the plant that is weighed. */
    public static function tells(Content $content): bool
    {
        return (self::outcome($content)->tells ?? []) !== [] || self::keeps($content) !== [];
    }

    /** What a card said when it was done. */
    public static function said(Content $content): string
    {
        return $content->text(self::SAYS);
    }

    /** What it leaves to be put back; empty: nothing. */
    public static function touches(Content $content): string
    {
        return $content->isCleared() ? '' : self::step($content->key)->touches ?? '';
    }

    public static function restores(Content $content): string
    {
        return $content->isCleared() ? '' : self::step($content->key)->restores ?? '';
    }

    public static function waits(Content $content): bool
    {
        return self::step($content->key)?->kind === StepKind::Wait && $content->value !== null;
    }
}
