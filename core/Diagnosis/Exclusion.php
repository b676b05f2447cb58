<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Asked;

/** One thing that is looked at before a part is named for replacement: parts fail seldom, what is around them often. */
final readonly class Exclusion
{
    /** @param  non-empty-list<Asked>  $by  any of these tells it */
    private function __construct(public string $text, private array $by)
    {
    }

    /**
     * @return list<self>
     *
     * @throws BrokenData
     */
    public static function ofRow(DataRow $rows): array
    {
        $all = [];
        foreach ($rows->keys() as $i) {
            $row = $rows->row($i)->only(['text', 'by']);
            $by = FaultEntry::keys($row, 'by');
            $all[] = new self($row->text('text'), $by === [] ? throw $row->broken('by', 'one at least') : $by);
        }

        return $all;
    }

    /** Whether it can be asked of such a plant at all. */
    public function fits(Findings $findings): bool
    {
        foreach ($this->by as $key) {
            if ($key->taking()->fit->asks($findings->circuit)) {
                return true;
            }
        }

        return false;
    }

    public function isDone(Findings $findings): bool
    {
        $known = $findings->readings + $findings->observations + $findings->tests;
        foreach ($this->by as $key) {
            if (isset($known[$key->value])) {
                return true;
            }
        }

        return false;
    }
}
