<?php

declare(strict_types=1);

namespace Metrum\Log\Kinds;

use Metrum\Knowledge\Control;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\WorkReason;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\Ground;
use Metrum\Log\KindOfFact;
use Metrum\Log\NotAFact;
use Metrum\Log\Region;
use Metrum\Log\Statement;
use Metrum\Quantity\Format;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** The plant was moved: a control turned or set, refrigerant added, a thing put right. Each move stands for itself. */
final readonly class PlantMoved implements KindOfFact
{
    public const AS_FOUND = 'as_found';

    public const FORECAST = 'forecast';

    /** Under which a log keeps why it was moved although something spoke against it. */
    public const OVERRULED = 'overruled';

    private const LONGEST = 120;

    /** @var array<int, string> eighths of a turn */
    private const EIGHTHS = [1 => '⅛', 2 => '¼', 3 => '⅜', 4 => '½', 5 => '⅝', 6 => '¾', 7 => '⅞'];

    public function content(Statement $said, Ground $ground): Content
    {
        $control = Control::tryFrom($said->key) ?? throw NotAFact::unknownKey($said->key, 'unknown change');
        $field = $control->row()->field;
        if (mb_strlen($said->reason) > self::LONGEST) {
            throw NotAFact::because('The position as found has more than '.self::LONGEST.' characters.');
        }
        $data = $said->reason === '' ? [] : [self::AS_FOUND => $said->reason];
        if ($field === null) {
            return new Content($said->key, null, 'done', $data);
        }
        if ($control === Control::Charge) {
            $weighed = WeighedAmount::said($said, $ground->units);
            $data += $weighed->data();
            if ($weighed->moved() !== null && $said->typed === '') {
                return self::byScale($weighed->moved(), $data);
            }
        }
        try {
            $amount = $field->at($ground->atmosphere)->read($said->typed, $ground->units);
        } catch (NotAQuantity $reason) {
            throw NotAFact::because($reason->getMessage());
        }
        if ($control->isStep() && abs($amount->si) < 1e-6) {
            throw NotAFact::because($field->label.': enter an amount other than 0.');
        }
        $data += ['typed' => $said->typed, 'unit' => $amount->unit->value];

        return new Content($control->value, $amount->si, null, $data);
    }

    /**
     * What was moved, by the cylinder's weights alone.
     *
     * @param  array<string, mixed>  $data
     *
     * @throws NotAFact where both are the same
     */
    private static function byScale(float $moved, array $data): Content
    {
        if (abs($moved) < 1e-6) {
            throw NotAFact::because('Both weights are the same. Check the scale readings.');
        }

        return new Content(Control::Charge->value, $moved, null, $data);
    }

    public function place(Fact $fact): string
    {
        return $fact->id;
    }

    public function line(Fact $fact, Units $units): string
    {
        return self::said($fact)->in($units);
    }

    /** "Expansion valve of coil 2 ¼ out, all the same, because it hunts" */
    public static function said(Fact $fact, bool $isWithin = false): Sentence
    {
        $content = $fact->content;
        $label = Control::from($content->key)->row()->label;
        $part = $fact->part->name();
        $overruled = $content->text(self::OVERRULED);
        $with = [
            'what' => $isWithin ? Heading::within($label) : $label,
            'of' => $part === '' ? Sentence::of(Reason::Nothing) : Sentence::of(WorkReason::OfPart, part: $part),
            'why' => $overruled === ''
                ? Sentence::of(Reason::Nothing)
                : Sentence::of(WorkReason::AllTheSame, because: $overruled),
        ];

        return self::isOfAnAmount($content)
            ? Sentence::of(WorkReason::MoveMadeBy, ...$with, amount: self::amount($content))
            : Sentence::of(WorkReason::MoveMade, ...$with);
    }

    private static function isOfAnAmount(Content $content): bool
    {
        return $content->value !== null && Control::from($content->key)->row()->field !== null;
    }

    /** "¼ out", "0.40 kg added", "set to 2.0 °C"; where nothing is set, what is done */
    public static function amount(Content $content): Sentence
    {
        $row = Control::from($content->key)->row();
        $kind = $row->field?->kind;
        $value = $content->value;
        if ($kind === null || $value === null) {
            return Sentence::plain($row->done);
        }

        return match ($kind) {
            QuantityKind::Turns => self::turned($value),
            QuantityKind::MassChange => Sentence::of(
                $value < 0.0 ? WorkReason::MassTaken : WorkReason::MassAdded,
                mass: Magnitude::mass(abs($value)),
            ),
            default => Sentence::of(WorkReason::SetTo, value: Magnitude::of($value, $kind)),
        };
    }

    /**
     * "¼ out"
     *
     * @param  float  $turns  positive = in
     */
    public static function turned(float $turns): Sentence
    {
        return Sentence::of($turns < 0.0 ? WorkReason::TurnedOut : WorkReason::TurnedIn, turns: self::turns($turns));
    }

    /** "1¼" of so many turns, either way; other parts of a turn as a number. */
    public static function turns(float $turns): string
    {
        $eighths = (int) round(8 * abs($turns));
        if (abs(8 * abs($turns) - $eighths) > 0.02) {
            return Format::number(abs($turns), 2).' turns';
        }
        $whole = intdiv($eighths, 8);
        $part = self::EIGHTHS[$eighths % 8] ?? '';
        if ($part !== '') {
            return ($whole === 0 ? '' : $whole).$part;
        }

        return $whole === 1 ? '1 turn' : $whole.' turns';
    }

    public function stale(Content $content): array
    {
        return Region::cases();
    }

    public function canBeTakenBack(): bool
    {
        return true;
    }
}
