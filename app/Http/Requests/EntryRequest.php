<?php

namespace App\Http\Requests;

use App\Models\Visit;
use App\View\Control;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Metrum\Circuit\Station;
use Metrum\Log\FactKind;
use Metrum\Log\NotAFact;
use Metrum\Log\Said;

final class EntryRequest extends FormRequest
{
    /** What the quick line's control sends as its kind. */
    private const LINE = 'line';

    public function authorize(): bool
    {
        $visit = $this->route('visit');
        $user = $this->user();
        assert($visit instanceof Visit && $user !== null);
        Gate::forUser($user)->authorize('enter', $visit);

        return true;
    }

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
            'stage' => ['nullable', 'string', 'max:16'],
        ];
    }

    public function isLine(): bool
    {
        return $this->validated('kind') === self::LINE;
    }

    public function id(): string
    {
        return (string) $this->validated('id');
    }

    public function typed(): string
    {
        return (string) $this->validated('value');
    }

    /** @throws NotAFact where the kind is none */
    public function said(): Said
    {
        $kind =
            FactKind::tryFrom($this->validated('kind')) ??
            throw NotAFact::unknownKey($this->validated('kind'), 'no kind of entry');

        return new Said($kind, $this->validated('key'), $this->typed(), (string) $this->validated('reason'));
    }

    public function control(): Control
    {
        return new Control(
            FactKind::tryFrom($this->validated('kind')),
            $this->validated('key'),
            $this->typed(),
        );
    }

    public function station(): Station
    {
        return Station::tryFrom((string) $this->validated('stage')) ?? Station::Gauges;
    }
}
