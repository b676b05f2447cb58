<?php

declare(strict_types=1);

namespace Metrum\Card;

use Metrum\Bench\Calculation;
use Metrum\Bench\Calculator;
use Metrum\Data\BrokenData;
use Metrum\Data\DataRow;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind;

/** Reads the steps of a card; a mistake is named with file and path. */
final readonly class StepReader
{
    private const KEYS = [
        'key',
        'label',
        'least',
        'most',
        'points',
        'every',
        'with',
        'if',
        'cautions',
        'touches',
        'restores',
        'fresh',
        'optional',
        'stop',
        'drawn',
    ];

    /** @throws BrokenData */
    public static function read(DataRow $row): Step
    {
        $row->only([...self::KEYS, ...array_column(StepKind::cases(), 'value')]);
        $kinds = array_values(
            array_filter(StepKind::cases(), static fn (StepKind $one): bool => $row->has($one->value)),
        );
        if (count($kinds) !== 1) {
            $possible = implode(', ', array_column(StepKind::cases(), 'value'));

            throw $row->broken('key', "a step does one thing: $possible");
        }
        $kind = $kinds[0];
        $reading = $kind === StepKind::Take ? Reading::tryFrom($row->text('take')) : null;
        $isOwnAnswer = $kind === StepKind::Choose && is_array($row->given('choose'));
        $observation = $kind === StepKind::Choose && ! $isOwnAnswer ? $row->word('choose', Observation::class) : null;
        $control = $kind === StepKind::Move ? $row->word('move', Control::class) : null;
        $isOwnAmount = $kind === StepKind::Time || ($kind === StepKind::Take && $reading === null);
        $figure = $kind === StepKind::Figure ? self::figure($row) : null;
        $label = match (true) {
            $kind === StepKind::Say || $kind === StepKind::Tick => $row->text($kind->value),
            $row->has('label') => $row->text('label'),
            default => $reading?->label() ?? $observation?->label() ?? $control?->label() ?? '',
        };

        return new Step(
            key: $row->has('key')
                ? $row->text('key')
                : $reading->value ?? $observation->value ?? $control->value ?? '',
            kind: $kind,
            label: $label,
            field: $isOwnAmount ? self::field($row, $kind, $label) : null,
            reading: $reading,
            observation: $observation,
            answers: $isOwnAnswer ? self::answers($row->row('choose')) : [],
            rule: $kind === StepKind::Wait ? $row->word('wait', HouseRule::class) : null,
            control: $control,
            figure: $figure,
            with: $figure === null ? [] : self::inputs($row->row('with'), $figure),
            if: Clause::all($row, 'if'),
            cautions: $row->texts('cautions'),
            touches: $row->has('touches') ? $row->text('touches') : '',
            restores: $row->has('restores') ? $row->text('restores') : '',
            least: (int) $row->number('points', 1.0),
            every: $row->has('every') ? $row->text('every') : '',
            isFresh: $row->flag('fresh', false),
            isOptional: $row->flag('optional', false),
            stops: array_map(Stop::ofRow(...), $row->rows('stop')),
            drawn: $row->has('drawn') ? $row->word('drawn', AnswersDrawn::class) : null,
        );
    }

    /** @throws BrokenData */
    private static function field(DataRow $row, StepKind $kind, string $label): Field
    {
        return Field::inFileUnit(
            $row->text('key'),
            $label,
            $row->word($kind->value, QuantityKind::class),
            $row->number('least'),
            $row->number('most'),
        );
    }

    /** @return array<string, string> @throws BrokenData */
    private static function answers(DataRow $row): array
    {
        $answers = [];
        foreach ($row->keys() as $word) {
            $answers[$word] = $row->text($word);
        }

        return $answers;
    }

    /** A sum of the cards', else a calculator of the bench. @throws BrokenData */
    private static function figure(DataRow $row): Calculation
    {
        $name = $row->text('figure');

        return Sum::tryFrom($name)?->does() ??
            (Calculator::tryFrom($name)?->does() ??
                throw $row->broken('figure', "\"$name\" is no sum and no calculator"));
    }

    /**
     * @return array<string, Ref>
     *
     * @throws BrokenData where an input is none of its, or one is missing
     */
    private static function inputs(DataRow $row, Calculation $figure): array
    {
        $refs = [];
        foreach ($figure->asks() as $input) {
            if ($row->has($input->key)) {
                $refs[$input->key] = Ref::of($row, $input->key);
            } elseif (! $input->optional && $input->key !== 'refrigerant') {
                throw $row->broken($input->key, 'missing');
            }
        }
        $row->only(array_map(static fn ($input): string => $input->key, $figure->asks()));

        return $refs;
    }
}
