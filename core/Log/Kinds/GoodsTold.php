<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\Goods;
use Metrum\Knowledge\GoodsEvent;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;
use Metrum\Quantity\Units;

/** Which goods stand in a box, since when they are known to have been good, and what became of them, by whom. */
final readonly class GoodsTold implements KindOfFact
{
    public const YES = 'yes';

    /** Under which it keeps where they went, or how much of them. */
    public const TEXT = 'text';

    /** Under which it keeps who did or decided it. */
    public const WHO = 'reason';

    private const LONGEST = 200;

    public function content(Statement $said, Ground $ground): Content
    {
        $goods = Goods::tryFrom($said->key);
        if ($goods !== null) {
            return $said->typed === '' || $said->typed === 'no'
                ? new Content($goods->value)
                : new Content($goods->value, null, self::YES);
        }
        $event = GoodsEvent::tryFrom($said->key) ?? throw NotAFact::unknownKey($said->key, 'unknown kind of goods');
        if ($event === GoodsEvent::LastGood) {
            return $said->typed === ''
                ? new Content($event->value)
                : new Content($event->value, null, null, [
                    TimeSaid::AT => TimeSaid::in($event->label(), $said->typed)->text,
                ]);
        }
        if ($said->typed === '' || $said->reason === '') {
            throw NotAFact::because($event->label().': enter what or where, and by whom.');
        }
        foreach ([$said->typed, $said->reason] as $text) {
            if (mb_strlen($text) > self::LONGEST) {
                throw NotAFact::because($event->label().': more than '.self::LONGEST.' characters. Shorten it.');
            }
        }

        return new Content($event->value, null, self::YES, [self::TEXT => $said->typed, self::WHO => $said->reason]);
    }

    /** What became of them happened, each time; of the rest the last that was said stands. */
    public function place(Fact $fact): string
    {
        $happened = GoodsEvent::tryFrom($fact->content->key)?->decides() ?? false;

        return $happened || $fact->content->key === GoodsEvent::BroughtBack->value
            ? $fact->id
            : $fact->part.' '.$fact->content->key;
    }

    public function line(Fact $fact, Units $units): string
    {
        $content = $fact->content;
        $goods = Goods::tryFrom($content->key);
        if ($goods !== null) {
            return ($content->isCleared() ? 'Not stored here: ' : 'Stored here: ').lcfirst($goods->label());
        }
        $event = GoodsEvent::from($content->key);
        $at = TimeSaid::kept($content);

        return match (true) {
            $event === GoodsEvent::LastGood && $at === null => 'Goods, last known good: not known',
            $event === GoodsEvent::LastGood => 'Goods, last known good: '.
                $at->before($fact->takenAt)->format('j M H:i'),
            default => 'Goods, '.lcfirst($event->label()).': '.$content->text(self::TEXT).', by '.
                $content->text(self::WHO),
        };
    }

    public function stale(Content $content): array
    {
        return [];
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
