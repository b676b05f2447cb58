<?php

namespace App\Http\Requests;

use App\Models\FactRecord;
use App\Models\Visit;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Metrum\Circuit\Station;
use Metrum\Log\Fact;

final class UndoRequest extends FormRequest
{
    public function authorize(): bool
    {
        $user = $this->user();
        assert($user !== null);
        Gate::forUser($user)->authorize('enter', $this->visit());

        return true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['id' => ['nullable', 'ulid'], 'stage' => ['nullable', 'string', 'max:16']];
    }

    /** The fact of this visit that is taken back; another visit's is not found. */
    public function fact(): Fact
    {
        $id = $this->route('entry');

        return FactRecord::query()
            ->where('visit_id', $this->visit()->id)
            ->where('id', $id)
            ->firstOrFail()
            ->fact();
    }

    public function station(): Station
    {
        return Station::tryFrom((string) $this->validated('stage')) ?? Station::Gauges;
    }

    private function visit(): Visit
    {
        $visit = $this->route('visit');
        assert($visit instanceof Visit);

        return $visit;
    }
}
