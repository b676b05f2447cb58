<?php

namespace App\View;

use App\Records\Stock;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\Log;
use Metrum\Quantity\Units;
use Metrum\Work\Ledger\Cylinder;

/** Out of which cylinder refrigerant goes in, or into which it comes, and what for. */
final readonly class CylinderChoice
{
    /** @var array<string, Cylinder> of this refrigerant, by id */
    public array $cylinders;

    public function __construct(Stock $stock, string $refrigerant, private Log $log, private Units $units)
    {
        $this->cylinders = $stock->cylinders($refrigerant);
    }

    /** "C-12, new, 8.40 kg left" */
    public function words(Cylinder $cylinder): string
    {
        return $cylinder->label.($cylinder->isRecovered ? ', recovered' : ', new').', '.
            $this->units->mass($cylinder->content).' left';
    }

    /** Id of the cylinder that was used last at this visit; empty for none. */
    public function last(): string
    {
        $last = '';
        foreach ($this->log->history(FactKind::Move) as $move) {
            $used = WeighedAmount::in($move->content)->cylinder;
            $last = $used === '' ? $last : $used;
        }

        return $last;
    }

    /** kg of new refrigerant in all of them. */
    public function fresh(): float
    {
        return array_sum(array_map(
            static fn (Cylinder $one): float => $one->isRecovered ? 0.0 : $one->content,
            $this->cylinders,
        ));
    }

    /** @return array<string, string> label by word */
    public function purposes(): array
    {
        $labels = [];
        foreach (ChargePurpose::cases() as $purpose) {
            $labels[$purpose->value] = $purpose->label();
        }

        return $labels;
    }
}
