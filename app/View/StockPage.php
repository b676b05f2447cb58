<?php

namespace App\View;

use App\Models\HouseRuleChoice;
use App\Models\User;
use App\Records\Stock;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Cylinder;
use Metrum\Work\Ledger\Movement;

/** The workshop's refrigerant: its cylinders, and what moved lately. */
final readonly class StockPage
{
    private const ON_A_PAGE = 50;

    public Units $units;

    public int $page;

    public int $pages;

    /** @var array<string, Cylinder> by id */
    public array $cylinders;

    /** @var list<Movement> newest first */
    private array $movements;

    public function __construct(private Stock $stock, User $user, int $page)
    {
        $this->units = $user->units();
        $this->cylinders = $stock->cylinders();
        $this->movements = array_reverse($stock->movements());
        $this->pages = max(1, (int) ceil(count($this->movements) / self::ON_A_PAGE));
        $this->page = max(1, min($this->pages, $page));
    }

    /** @return list<CylinderMark> by refrigerant and number */
    public function marks(): array
    {
        $rule = HouseRuleChoice::inForce()->band(HouseRule::CylinderFill);

        return array_map(
            fn (Cylinder $one): CylinderMark => new CylinderMark($one, $rule->low, $rule->high, $this->units),
            array_values($this->cylinders),
        );
    }

    /** @return array<string, string> what is in all cylinders, by refrigerant */
    public function sums(): array
    {
        return array_map($this->units->mass(...), $this->stock->byRefrigerant());
    }

    /** @return list<Movement> of this page */
    public function movements(): array
    {
        return array_slice($this->movements, ($this->page - 1) * self::ON_A_PAGE, self::ON_A_PAGE);
    }

    /** The page of later movements; null where this is the first. */
    public function newer(): ?int
    {
        return $this->page > 1 ? $this->page - 1 : null;
    }

    /** The page of earlier ones; null where this is the last. */
    public function older(): ?int
    {
        return $this->page < $this->pages ? $this->page + 1 : null;
    }

    /** "+1.20 kg" into a plant, "−1.20 kg" out of it */
    public function amount(Movement $movement): string
    {
        return ($movement->isIn() ? '+' : '−').$this->units->mass(abs($movement->kilograms));
    }

    public function count(): int
    {
        return count($this->movements);
    }

    public function cylinderOf(Movement $movement): string
    {
        return match (true) {
            isset($this->cylinders[$movement->cylinder]) => $this->cylinders[$movement->cylinder]->label,
            $movement->cylinder === '' => '',
            default => 'no longer in stock',
        };
    }
}
