<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;

/** For which plants a thing can be asked at all: no receiver, no receiver level. What is not known may be there. */
final readonly class Fit
{
    /**
     * @param  list<Condition>  $for  not where one of these is known not to hold
     * @param  list<Condition>  $onlyFor  only where all of these are known to hold
     * @param  list<Condition>  $notFor  not where one of these is known to hold
     */
    public function __construct(private array $for, private array $onlyFor, private array $notFor)
    {
    }

    /** @throws BrokenData */
    public static function ofRow(DataRow $row): self
    {
        return new self(
            $row->words('for', Condition::class),
            $row->words('only_for', Condition::class),
            $row->words('not_for', Condition::class),
        );
    }

    public function asks(Circuit $circuit): bool
    {
        return $this->under(static fn (Condition $condition): ?bool => $condition->holds($circuit));
    }

    /** Whether it is asked on the board of a rack alone. */
    public function isOfBoard(): bool
    {
        return in_array(Condition::RackBoard, $this->onlyFor, true);
    }

    /** @return list<Condition> parts that it takes and of which nobody said whether they are fitted */
    public function unsaid(Circuit $circuit): array
    {
        return array_values(
            array_filter($this->for, static fn (Condition $part): bool => $part->holds($circuit) === null),
        );
    }

    /** @param  callable(Condition): ?bool  $holds  null: not known */
    public function under(callable $holds): bool
    {
        foreach ($this->for as $condition) {
            if ($holds($condition) === false) {
                return false;
            }
        }
        foreach ($this->onlyFor as $condition) {
            if ($holds($condition) !== true) {
                return false;
            }
        }
        foreach ($this->notFor as $condition) {
            if ($holds($condition) === true) {
                return false;
            }
        }

        return true;
    }
}
