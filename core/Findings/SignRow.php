<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Installation\Circuit;
use Metrum\Installation\Condition;
use Metrum\Installation\Fit;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Unit;

/** What data/signs.json says of one sign. Numbers are SI here, in the sign's unit there. */
final readonly class SignRow
{
    private const KEYS = [
        'label',
        'unit',
        'kind',
        'possible',
        'family',
        'least',
        'needs',
        'without',
        'for',
        'only_for',
        'not_for',
        'asked',
        'running',
        'floored',
        'alarming',
        'weather',
        'instrument',
        'usual',
        'usual_when',
        'high',
        'low',
        'fine',
    ];

    /**
     * @param  list<Reading>  $needs  what is taken for it
     * @param  list<Reading>  $without  it is this sign only where these were not taken
     * @param  Fit  $fit  plants at which it is a sign
     * @param  ?Fit  $asked  plants at which it is asked for; null: never
     * @param  list<Reading>  $orTaken  asked for all the same where one of these was taken
     * @param  bool  $running  tells something only while refrigerant is being pumped
     * @param  bool  $floored  gone before the fault that lowers it is at its worst
     * @param  Alarm  $alarm  on which side it is, beyond doubt, never a sound plant's
     * @param  Weather  $weather  what the air entering the condenser has to do with it
     * @param  ?float  $instrument  deviation of the instruments; null where the twin does not carry it
     * @param  list<array{Condition, UsualFigure}>  $usualWhen  first that holds goes before $usual
     * @param  array{?float, ?float}  $possible  least and most that a plant can show of it
     * @param  ?float  $least  below which it cannot be; null where it is open
     */
    private function __construct(
        public string $label,
        public Unit $unit,
        public QuantityKind $quantity,
        public string $family,
        public array $needs,
        public array $without,
        public Fit $fit,
        private ?Fit $asked,
        private array $orTaken,
        public bool $running,
        public bool $floored,
        public Alarm $alarm,
        public Weather $weather,
        public ?float $instrument,
        private UsualFigure $usual,
        private array $usualWhen,
        public array $possible,
        public ?float $least,
        public string $high,
        public string $low,
        public string $fine,
    ) {
    }

    /** @throws BrokenData */
    public static function of(DataRow $row): self
    {
        $row->only(self::KEYS);
        $unit = $row->word('unit', Unit::class);
        $asked = $row->row('asked')->only(['never', 'for', 'only_for', 'not_for', 'or_taken']);
        $when = [];
        foreach ($row->row('usual_when')->keys() as $name) {
            $condition =
                Condition::tryFrom($name) ?? throw $row->broken('usual_when.'.$name, 'no such condition');
            $when[] = [$condition, UsualFigure::of($row->row('usual_when')->row($name), $unit)];
        }

        return new self(
            label: $row->text('label'),
            unit: $unit,
            quantity: $row->word('kind', QuantityKind::class),
            family: $row->text('family'),
            needs: $row->words('needs', Reading::class),
            without: $row->words('without', Reading::class),
            fit: Fit::ofRow($row),
            asked: $asked->flag('never', false) ? null : Fit::ofRow($asked),
            orTaken: $asked->words('or_taken', Reading::class),
            running: $row->flag('running', false),
            floored: $row->flag('floored', false),
            alarm: $row->has('alarming') ? $row->word('alarming', Alarm::class) : Alarm::None,
            weather: $row->has('weather') ? $row->word('weather', Weather::class) : Weather::Apart,
            instrument: $row->has('instrument') ? self::difference($unit, $row->number('instrument')) : null,
            usual: UsualFigure::of($row->row('usual'), $unit),
            usualWhen: $when,
            possible: self::possible($row, $unit),
            least: $row->has('least') ? $unit->toSi($row->number('least')) : null,
            high: $row->text('high'),
            low: $row->text('low'),
            fine: $row->text('fine'),
        );
    }

    /**
     * @return array{?float, ?float} SI
     *
     * @throws BrokenData
     */
    private static function possible(DataRow $row, Unit $unit): array
    {
        [$least, $most] = $row->has('possible') ? $row->bounds('possible') : [null, null];

        return [
            $least === null ? null : $unit->toSi($least),
            $most === null ? null : $unit->toSi($most),
        ];
    }

    /** A difference given in the sign's unit as SI; offsets do not apply to it. */
    public static function difference(Unit $unit, float $value): float
    {
        return $unit->toSi($value) - $unit->toSi(0.0);
    }

    /** What is usual at a sound plant like this one. @param  ?bool  $cold  see Condition */
    public function usual(Circuit $circuit, ?bool $cold): UsualFigure
    {
        foreach ($this->usualWhen as [$condition, $usual]) {
            if ($condition->holds($circuit, $cold) === true) {
                return $usual;
            }
        }

        return $this->usual;
    }

    /** Whether it is worth asking for at such a plant. */
    public function isAsked(Findings $findings): bool
    {
        if ($this->asked === null || ! $this->fit->asks($findings->circuit)) {
            return false;
        }
        foreach ($this->orTaken as $reading) {
            if ($findings->reading($reading) !== null) {
                return true;
            }
        }

        return $this->asked->asks($findings->circuit);
    }
}
