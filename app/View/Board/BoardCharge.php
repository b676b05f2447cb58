<?php

namespace App\View\Board;

use App\Models\Visit;
use App\Records\Stock;
use App\View\CylinderChoice;
use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Rack\RackCharge;
use Metrum\Diagnosis\Requirement;
use Metrum\Findings\RackFindings;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Control;
use Metrum\Quantity\Format;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use Metrum\Work\Assessment;
use Metrum\Work\Movements;
use Metrum\Work\Preconditions;

/** The charge of a plant of several circuits: what is missing by its level, what the book says, and what must hold. */
final readonly class BoardCharge
{
    public ?RackCharge $charge;

    public CylinderChoice $choice;

    public Movements $moved;

    private Stock $stock;

    public function __construct(
        private Visit $visit,
        private Assessment $assessment,
        RackFindings $found,
        private Units $units,
    ) {
        $verdict = $assessment->rack();
        $this->charge = $verdict === null ? null : RackCharge::of($verdict->examined, $found);
        $this->stock = new Stock();
        $refrigerant = $visit->plantAsOpened()->highSide->refrigerant;
        $this->choice = new CylinderChoice($this->stock, $refrigerant, $visit->log(), $units);
        $this->moved = Movements::of($visit->log());
    }

    /** What is missing, in one sentence. */
    public function says(): string
    {
        $missing = $this->charge?->missing();
        if ($this->charge === null || $missing === null) {
            return 'Read the receiver level: only the level shows the charge of a rack.';
        }
        $about = $this->about(abs($missing)).' (± '.$this->about($this->charge->deviation()).')';

        return match (true) {
            $this->charge->isShort() && $this->charge->isAtLeast() => 'Short by at least '.
                $this->about($missing).': an empty receiver shows no more.',
            $this->charge->isShort() => "Short by about $about.",
            $this->charge->isOver() => "About $about too much.",
            default => 'Charge as expected.',
        };
    }

    /** "Next: add 10 kg, wait, then read the level.", or what must hold before that; empty where nothing is missing. */
    public function next(): string
    {
        $next = $this->charge?->next();
        $shut = $next === null ? [] : (new Gate($this->gates()))->shut();

        return match (true) {
            $next === null => '',
            $shut !== [] => 'Before adding: '.Gate::why($shut)->in($this->units).'.',
            default => 'Next: add '.$this->about($next).', wait, then read the level'.$this->foretold($next).'.',
        };
    }

    private function foretold(float $kilograms): string
    {
        $level = $this->charge?->levelWith($kilograms);

        return $level === null ? '' : ' (about '.self::percent($level).' then)';
    }

    private static function percent(float $level): string
    {
        return Format::number(Unit::Percent->fromSi(max(0.0, $level)), 0).' %';
    }

    /** Of a rack nobody can tell grams. */
    private function about(float $kilograms): string
    {
        return Magnitude::mass($kilograms)->whole()->in($this->units);
    }

    public function typed(): string
    {
        $next = $this->charge?->next();

        return $next === null ? '' : $this->units->mass($next);
    }

    /** @return list<array{name: string, value: string, asks: bool}> */
    public function facts(): array
    {
        return [...$this->book(), ...$this->here(), ...$this->winter(), ...$this->returns()];
    }

    /** @return list<array{name: string, value: string, asks: bool}> by weights: plate, ledger, this visit, cylinders */
    private function book(): array
    {
        $book = $this->stock->bookBefore($this->visit);
        $plate = $this->visit->plantAsOpened()->highSide->plateCharge;
        $now = $book === null ? null : $book + $this->moved->added - $this->moved->recovered;
        $said = array_filter([
            $now === null ? 'no first charge booked' : $this->units->mass($now),
            $plate === null ? '' : 'nameplate '.$this->units->mass($plate),
        ]);
        $fresh = $this->choice->fresh();

        return [
            ['name' => 'By the ledger', 'value' => implode(', ', $said),
                'asks' => false],
            ['name' => 'This visit', 'value' => $this->movedWords(), 'asks' => false],
            ['name' => 'New in cylinders', 'value' => $this->units->mass($fresh),
                'asks' => $fresh < ($this->charge?->next() ?? 0.0)],
        ];
    }

    private function movedWords(): string
    {
        $words = array_filter([
            $this->moved->added > 0.0 ? 'added '.$this->units->mass($this->moved->added) : '',
            $this->moved->recovered > 0.0 ? 'recovered '.$this->units->mass($this->moved->recovered) : '',
        ]);

        return $words === [] ? 'nothing moved' : implode(', ', $words);
    }

    /** @return list<array{name: string, value: string, asks: bool}> by the level */
    private function here(): array
    {
        if ($this->charge === null) {
            return [];
        }
        $in = $this->charge->inPlant();
        $room = $this->charge->room();
        $down = $this->charge->pumpedDown();
        $level = match (true) {
            $in !== null => 'about '.$this->about($in),
            $this->charge->level === null => 'level not read',
            default => 'unknown below level 0',
        };
        $holds = $this->about($down->holds);
        $facts = [
            ['name' => 'By the level', 'value' => $level, 'asks' => false],
            ['name' => 'Pumped down', 'value' => $down->isFitting()
                ? "receiver takes all of it ($holds)"
                : "receiver takes $holds of ".$this->about($down->charge), 'asks' => ! $down->isFitting()],
        ];

        return $room === null ? $facts : [
            ...$facts,
            ['name' => 'Room to 80 %', 'value' => $this->about($room), 'asks' => false],
        ];
    }

    /** @return list<array{name: string, value: string, asks: bool}> */
    private function winter(): array
    {
        $level = $this->charge?->coldestLevel();
        $extra = $this->charge?->winter();
        if ($this->charge === null || $level === null || $extra === null) {
            return [];
        }
        $at = $this->units->text($this->charge->coldest(), QuantityKind::Temperature);
        $filled = self::percent((float) $this->charge->coldestFilled());
        $then = match (true) {
            $extra > 0.0 => ': winter charge '.$this->about($extra).' on top',
            RackCharge::covers($level) => ': outlet stays covered',
            default => ", $filled once the missing charge is in: outlet stays covered then",
        };

        return [[
            'name' => "Coldest day, $at",
            'value' => 'level '.self::percent($level).' with what is in'.$then,
            'asks' => ! RackCharge::covers($level),
        ]];
    }

    /** @return list<array{name: string, value: string, asks: bool}> when somebody comes back to this visit's work */
    private function returns(): array
    {
        $returns = [];
        foreach ($this->visit->followUps->whereNull('done_at') as $one) {
            $returns[] = [
                'name' => 'Return by '.$one->due_on->format('j M'),
                'value' => $one->what,
                'asks' => $one->isDue(),
            ];
        }

        return $returns;
    }

    /** @return list<Requirement> what must hold before anything is added */
    public function gates(): array
    {
        $part = $this->assessment->window->partOf(Control::Charge);

        return Preconditions::at($this->assessment, $this->assessment->judged(), $part)->of(Control::Charge);
    }

    /** Whether a reason is wanted before anything is added. */
    public function isHeldBack(): bool
    {
        return (new Gate($this->gates()))->shut() !== [];
    }

    /** Where a thing that a gate asks for is entered. */
    public function linkTo(Asked $asked): string
    {
        return '#board-'.strtr($asked->value.'-plant', ['_' => '-', ' ' => '-']);
    }
}
