<?php

namespace App\View\Owner;

use App\Models\DecisionWord;
use App\Models\OwnerChoice;
use App\Models\OwnerDecision;
use App\Models\PriceLine;
use App\Models\Workshop;

/** One choice as it is shown: its lines, its sum with tax, and what was decided. */
final readonly class ChoiceCard
{
    /** @var list<array{string, string, string}> what, how much of it, and its amount */
    public array $lines;

    public string $tax;

    public string $total;

    public ?OwnerDecision $decision;

    public function __construct(public OwnerChoice $choice, Workshop $workshop, Money $money)
    {
        $amounts = $choice->amounts();
        $this->lines = array_map(
            static fn (PriceLine $one): array => [
                $one->what,
                self::quantity($one),
                $money->text($one->amount()),
            ],
            $amounts->lines,
        );
        $percent = $workshop->tax_percent;
        $this->tax = $percent > 0.0 && $amounts->lines !== []
            ? (float) $percent.' %: '.$money->text($amounts->tax($percent))
            : '';
        $this->total = $money->text($amounts->total($percent));
        $this->decision = $choice->decision();
    }

    private static function quantity(PriceLine $one): string
    {
        $quantity = rtrim(rtrim(number_format($one->quantity, 2, '.', ''), '0'), '.');

        return $one->unit === '' && $quantity === '1' ? '' : trim($quantity.' '.$one->unit);
    }

    /** @return list<array{string, string}> how long it lasts, and what is prepared for it */
    public function terms(): array
    {
        $terms = [['Lasts', $this->choice->lasts], ['Please prepare', $this->choice->prepare]];

        return array_values(array_filter($terms, static fn (array $one): bool => $one[1] !== ''));
    }

    /** "Labour 2.5 h €195.00 · Duct elbow 1 pc €64.00" */
    public function inOneLine(): string
    {
        return implode(' · ', array_map(
            static fn (array $one): string => implode(' ', array_filter($one, static fn (string $it) => $it !== '')),
            $this->lines,
        ));
    }

    public function isFree(): bool
    {
        return $this->lines === [];
    }

    public function isRefused(): bool
    {
        return $this->decision?->word === DecisionWord::Refused;
    }
}
