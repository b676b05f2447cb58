<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Installation\Fit;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind as Quantity;

/** What is known of a control: one row of data/moves.json. */
final readonly class ControlRow
{
    private const KEYS = [
        'order',
        'group',
        'for',
        'only_for',
        'not_for',
        'proves_slowly',
        'shared',
        'label',
        'owner',
        'leaves_readings',
        'done',
        'quantity',
        'unsure',
        'most',
        'step',
        'at_once',
        'in',
        'out',
        'figures',
        'all_of_them',
        'changes',
        'cures',
        'may_cure',
        'settles',
        'needs',
        'gates',
        'cautions',
        'says',
        'speaks',
    ];

    /** Gauge kPa and °C between which a control can be set. */
    private const PRESSURES = [-100.0, 5000.0];

    private const TEMPERATURES = [-60.0, 60.0];

    private const UNSURE = 0.2;

    /**
     * @param  int  $order  its place in the work
     * @param  Fit  $fit  at which plants there is such a thing
     * @param  bool  $isShared  it moves what all circuits of a plant share
     * @param  bool  $provesSlowly  its effect shows in the first quiet minute, and proves itself over defrosts and days
     * @param  string  $forTheOwner  what was done, in a sentence without a word of the trade
     * @param  bool  $leavesReadings  it changes nothing that was read or seen but what it names itself
     * @param  ?Field  $field  how far, or where to; null: it is done or not
     * @param  ?float  $step  smallest move, SI
     * @param  ?float  $atOnce  largest move that is proposed, SI
     * @param  float  $unsure  what the twin's answer to it is off by, as a share of it
     * @param  list<string>  $figures  it is made for, the first one above all
     * @param  bool  $isJudgedByAll  it went as foretold only where all of these did that were read
     * @param  list<string>  $changes  keys of what stands still at other moves, and is changed by this one
     * @param  ?Fault  $cures  the fault that is put right by it
     * @param  list<Fault>  $mayCure  others that it puts right where they are what is wrong
     * @param  ?HouseRule  $settles  how long it takes
     * @param  list<Asked>  $needs  what is read again after it
     * @param  list<Prerequisite>  $gates  what must hold first
     * @param  list<string>  $cautions
     * @param  list<Speech>  $speaks  what an outcome says of the faults
     * @param  DataRow  $says  what an outcome says of the plant, by its word
     */
    private function __construct(
        public int $order,
        public MoveGroup $group,
        public Fit $fit,
        public bool $isShared,
        public bool $provesSlowly,
        public string $label,
        public string $forTheOwner,
        public bool $leavesReadings,
        public string $done,
        public ?Field $field,
        public ?float $step,
        public ?float $atOnce,
        public float $unsure,
        public string $in,
        public string $out,
        public array $figures,
        public bool $isJudgedByAll,
        public array $changes,
        public ?Fault $cures,
        public array $mayCure,
        public ?HouseRule $settles,
        public array $needs,
        public array $gates,
        public array $cautions,
        public array $speaks,
        private DataRow $says,
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row, string $key): self
    {
        $row->only(self::KEYS);
        $label = $row->text('label');
        $quantity = $row->has('quantity') ? $row->word('quantity', Quantity::class) : null;
        [$least, $most] = match ($quantity) {
            Quantity::GaugePressure => self::PRESSURES,
            Quantity::Temperature => self::TEMPERATURES,
            Quantity::Count, Quantity::Duration => [0.0, $row->number('most')],
            default => [-$row->number('most', 0.0), $row->number('most', 0.0)],
        };

        return new self(
            order: (int) $row->number('order'),
            group: $row->word('group', MoveGroup::class),
            fit: Fit::ofRow($row),
            isShared: $row->flag('shared', false),
            provesSlowly: $row->flag('proves_slowly', false),
            label: $label,
            forTheOwner: $row->text('owner'),
            leavesReadings: $row->flag('leaves_readings', false),
            done: $row->text('done'),
            field: $quantity === null ? null : Field::inFileUnit($key, $label, $quantity, $least, $most),
            step: $row->has('step') ? $row->number('step') : null,
            atOnce: $row->has('at_once') ? $row->number('at_once') : null,
            unsure: $row->number('unsure', self::UNSURE),
            in: $row->has('in') ? $row->text('in') : '',
            out: $row->has('out') ? $row->text('out') : '',
            figures: $row->has('figures') ? $row->texts('figures') : [],
            isJudgedByAll: $row->flag('all_of_them', false),
            changes: $row->has('changes') ? $row->texts('changes') : [],
            cures: $row->has('cures') ? $row->word('cures', Fault::class) : null,
            mayCure: $row->words('may_cure', Fault::class),
            settles: $row->has('settles') ? $row->word('settles', HouseRule::class) : null,
            needs: array_map(
                static fn (string $one): Asked => Reading::tryFrom($one) ??
                    (Observation::tryFrom($one) ?? throw $row->broken('needs', 'no such reading or observation')),
                $row->has('needs') ? $row->texts('needs') : [],
            ),
            gates: $row->words('gates', Prerequisite::class),
            cautions: $row->texts('cautions'),
            speaks: Speech::all($row->row('speaks')),
            says: $row->row('says'),
        );
    }

    /** Whether a fault is gone once it was done. */
    public function putsRight(Fault $fault): bool
    {
        return $this->cures === $fault || in_array($fault, $this->mayCure, true);
    }

    /** What an outcome says of the plant; empty where it says nothing more. */
    public function says(string $outcome): string
    {
        return $this->says->has($outcome) ? $this->says->text($outcome) : '';
    }
}
