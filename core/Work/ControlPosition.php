<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Log\Fact;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Units;

/** How a control was left: as it was found last, with what it was moved since. */
final readonly class ControlPosition
{
    /** Turns below which a control stands where it was found. */
    private const STANDS = 1e-6;

    /**
     * @param  string  $found  in the words of who moved it; empty where nobody said
     * @param  float  $moved  since then, or where it was set; SI
     */
    private function __construct(
        public Control $control,
        public PartId $part,
        private string $found,
        private float $moved,
        public \DateTimeImmutable $at,
    ) {
    }

    /**
     * Every control that has a position and was moved, in the order in which it was first moved.
     *
     * @param  list<Fact>  $moves  of a circuit's visits, oldest first
     * @return list<self>
     */
    public static function all(array $moves): array
    {
        $left = [];
        foreach ($moves as $fact) {
            $content = $fact->content;
            $control = Control::from($content->key);
            if (! $control->hasPosition()) {
                continue;
            }
            $name = $content->key.' '.$fact->part;
            $found = $content->text(PlantMoved::AS_FOUND);
            $before = $left[$name] ?? null;
            // Found anew it is counted on from there; a control that is set stands where it was set.
            $since = $found === '' && $control->isStep() ? $before->moved ?? 0.0 : 0.0;
            $left[$name] = new self(
                $control,
                $fact->part,
                $found === '' ? $before->found ?? '' : $found,
                $since + ($content->value ?? 0.0),
                $fact->takenAt,
            );
        }

        return array_values($left);
    }

    public function name(): string
    {
        $part = $this->part->name();

        return $this->control->label().($part === '' ? '' : ', '.$part);
    }

    /** "found 2¾ turns open, now ½ out from there" */
    public function words(Units $units): string
    {
        $field = $this->control->row()->field;
        $now = match (true) {
            $field === null => '',
            ! $this->control->isStep() => 'set to '.$units->text($this->moved, $field->kind),
            abs($this->moved) < self::STANDS => 'as found',
            default => PlantMoved::turns($this->moved).($this->moved < 0.0 ? ' out' : ' in').' from as found',
        };

        return $this->found === '' ? $now : "as found $this->found · now $now";
    }
}
