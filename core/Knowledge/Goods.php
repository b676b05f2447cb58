<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** Kinds of goods, each with its limits as a house rule. Local food rules decide, and the owner. */
enum Goods: string
{
    case Meat = 'meat';
    case Poultry = 'poultry';
    case Fish = 'fish';
    case Dairy = 'dairy';
    case ReadyToEat = 'ready_to_eat';
    case Produce = 'produce';
    case Frozen = 'frozen';

    public function label(): string
    {
        return match ($this) {
            self::Meat => 'Fresh meat',
            self::Poultry => 'Poultry',
            self::Fish => 'Fresh fish',
            self::Dairy => 'Dairy',
            self::ReadyToEat => 'Ready-to-eat food',
            self::Produce => 'Fruit and vegetables',
            self::Frozen => 'Frozen goods',
        };
    }

    /** Its lowest and its highest temperature. */
    public function rule(): HouseRule
    {
        return match ($this) {
            self::Meat => HouseRule::GoodsMeat,
            self::Poultry => HouseRule::GoodsPoultry,
            self::Fish => HouseRule::GoodsFish,
            self::Dairy => HouseRule::GoodsDairy,
            self::ReadyToEat => HouseRule::GoodsReadyToEat,
            self::Produce => HouseRule::GoodsProduce,
            self::Frozen => HouseRule::GoodsFrozen,
        };
    }

    /** Whether cold can spoil it: what is frozen takes no harm by more of it. */
    public function canFreeze(): bool
    {
        return $this !== self::Frozen;
    }
}
