<?php

namespace App\View;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Models\User;
use App\Picture\LedgerPicture;
use App\Records\Stock;
use Metrum\Findings\Mark;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Format;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Cylinder;
use Metrum\Work\Ledger\Ledger;

/** The ledger of a plant: what is in by the book, what leaks a year by both methods, and each movement. */
final readonly class LedgerPage
{
    public Units $units;

    public Ledger $ledger;

    /** @var array<string, Cylinder> by id */
    private array $cylinders;

    public function __construct(public Circuit $circuit, Stock $stock, User $user)
    {
        $this->units = $user->units();
        $this->ledger = $stock->ledger($circuit);
        $this->cylinders = $stock->cylinders();
    }

    public function picture(): ?LedgerPicture
    {
        return $this->ledger->movements === [] ? null : new LedgerPicture($this->ledger, now(), $this->units);
    }

    /** @return list<array{?Mark, string, string}> mark, none where nothing is known; method and rate in words */
    public function rates(): array
    {
        $threshold = HouseRuleChoice::inForce()->band(HouseRule::LeakThreshold);
        $rows = [];
        $methods = [
            'Since previous top-up, annualised' => $this->ledger->annualised(),
            'Last 12 months' => $this->ledger->rolling(now()),
        ];
        foreach ($methods as $name => $rate) {
            $mark = match (true) {
                $rate === null => null,
                $rate < $threshold->low => Mark::Fine,
                $rate < $threshold->high => Mark::Look,
                default => Mark::Act,
            };
            $said = $rate === null ? 'no data' : Format::number(100 * $rate, 0).' % per year';
            $rows[] = [$mark, $name, $said];
        }

        return $rows;
    }

    /** "Limit 20 % (house rule)." */
    public function threshold(): string
    {
        $high = HouseRuleChoice::inForce()->band(HouseRule::LeakThreshold)->high;

        return 'Limit '.Format::number(100 * $high, 0).' % (house rule). Local law takes precedence.';
    }

    public function full(): string
    {
        return $this->ledger->full === null ? 'not known' : $this->units->mass($this->ledger->full);
    }

    public function now(): string
    {
        $now = $this->ledger->now();

        return $now === null ? 'not known' : $this->units->mass($now);
    }

    /** @return array<string, string> kg that went in less what came out, by purpose in words */
    public function sums(): array
    {
        $sums = [];
        foreach ($this->ledger->byPurpose() as $purpose => $kilograms) {
            $label = ChargePurpose::from($purpose)->label();
            $sums[$label] = $this->units->signedMass($kilograms);
        }

        return $sums;
    }

    /** @return array<string, list<string>> what an invoice wants: of the last day, and of all of them */
    public function invoices(): array
    {
        $day = $this->ledger->lastDay();
        $sums = [
            'Added' => $day->added(),
            'Recovered' => $day->recovered(),
            'Added, total' => $this->ledger->added(),
            'Recovered, total' => $this->ledger->recovered(),
        ];

        return array_map($this->amounts(...), array_filter($sums));
    }

    /** @return string day of the last movement; "" before the first */
    public function lastDay(): string
    {
        $day = $this->ledger->lastDay()->movements[0] ?? null;

        return $day === null ? '' : $day->at->format('j M Y');
    }

    /** @return list<string> in kilograms, grams, pounds and ounces */
    private function amounts(float $kilograms): array
    {
        $amounts = [];
        foreach ([Unit::Kilogram, Unit::Gram, Unit::Pound, Unit::Ounce] as $unit) {
            $amounts[] = Format::number($unit->fromSi($kilograms), $unit === Unit::Gram ? 0 : 2).' '.$unit->symbol();
        }

        return $amounts;
    }

    /** @return list<array<string, string>> at, amount, purpose, cylinder, in, who and invoice; newest first */
    public function rows(): array
    {
        $rows = [];
        $running = $this->ledger->running();
        foreach ($this->ledger->movements as $i => $one) {
            $label = isset($this->cylinders[$one->cylinder]) ? $this->cylinders[$one->cylinder]->label : $one->cylinder;
            $weights = $one->before === null || $one->after === null
                ? ''
                : ' '.$this->units->mass($one->before).' → '.$this->units->mass($one->after);
            $rows[] = [
                'at' => $one->at->format('j M Y'),
                'amount' => $this->units->signedMass($one->kilograms),
                'purpose' => $one->purpose->label(),
                'cylinder' => trim($label.$weights),
                'in' => $running[$i] === null ? '' : $this->units->mass($running[$i]),
                'who' => $one->who,
                'invoice' => implode(' = ', $this->amounts(abs($one->kilograms))),
            ];
        }

        return array_reverse($rows);
    }
}
