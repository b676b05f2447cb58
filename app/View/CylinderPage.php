<?php

namespace App\View;

use App\Models\Cylinder;
use App\Models\HouseRuleChoice;
use App\Models\StockMove;
use App\Models\User;
use App\Records\Stock;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Movement;

/** One cylinder: what is in it, and all that happened to it. */
final readonly class CylinderPage
{
    public Units $units;

    public CylinderMark $mark;

    public function __construct(public Cylinder $cylinder, private Stock $stock, User $user)
    {
        $this->units = $user->units();
        $rule = HouseRuleChoice::inForce()->band(HouseRule::CylinderFill);
        $known = $stock->cylinder($cylinder->id) ?? $cylinder->known(0.0);
        $this->mark = new CylinderMark($known, $rule->low, $rule->high, $this->units);
    }

    /** @return list<array{\DateTimeInterface, string, string, ?StockMove}> when, how much, what; newest first */
    public function happened(): array
    {
        $rows = [];
        foreach ($this->cylinder->stockMoves()->with('user')->get() as $one) {
            $what = StockMove::WHY[$one->why].($one->note === '' ? '' : ', '.$one->note);
            $back = $one->taken_back_at === null ? '' : ' (undone)';
            $moved = $this->units->signedMass($one->kilograms);
            $rows[] = [$one->moved_at, $moved, $what.$back.' · '.$one->user->name, $one];
        }
        foreach ($this->stock->movements() as $one) {
            if ($one->cylinder === $this->cylinder->id) {
                $rows[] = [$one->at, $this->units->signedMass(-$one->kilograms), self::atPlant($one), null];
            }
        }
        usort($rows, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $rows;
    }

    private static function atPlant(Movement $one): string
    {
        return ($one->isIn() ? 'into ' : 'out of ').$one->where.', '.$one->purpose->label().' · '.$one->who;
    }
}
