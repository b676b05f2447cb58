<?php

namespace App\View\Board;

use App\View\Explain;
use Metrum\Diagnosis\Rack\RackEvidence;
use Metrum\Diagnosis\Rack\RackExamination;
use Metrum\Diagnosis\Rack\RackSign;
use Metrum\Diagnosis\Rack\RackWeighing;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What was found at a plant of several circuits, in words, as it speaks for or against a fault. */
final readonly class BoardEvidence
{
    /** Nats from which a thing is named. */
    private const LEAST = 0.25;

    private const MOST = 3;

    public function __construct(private RackExamination $examined, private Units $units)
    {
    }

    /** @return list<array{side: string, said: string}> heaviest first, those for it before those against */
    public function of(RackWeighing $weighing, Fault $fault): array
    {
        $for = $against = [];
        foreach ($weighing->weightsFor($fault) as [$piece, $weight]) {
            $said = abs($weight) < self::LEAST ? '' : $this->said($piece);
            // What is far from expected speaks for no soundness, though it may speak against most faults.
            $isOdd = $fault === Fault::NoFault && $piece->sign !== null && $weight > 0.0;
            if ($said === '' || $isOdd) {
                continue;
            }
            if ($weight > 0.0) {
                $for[] = ['side' => 'for', 'said' => $said];
            } else {
                $against[] = ['side' => 'against', 'said' => $said];
            }
        }

        return [...array_slice($for, 0, self::MOST), ...array_slice($against, 0, self::MOST - 1)];
    }

    /** With the suction group where it was found, of several. */
    private function said(RackEvidence $piece): string
    {
        $said = $this->told($piece);
        $group = $piece->group === null ? null : $this->examined->found->plant->suctionGroup($piece->group);

        return $group === null || $said === '' ? $said : $group->label().': '.lcfirst($said);
    }

    private function told(RackEvidence $piece): string
    {
        return match (true) {
            $piece->sign !== null => $this->number($piece->sign, (float) $piece->value),
            $piece->asked !== null && $piece->word !== null => $piece->asked->label().': '.
                mb_strtolower($piece->word->label()),
            $piece->confirmed !== null => 'Confirmed on site',
            $piece->complaint !== null => 'Reported: '.mb_strtolower($piece->complaint->label()),
            default => '',
        };
    }

    private function number(RackSign $sign, float $si): string
    {
        $what = $sign->said($si > 0.0);
        if (! $sign->isNotable($si) || $what === '') {
            return '';
        }

        return $sign === RackSign::LevelOff
            ? $this->level()
            : $sign->label().' '.$this->units->text($si, $sign->quantity()).': '.Explain::within($what);
    }

    /** "Receiver level 31 % (expected 63 %)" */
    private function level(): string
    {
        $level = $this->examined->found->shared->reading(Reading::ReceiverLevel);
        $expected = $this->examined->level;

        return 'Receiver level '.
            $this->units->text((float) $level, QuantityKind::Share).
            ($expected === null ? '' : ' (expected '.$this->units->text($expected->value, QuantityKind::Share).')');
    }
}
