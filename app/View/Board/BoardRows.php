<?php

namespace App\View\Board;

use App\Models\Circuit;
use App\Models\Visit;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\CaseMark;
use Metrum\Findings\Mark;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\Coil;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Log\FactKind;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** The circuits of a plant as rows of its board. */
final readonly class BoardRows
{
    /** What a circuit is said to do, in the order of its day. */
    private const DOING = [State::RunningSettled, State::Off, State::InDefrost, State::AfterDefrost];

    private RackFindings $found;

    private RackFindings $judged;

    /** @param  ?RackVerdict  $verdict  null where no twin of such a plant can be built */
    public function __construct(
        private Visit $visit,
        RackFindings $found,
        RackFindings $judged,
        private ?RackVerdict $verdict,
        private Units $units,
    ) {
        $this->found = $found;
        $this->judged = $judged;
    }

    /**
     * @param  list<BoardRow>  $rows
     * @return list<BoardRow> the warmest first
     */
    public static function worstFirst(array $rows): array
    {
        usort($rows, static fn (BoardRow $a, BoardRow $b): int => [$a->mark->order(), $b->over] <=> [
            $b->mark->order(),
            $a->over,
        ]);

        return $rows;
    }

    /** @return list<BoardRow> */
    public function all(): array
    {
        $circuits = $this->visit->circuit->plant->circuits()->get()->keyBy('part');

        return array_map(
            fn (Branch $branch): BoardRow => $this->row($branch, $circuits[$branch->part->value] ?? null),
            $this->found->plant->branches,
        );
    }

    private function row(Branch $branch, ?Circuit $circuit): BoardRow
    {
        $over = $this->over($branch);
        $ranking = $this->verdict?->circuitRanking($branch->part) ?? [];
        $isKnown = ! $this->judged->of($branch->part)->isEmpty() || $over !== null;
        $holding = $this->verdict?->holdsOpen($branch);
        $walked = $circuit === null ? null : (clone $this->visit)->walking($circuit);
        $confirmed = $this->found->of($branch->part)->confirmed;

        return new BoardRow(
            $branch,
            $this->found->nameOf($branch),
            $branch->load->kind?->label() ?? '',
            self::mark($over, $this->found->cools($branch), self::leads($ranking)),
            $over,
            $this->warmest($branch, $over),
            $this->doing($branch),
            $ranking === [] || ! $isKnown ? null : RackVerdict::leading($ranking),
            $ranking === [] ? 0.0 : max($ranking),
            $ranking !== [] && in_array(RackVerdict::leading($ranking), $confirmed, true),
            $holding === null ? '' : $this->found->nameOf($holding),
            $walked === null ? '' : route('visits.show', [$walked, 'box']),
            $walked === null || count($branch->coils) < 2 ? '' : route('visits.cases', $walked),
            $this->cells($branch),
            $this->choices($branch),
        );
    }

    /** @param  array<string, float>  $ranking */
    private static function leads(array $ranking): bool
    {
        return $ranking !== [] && RackVerdict::leading($ranking) !== Fault::NoFault;
    }

    /** Warm, or suspected. */
    private static function mark(?float $over, bool $cools, bool $isSuspected): Mark
    {
        $air = CaseMark::of($over, $cools);

        return $isSuspected && $cools ? $air->or(Mark::Look) : $air;
    }

    /** K of its warmest case over the set point; null where none was read. */
    private function over(Branch $branch): ?float
    {
        $over = $this->judged->above($branch);

        return $over === [] ? null : max($over);
    }

    private function warmest(Branch $branch, ?float $over): string
    {
        $airs = [];
        foreach ($branch->coils as $coil) {
            $air = $this->judged->ofCoil($branch, $coil)->reading(Reading::BoxTemperature);
            $airs = $air === null ? $airs : [...$airs, $air];
        }
        if ($airs === []) {
            return '';
        }
        $air = $this->units->text(max($airs), QuantityKind::Temperature);
        $by = $over === null ? '' : $this->units->text(abs($over), QuantityKind::Difference);

        return match (true) {
            $over === null => $air,
            abs($over) < 0.5 => "$air, at set point",
            $over > 0.0 => "$air, $by above set",
            default => "$air, $by below set",
        };
    }

    private function doing(Branch $branch): string
    {
        $found = $this->found->of($branch->part);

        return match (true) {
            $found->saw(Observation::CircuitShut, Word::ByUs) => 'closed by us',
            $found->saw(Observation::CircuitShut, Word::FoundShut) => 'found closed',
            $found->state === null => 'state not said',
            $found->state === State::RunningSettled => 'cooling',
            default => mb_strtolower($found->state->label()),
        };
    }

    /** @return list<BoardCell> */
    private function cells(Branch $branch): array
    {
        $isOne = count($branch->coils) === 1;

        return array_map(
            fn (Coil $coil): BoardCell => BoardCell::of(
                $isOne ? $branch->part : $coil->part,
                Reading::BoxTemperature,
                $this->found->ofCoil($branch, $coil),
                $this->units,
                $isOne ? '' : $coil->name,
            ),
            $branch->coils,
        );
    }

    /** @return list<BoardChoice> */
    private function choices(Branch $branch): array
    {
        $found = $this->found->of($branch->part);
        $states = [];
        foreach (self::DOING as $state) {
            $states[$state->value] = $state === State::RunningSettled ? 'Cooling' : $state->label();
        }

        return [
            new BoardChoice($branch->part, FactKind::State, 'state', 'State', $states, $found->state?->value),
            BoardChoice::of($branch->part, Observation::CircuitShut, $found),
        ];
    }
}
