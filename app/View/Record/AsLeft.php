<?php

namespace App\View\Record;

use App\Models\Circuit;
use App\Models\User;
use App\Records\ControlsLeft;
use App\Records\Folds;
use App\Records\Judge;
use App\Records\LevelMarks;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\ControlPosition;
use Metrum\Work\Desk\Story;
use Metrum\Work\Response;

/** How a circuit was left: each control where it stands, with what it has shown, and marks on the receiver. */
final readonly class AsLeft
{
    /** Marks that are told. */
    private const MARKS = 2;

    private Units $units;

    /** @var list<array{name: string, left: string, learned: string}> */
    public array $rows;

    public function __construct(private Circuit $circuit, User $user, Judge $judge, Folds $folds)
    {
        $this->units = $user->units();
        $this->rows = [...$this->controls(new ControlsLeft($circuit, $judge, $folds)), ...$this->marks()];
    }

    /** @return list<array{name: string, left: string, learned: string}> */
    private function controls(ControlsLeft $book): array
    {
        $left = $book->all();
        $learned = $left === [] ? [] : $book->learned();

        return array_map(
            fn (ControlPosition $one): array => [
                'name' => $one->name(),
                'left' => $one->words($this->units).', '.$one->at->format('j M Y'),
                'learned' => $this->told($one, $learned),
            ],
            $left,
        );
    }

    /** @param  list<Response>  $learned */
    private function told(ControlPosition $position, array $learned): string
    {
        foreach ($learned as $one) {
            if ($one->control === $position->control && $one->part->is($position->part)) {
                return Story::learned($one)->in($this->units);
            }
        }

        return '';
    }

    /** @return list<array{name: string, left: string, learned: string}> */
    private function marks(): array
    {
        return array_map(
            fn (array $one): array => [
                'name' => 'Receiver level marked',
                'left' => $this->units->text($one[1], QuantityKind::Share).', '.$one[0]->format('j M Y'),
                'learned' => LevelMarks::initials($one[2]),
            ],
            array_slice(LevelMarks::of($this->circuit), 0, self::MARKS),
        );
    }
}
