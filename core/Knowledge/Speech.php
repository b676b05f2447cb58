<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;

/** What it says of the faults of a plant that a move came to something. */
final readonly class Speech
{
    /**
     * @param  string  $way  in or out: only of moves that way; empty: of both
     * @param  bool  $again  only where the move before it came to the same
     * @param  array<string, float>  $faults  nats for a fault, by its key
     * @param  string  $said  as it stands among the evidence
     */
    private function __construct(
        private MoveOutcome $when,
        private string $way,
        private bool $again,
        public array $faults,
        public string $said,
    ) {
    }

    /**
     * @return list<self> the more special first
     *
     * @throws BrokenData
     */
    public static function all(DataRow $rows): array
    {
        $all = [];
        foreach ($rows->keys() as $i) {
            $row = $rows->row($i)->only(['when', 'way', 'again', 'faults', 'said']);
            foreach ($row->row('faults')->keys() as $fault) {
                Fault::tryFrom($fault) ?? throw $row->broken('faults.'.$fault, 'no such fault');
            }
            $all[] = new self(
                $row->word('when', MoveOutcome::class),
                $row->has('way') ? $row->text('way') : '',
                $row->flag('again', false),
                $row->numbers('faults'),
                $row->text('said'),
            );
        }

        return $all;
    }

    public function fits(MoveOutcome $outcome, float $value, bool $again): bool
    {
        $isThatWay = match ($this->way) {
            'in' => $value > 0.0,
            'out' => $value < 0.0,
            default => true,
        };

        return $this->when === $outcome && $isThatWay && ($again || ! $this->again);
    }
}
