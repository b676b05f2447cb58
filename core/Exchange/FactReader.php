<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Reasons;
use Metrum\Data\Section;
use Metrum\Installation\PartId;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Question;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Taken;
use Metrum\Knowledge\Test;
use Metrum\Log\Content;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\ClockSet;
use Metrum\Log\Kinds\NoteWritten;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\ReadingTaken;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Quantity\Atmosphere;

/** Reads what one fact of a log says, by its kind. What cannot be is named with its path. */
final readonly class FactReader
{
    public function __construct(private Atmosphere $atmosphere)
    {
    }

    /**
     * @param  array<string, true>  $ids  of the facts so far
     * @param  PartId  $part  that it is about
     * @return array{?FactKind, ?Content}
     */
    public function content(Section $section, array $ids, PartId $part): array
    {
        $word = $section->text('kind');
        $kind = FactKind::tryFrom((string) $word);
        if ($word === 'card' && ! StepTaken::isKnown((string) $section->text('key'))) {
            return [FactKind::Note, new Content('note', null, null, ['text' => 'card: '.$section->text('key')])];
        }
        if ($kind === null || $kind === FactKind::Circuit) {
            $possible = array_diff(array_column(FactKind::cases(), 'value'), ['circuit']);
            $section->refuse('kind', 'got '.Reasons::shown($word).'; allowed: '.implode(', ', $possible));

            return [null, null];
        }
        $content = match ($kind) {
            FactKind::Reading => $this->reading($section),
            FactKind::Observation => $this->answer($section, Observation::class, $part),
            FactKind::Test => $this->answer($section, Test::class, $part),
            FactKind::State => $this->state($section),
            FactKind::Complaint => $this->word($section, Complaint::class),
            FactKind::Confirmed, FactKind::RuledOut => $this->word($section, Fault::class),
            FactKind::Note => self::note($section),
            FactKind::Move => $this->move($section),
            FactKind::Card => (new StepFact($this->atmosphere))->content($section),
            FactKind::Clock => $this->clock($section),
            FactKind::Touched, FactKind::Restored => $this->touched($section),
            FactKind::Goods, FactKind::Site => (new ToldFact())->content($section, $kind),
            FactKind::Undo => $this->undo($section, $ids),
        };

        return [$kind, $content];
    }

    private static function note(Section $section): Content
    {
        $key = $section->given('key') === NoteWritten::SUMMARY ? NoteWritten::SUMMARY : NoteWritten::PLAIN;

        return new Content($key, null, null, ['text' => $section->text('text') ?? '']);
    }

    private function reading(Section $section): ?Content
    {
        $reading = $this->known($section, Reading::class);
        if ($reading === null) {
            return null;
        }
        if ($section->given('value') === null) {
            return new Content($reading->value);
        }
        $si = $section->amount('value', $reading->field($this->atmosphere));

        return $si === null
            ? null
            : new Content($reading->value, $si, null, ['unit' => $reading->fileUnit()->value] + self::taken($section));
    }

    /** @return array<string, string> with what it was taken, where a file says that */
    private static function taken(Section $section): array
    {
        $with = $section->section('data')->word(ReadingTaken::WITH, Taken::class);

        return $with === null ? [] : [ReadingTaken::WITH => $with->value];
    }

    /** @param  class-string<Observation>|class-string<Test>  $questions */
    private function answer(Section $section, string $questions, PartId $part): ?Content
    {
        $asked = $this->known($section, $questions);
        $given = $section->given('word') ?? $section->given('value');
        if (! ($asked instanceof Question) || $given === null) {
            return $asked === null ? null : new Content($asked->value);
        }
        $words = $asked instanceof Observation ? $asked->wordsAt($part) : $asked->words();
        $word = $section->oneOf('word', $words, $given);

        return $word === null ? null : new Content($asked->value, null, $word->value, []);
    }

    private function state(Section $section): Content
    {
        $given = $section->given('word') ?? $section->given('value');
        $state = is_string($given) ? State::tryFrom($given) : null;
        if ($given !== null && $state === null) {
            $possible = implode(', ', array_column(State::cases(), 'value'));
            $section->refuse('word', 'got '.Reasons::shown($given).'; allowed: '.$possible);
        }

        return new Content('state', null, $state?->value);
    }

    /** @param  class-string<Complaint>|class-string<Fault>  $words */
    private function word(Section $section, string $words): ?Content
    {
        $known = $this->known($section, $words);
        if ($known === null) {
            return null;
        }
        $reason = $section->text('reason') ?? '';

        return new Content(
            $known->value,
            null,
            $section->given('word') === 'no' ? null : 'yes',
            $reason === '' || $section->given('word') === 'no' ? [] : ['reason' => $reason],
        );
    }

    private function move(Section $section): ?Content
    {
        $control = $this->known($section, Control::class);
        if ($control === null) {
            return null;
        }
        $found = $section->text('as_found');
        $overruled = $section->besides('')[PlantMoved::OVERRULED] ?? null;
        $data = ($found === null ? [] : [PlantMoved::AS_FOUND => $found]) +
            (is_string($overruled) ? [PlantMoved::OVERRULED => $overruled] : []) +
            self::forecast($section);
        $field = $control->row()->field;
        if ($field === null) {
            $word = $section->text('word');

            return new Content($control->value, null, $word ?? 'done', $data);
        }
        if (! $section->has('value')) {
            $section->refuse('value', 'missing; expected how far');

            return null;
        }
        $si = $section->amount('value', $field->at($this->atmosphere));
        $data += $control === Control::Charge ? self::weighed($section) : [];

        return $si === null ? null : new Content($control->value, $si, null, $data);
    }

    /** @return array<string, mixed> what was foretold when it was made, figure by figure: before, change, deviation */
    private static function forecast(Section $section): array
    {
        $kept = [];
        foreach ($section->besides(PlantMoved::FORECAST) as $figure => $row) {
            $numbers = is_array($row) ? array_values(array_filter($row, is_numeric(...))) : [];
            if (count($numbers) !== 3) {
                $section->refuse('data.forecast.'.$figure, 'expected before, change and deviation, three numbers');

                continue;
            }
            $kept[$figure] = array_map(floatval(...), $numbers);
        }

        return $kept === [] ? [] : [PlantMoved::FORECAST => $kept];
    }

    /** @return array<string, float|string> cylinder, its weights and what it was moved for */
    private static function weighed(Section $section): array
    {
        $given = $section->besides('');
        $kept = [];
        foreach ([WeighedAmount::BEFORE, WeighedAmount::AFTER] as $key) {
            if (is_int($given[$key] ?? null) || is_float($given[$key] ?? null)) {
                $kept[$key] = (float) $given[$key];
            } elseif (isset($given[$key])) {
                $section->refuse('data.'.$key, 'got '.Reasons::shown($given[$key]).', expected kg as a number');
            }
        }
        foreach ([WeighedAmount::CYLINDER, WeighedAmount::PURPOSE] as $key) {
            if (is_string($given[$key] ?? null)) {
                $kept[$key] = $given[$key];
            }
        }
        if (isset($kept[WeighedAmount::PURPOSE]) && ChargePurpose::tryFrom($kept[WeighedAmount::PURPOSE]) === null) {
            $possible = implode(', ', array_column(ChargePurpose::cases(), 'value'));
            $given = Reasons::shown($kept[WeighedAmount::PURPOSE]);
            $section->refuse('data.purpose', "got $given; allowed: $possible");
        }

        return $kept;
    }

    private function clock(Section $section): ?Content
    {
        $name = $section->has('minutes') ? 'minutes' : 'value';
        $key = $section->text('key') ?? ClockSet::SETTLING;
        if ($section->given($name) === null) {
            return new Content($key);
        }
        $si = $section->amount($name, ClockSet::field());

        return $si === null ? null : new Content($key, $si, null, []);
    }

    private function touched(Section $section): ?Content
    {
        $key = $section->text('key');
        if ($key === null || trim($key) === '') {
            $section->refuse('key', 'missing; expected what was changed');

            return null;
        }
        $reason = $section->text('reason');

        return new Content($key, null, 'yes', $reason === null ? [] : ['reason' => $reason]);
    }

    /** @param  array<string, true>  $ids */
    private function undo(Section $section, array $ids): ?Content
    {
        $of = $section->text('of');
        if ($of === null || ! isset($ids[$of])) {
            $section->refuse('of', 'got '.Reasons::shown($of).', expected the id of an earlier fact');

            return null;
        }

        return new Content('undo', null, null, ['of' => $of]);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $words
     * @return ?T
     */
    private function known(Section $section, string $words): ?\BackedEnum
    {
        $given = $section->given('key');
        $known = is_string($given) ? $words::tryFrom($given) : null;
        if ($known === null) {
            $section->refuse('key', 'got '.Reasons::shown($given).'; allowed: '.
                implode(', ', array_column($words::cases(), 'value')));
        }

        return $known;
    }
}
