<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Metrum\Knowledge\Taken;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\NotAFact;
use Metrum\Log\Statement;

final class EntryRequest extends VisitRequest
{
    /** What the quick line's control sends as its kind. */
    private const LINE = 'line';

    /** What is told of refrigerant that was moved. */
    private const WEIGHED = [
        WeighedAmount::CYLINDER,
        WeighedAmount::BEFORE,
        WeighedAmount::AFTER,
        WeighedAmount::PURPOSE,
    ];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required_if:kind,line', 'nullable', 'ulid'],
            'kind' => ['required', 'string', 'max:16'],
            'key' => ['required', 'string', 'max:48'],
            // How long a value may be is its kind's to say: the answer goes into the control.
            'value' => ['nullable', 'string'],
            'reason' => ['nullable', 'string', 'max:400'],
            'overruled' => ['nullable', 'string', 'max:200'],
            'taken' => ['nullable', Rule::enum(Taken::class)],
            ...array_fill_keys(self::WEIGHED, ['nullable', 'string', 'max:60']),
        ] + parent::rules();
    }

    public function isLine(): bool
    {
        return $this->validated('kind') === self::LINE;
    }

    public function id(): string
    {
        return (string) $this->validated('id');
    }

    /** With what a reading was taken, as it would be typed behind it; once it is typed there that stands. */
    public function typed(): string
    {
        $typed = (string) $this->validated('value');
        $taken = Taken::tryFrom((string) $this->validated('taken'));
        $isTold = $taken === null || trim($typed) === '' || Taken::apart($typed)[1] !== null;

        return $isTold ? $typed : $typed.' '.$taken->typed();
    }

    public function isMove(): bool
    {
        return $this->validated('kind') === FactKind::Move->value;
    }

    public function isStep(): bool
    {
        return $this->validated('kind') === FactKind::Card->value;
    }

    public function card(): array
    {
        $moved = $this->isMove() ? ['card' => $this->validated('key')] : [];

        return array_filter(parent::card()) + $moved;
    }

    /** Why something is done although it is held back; empty where nobody says. */
    public function overruled(): string
    {
        return trim((string) $this->validated('overruled'));
    }

    /** @throws NotAFact where the kind is none */
    public function said(): Statement
    {
        $kind =
            FactKind::tryFrom($this->validated('kind')) ??
            throw NotAFact::unknownKey($this->validated('kind'), 'unknown kind of entry');

        return new Statement(
            $kind,
            $this->validated('key'),
            $this->typed(),
            (string) $this->validated('reason'),
            (string) $this->validated('part'),
            array_map(strval(...), array_intersect_key($this->validated(), array_flip(self::WEIGHED))),
        );
    }
}
