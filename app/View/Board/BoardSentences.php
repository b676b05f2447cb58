<?php

namespace App\View\Board;

use Metrum\Diagnosis\Rack\NoAnswer;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Findings\CaseMark;
use Metrum\Findings\RackFindings;
use Metrum\Installation\Branch;
use Metrum\Installation\SuctionGroup;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Log\Log;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;

/** What the board says in sentences: who is warm and why that may be, what is closed, whose limit it is, the level. */
final readonly class BoardSentences
{
    /** Level below which nothing can be read at a receiver, 0 … 1. */
    private const EMPTY = 0.01;

    /** K of header that make a difference to anybody. */
    private const WORTH = 0.5;

    /** K above its set point to which compressors in steps still hold a header. */
    private const HELD = 1.5;

    public function __construct(
        private RackFindings $found,
        private ?RackVerdict $verdict,
        private Units $units,
    ) {
    }

    /**
     * Who is out of range.
     *
     * @param  list<BoardRow>  $rows
     */
    public function headline(array $rows): string
    {
        $warm = array_values(
            array_filter(
                $rows,
                fn (BoardRow $one): bool => $one->over >= CaseMark::LOOK && $this->found->cools($one->branch),
            ),
        );
        $read = array_filter($rows, static fn (BoardRow $one): bool => $one->over !== null);

        return match (true) {
            $read === [] => 'No case temperature entered yet',
            $warm === [] => 'All circuits read are within range',
            count($warm) === 1 => $warm[0]->name.' is out of range',
            default => count($warm).' of '.count($read).' circuits are out of range',
        };
    }

    /**
     * What follows from that.
     *
     * @param  list<BoardRow>  $rows
     * @return list<string>
     */
    public function underIt(array $rows): array
    {
        $said = [];
        foreach ($rows as $row) {
            if ($row->over >= CaseMark::LOOK && $this->found->cools($row->branch)) {
                $by = $this->units->text((float) $row->over, QuantityKind::Difference);
                $said[] = "{$row->name}: warmest case $by above its set point.";
            }
            if ($row->holding !== '') {
                $said[] = "{$row->holding} keeps the EPR of {$row->name} open. ".
                    'The cold cases next to it do not confirm that the EPR works.';
            }
        }

        return array_slice($said, 0, 4);
    }

    /** @return list<string> names of circuits whose valves are closed, and who closed them */
    public function closed(): array
    {
        $closed = [];
        foreach ($this->found->plant->branches as $branch) {
            $word = $this->found->of($branch->part)->observed(Observation::CircuitShut);
            if ($word === Word::ByUs || $word === Word::FoundShut) {
                $closed[] = $this->found->nameOf($branch).($word === Word::ByUs ? ' (by us)' : ' (found closed)');
            }
        }

        return $closed;
    }

    /** @return list<string> names of circuits in defrost, or just after it */
    public function defrosting(): array
    {
        $names = [];
        foreach ($this->found->plant->branches as $branch) {
            $state = $this->found->of($branch->part)->state;
            if ($state === State::InDefrost || $state === State::AfterDefrost) {
                $kind = $branch->load->defrost?->label();
                $after = $state === State::AfterDefrost ? 'after defrost' : mb_strtolower((string) $kind);
                $names[] = $this->found->nameOf($branch).($after === '' ? '' : " ($after)");
            }
        }

        return $names;
    }

    /** Whose limit the header of a group is, and what it could save; empty where nothing tells. */
    public function limit(SuctionGroup $group): string
    {
        $branch = $this->verdict?->limit($group);
        if ($this->verdict === null || $branch === null) {
            return '';
        }
        $read = $this->found->ofGroup($group);
        $need = $this->dew($this->verdict->examined->needs[$branch->part->value]);
        $name = $this->found->nameOf($branch);
        $said = "$name needs ".$this->units->text($need, QuantityKind::Temperature).' at the header';
        $set = $this->verdict->examined->dew($read->reading(Reading::SuctionSet));
        if ($set === null) {
            return "$said (dew).";
        }
        $header = $this->verdict->examined->dew($read->reading(Reading::SuctionHeader));
        if ($header !== null && $header - $set > self::HELD) {
            $over = $this->units->text($header - $set, QuantityKind::Difference);

            return "The header is $over above its set point (dew): restore that before the set point is judged.";
        }
        $room = $need - $set;
        $by = $this->units->text(abs($room), QuantityKind::Difference);

        return match (true) {
            abs($room) < self::WORTH => "$said (dew): the set point is right.",
            $room > 0.0 => "$said (dew): the set point may rise $by".$this->saving($group, $room).'.',
            default => "$said (dew): the set point is $by too high for it.",
        };
    }

    private function dew(float $pressure): float
    {
        return $this->verdict?->examined->twin->machine->fluid()->dewTemperature($pressure) ?? 0.0;
    }

    /** ", saves about 2 % power" */
    private function saving(SuctionGroup $group, float $kelvin): string
    {
        $share = $this->verdict?->examined->twin->saving($this->found, $group->part, $kelvin);

        return $share === null || $share < 0.005
            ? ''
            : ', saves about '.Format::number(Unit::Percent->fromSi($share), 0).' % power';
    }

    /** @return array{string, string} the level in words and what it is judged by; empty where nothing is known */
    public function level(): array
    {
        $measured = $this->found->shared->reading(Reading::ReceiverLevel);
        $expected = $this->verdict?->examined->level;
        $percent = static fn (float $share): string => Format::number(
            Unit::Percent->fromSi(max(0.0, min(1.0, $share))),
            0,
        );
        $is = match (true) {
            $measured === null => 'not read',
            $measured < self::EMPTY => '0 %: nothing can be read below it',
            default => $percent($measured).' %',
        };
        if ($expected === null) {
            return [$is, ''];
        }
        $low = $percent($expected->value - 2 * $expected->deviation);
        $high = $percent($expected->value + 2 * $expected->deviation);

        return [$is, "Expected $low to $high %".$this->circumstances().'.'];
    }

    /** " at 27.0 °C with Fish in defrost and heat reclaim off" */
    private function circumstances(): string
    {
        $ambient = $this->found->shared->reading(Reading::AmbientTemperature);
        $at = $ambient === null ? '' : ' at '.$this->units->text($ambient, QuantityKind::Temperature);
        $with = [];
        $defrosting = array_map(
            fn (Branch $one): string => $this->found->nameOf($one),
            array_filter($this->found->plant->branches, $this->found->isInDefrost(...)),
        );
        if ($defrosting !== []) {
            $with[] = implode(' and ', array_slice($defrosting, 0, 2)).' in defrost';
        }
        $reclaim = $this->found->shared->observed(Observation::HeatReclaim);
        if ($reclaim === Word::On || $reclaim === Word::Off) {
            $with[] = 'heat reclaim '.($reclaim === Word::On ? 'on' : 'off');
        }

        return $at.($with === [] ? '' : ' with '.implode(' and ', $with));
    }

    /** Whether what is missing of the level is beyond doubt. */
    public function isLevelLow(): bool
    {
        $measured = $this->found->shared->reading(Reading::ReceiverLevel);
        $expected = $this->verdict?->examined->level;

        return $measured !== null &&
            $expected !== null &&
            $measured < $expected->value - 2 * hypot($expected->deviation, 0.04);
    }

    /** What was added without an answer; empty where nothing was, or it showed. */
    public function noAnswer(Log $log): string
    {
        $none = $this->verdict === null ? null : NoAnswer::of($log, $this->verdict->examined);

        return $none === null
            ? ''
            : $this->units->mass($none->added).' was added, the level answered for '.
                $this->units->mass($none->answered).'. Find what takes the rest: a circuit that fills, a leak, '.
                'heat reclaim. Come back until the level stays.';
    }
}
