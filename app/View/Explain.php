<?php

namespace App\View;

use App\Picture\WeightBar;
use Metrum\Diagnosis\Check;
use Metrum\Diagnosis\CheckOutcome;
use Metrum\Diagnosis\Evidence;
use Metrum\Diagnosis\Seen\Explained;
use Metrum\Diagnosis\Seen\SeenFault;
use Metrum\Diagnosis\Signal;
use Metrum\Diagnosis\Suspect;
use Metrum\Diagnosis\TypedOutcomes;
use Metrum\Findings\Figure;
use Metrum\Findings\Findings;
use Metrum\Findings\Mark;
use Metrum\Findings\Share;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Reading;
use Metrum\Language\Heading;
use Metrum\Log\Fact;
use Metrum\Quantity\Format;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\Expected;

/** Puts what the core found into sentences, in one person's units. */
final readonly class Explain
{
    /** Figures named that stay over. */
    private const MOST_LEFT = 3;

    /** Pieces of evidence named where nothing else is asked. */
    private const MOST_FOR = 5;

    private const MOST_AGAINST = 3;

    public function __construct(private Units $units)
    {
    }

    /** @return list<array{string, WeightBar}> what speaks for a suspect, the heaviest first */
    public function strongestFor(Suspect $suspect, ?int $most): array
    {
        return $this->weighed(array_slice($suspect->speaksFor, 0, $most ?? self::MOST_FOR));
    }

    /** @return list<array{string, WeightBar}> what speaks against it; one piece where there is little room */
    public function strongestAgainst(Suspect $suspect, ?int $most): array
    {
        $room = ($most ?? self::MOST_FOR) < self::MOST_FOR ? 1 : self::MOST_AGAINST;

        return array_map(
            static fn (array $one): array => [self::within($one[0]), $one[1]],
            $this->weighed(array_slice($suspect->speaksAgainst, 0, $room)),
        );
    }

    /**
     * @param  list<array{Evidence, float}>  $pieces
     * @return list<array{string, WeightBar}>
     */
    private function weighed(array $pieces): array
    {
        return array_map(
            fn (array $one): array => [$this->evidence($one[0]), new WeightBar($one[1])],
            $pieces,
        );
    }

    /** "superheat at the bulb 15.6 K, usual 5.5: the coil is starved" */
    public function evidence(Evidence $piece): string
    {
        if ($piece->signal !== null) {
            return $this->signal($piece->signal);
        }
        if ($piece->reading !== null) {
            return $this->reading(...$piece->reading);
        }
        if ($piece->share !== null) {
            return $this->share(...$piece->share);
        }
        if ($piece->figure !== null) {
            return $piece->figure->key->label().': '.$this->figure($piece->figure);
        }
        if ($piece->speech !== null) {
            return $piece->speech->said;
        }
        if ($piece->found !== null) {
            return ucfirst($piece->found->why);
        }
        if ($piece->isContext()) {
            return 'Type of system, weather and operating state';
        }
        if ($piece->isOfPlant()) {
            return 'Rack readings and the other circuits';
        }
        if ($piece->asked !== null && $piece->word !== null) {
            return $piece->asked->label().': '.mb_strtolower($piece->word->label());
        }

        return 'Complaint: '.mb_strtolower((string) $piece->complaint?->label());
    }

    /**
     * "Seen: coil fans: some stopped. Repair that first."
     *
     * @param  list<SeenFault>  $seen
     */
    public static function seen(array $seen): string
    {
        $told = array_map(static fn (SeenFault $one): string => self::within($one->label()), $seen);

        return 'Seen: '.implode('; ', $told).'. Repair that first.';
    }

    /** Whether what is seen explains the rest, and what stays over; empty where nothing else is off. */
    public function explained(Explained $explained): string
    {
        $left = array_map(
            fn (array $one): string => self::within($one[0]->sign->row()->label).
                ' still '.
                $this->units->text(abs($one[1]), self::asDifference($one[0]->sign->row()->quantity)).
                ($one[1] > 0.0 ? ' above' : ' below'),
            array_slice($explained->left, 0, self::MOST_LEFT),
        );

        return match (true) {
            $explained->odd === [] => '',
            $explained->isAll() => 'That explains the other deviations.',
            $explained->isNothing() => 'That does not explain the other deviations: '.implode('; ', $left).'.',
            default => 'That explains part of it. Not explained: '.implode('; ', $left).'.',
        };
    }

    private static function asDifference(QuantityKind $kind): QuantityKind
    {
        return $kind === QuantityKind::Temperature ? QuantityKind::Difference : $kind;
    }

    /** "below 1.9 bar": in what is typed for it, where one reading is; else in the figure. */
    public function outcome(Check $check, CheckOutcome $outcome, TypedOutcomes $asTyped): string
    {
        if ($outcome->word !== null) {
            return $outcome->word->label();
        }
        $typed = $asTyped->ends($check, $outcome);
        $kind = $typed === null ? $check->sign?->row()->quantity : TypedOutcomes::reading($check)?->quantity();
        [$from, $to] = $typed ?? [$outcome->from, $outcome->to];
        [$least, $most] = $typed === null ? $check->sign?->row()->possible ?? [null, null] : [null, null];
        if ($least !== null && $to !== null && $to <= $least) {
            return 'none';
        }

        return $this->between(
            $from !== null && $least !== null && $from <= $least ? null : $from,
            $to !== null && $most !== null && $to >= $most ? null : $to,
            $kind ?? QuantityKind::Count,
        );
    }

    private function between(?float $from, ?float $to, QuantityKind $kind): string
    {
        return match (true) {
            $from === null && $to !== null => 'below '.$this->units->text($to, $kind),
            $to === null && $from !== null => 'above '.$this->units->text($from, $kind),
            default => $this->units->span((float) $from, (float) $to, $kind).
                ' '.
                $this->units->symbol($kind),
        };
    }

    /** "Severe. Probable cause: coil is dirty (62 %)." How marked a suspect is, and what lies behind it. */
    public function marked(Suspect $suspect): string
    {
        $grade = $suspect->grade === null ? [] : [$suspect->grade->label()];
        $cause =
            $suspect->cause === null
                ? []
                : ['Probable cause: '.$suspect->cause[0]->name.' ('.self::percent($suspect->cause[1]).')'];

        return implode('. ', array_map(ucfirst(...), [...$grade, ...$cause])).'.';
    }

    /** One line of the log, without its time. */
    public function fact(Fact $fact): string
    {
        return $fact->rule()->line($fact, $this->units);
    }

    /** @return list<array{name: string, value: string}> the inputs of a figure with the reader's own numbers */
    public function inputs(Figure $figure, Findings $findings): array
    {
        $inputs = [];
        foreach ($figure->from as $one) {
            [$label, $si, $kind] =
                $one instanceof Reading
                    ? [$one->label(), $findings->reading($one), $one->quantity()]
                    : [$one->field()->label, $findings->circuit->design->value($one), $one->field()->kind];
            $inputs[] = ['name' => $label, 'value' => $this->units->text((float) $si, $kind)];
        }

        return $inputs;
    }

    public function figure(Figure $figure): string
    {
        return $this->units->text($figure->si, $figure->key->quantity());
    }

    /** A heading within a sentence: what begins with a shortening keeps it. */
    public static function within(string $heading): string
    {
        return Heading::within($heading);
    }

    public static function percent(float $share): string
    {
        return match (true) {
            $share > 0.0 && $share < 0.01 => "<1\u{00A0}%",
            $share > 0.99 && $share < 1.0 => ">99\u{00A0}%",
            default => Format::number(100 * $share, 0)."\u{00A0}%",
        };
    }

    /** "short of refrigerant 15 % → 35 %" */
    public static function change(Fault $fault, float $was, float $is): string
    {
        return sprintf('%s %s → %s', self::within($fault->label()), self::percent($was), self::percent($is));
    }

    /** "TD 9.4 K (expected 7.2 K)": a sign without its judgement. */
    public function odd(Signal $signal): string
    {
        $row = $signal->sign->row();

        return $row->label.' '.$this->compared($signal->measured, $signal->expected->value, $row->quantity);
    }

    private function reading(Reading $reading, float $si, Expected $expected): string
    {
        $kind = $reading->quantity();

        return $reading->label().' '.$this->compared($si, $expected->value, $kind);
    }

    /** "2.90 bar (expected 3.63 bar)"; "(as expected)" where both read the same. */
    private function compared(float $measured, float $expected, QuantityKind $kind): string
    {
        $is = $this->units->text($measured, $kind);
        $usual = $this->units->text($expected, $kind);

        return $is.($is === $usual ? ' (as expected)' : " (expected $usual)");
    }

    private function share(Share $share, float $value): string
    {
        $told = match (true) {
            $share->isDifference() => $this->units->text($value, QuantityKind::Difference),
            $share === Share::Ratio => Format::number($value, 1, true),
            default => self::percent($value),
        };

        return $share->label().': '.$told;
    }

    private function signal(Signal $signal): string
    {
        $row = $signal->sign->row();
        $deviations = $signal->deviations();
        $phrase = match (true) {
            $deviations > Mark::FINE_WITHIN => $row->high,
            $deviations < -Mark::FINE_WITHIN => $row->low,
            default => $row->fine,
        };
        $compared = $this->compared($signal->measured, $signal->expected->value, $row->quantity);

        return $row->label.' '.$compared.': '.$phrase;
    }
}
