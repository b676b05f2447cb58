<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What has to be done for an answer, least first. */
enum Effort: string
{
    case Look = 'look';
    case Hand = 'hand';
    case Clamp = 'clamp';
    case Gauge = 'gauge';
    case Intervention = 'intervention';

    public function label(): string
    {
        return match ($this) {
            self::Look => 'by eye',
            self::Hand => 'by hand',
            self::Clamp => 'with a clamp',
            self::Gauge => 'with gauges',
            self::Intervention => 'hands-on work',
        };
    }

    public function isMoreThan(self $other): bool
    {
        $order = self::cases();

        return array_search($this, $order, true) > array_search($other, $order, true);
    }
}
