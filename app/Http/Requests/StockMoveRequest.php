<?php

namespace App\Http\Requests;

use App\Models\Cylinder;
use App\Models\HouseRuleChoice;
use App\Models\StockMove;
use App\Records\Stock;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Metrum\Circuit\HouseRule;
use Metrum\Log\Kinds\Weighed;
use Metrum\Quantity\NotAQuantity;
use Metrum\Work\Ledger\Cylinder as Known;

/** A cylinder was weighed: what it weighs now, and what happened to it. */
final class StockMoveRequest extends FormRequest
{
    private float $kilograms = 0.0;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['nullable', 'ulid'],
            'why' => ['required', Rule::in(array_keys(StockMove::WHY))],
            'gross' => ['required', 'string', 'max:30'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $known = $this->known();
                $units = $this->user()->units();
                if ($known === null || $this->isKept()) {
                    return;
                }
                try {
                    $gross = Weighed::field('gross', 'Weight now')->read((string) $this->string('gross'), $units)->si;
                } catch (NotAQuantity $reason) {
                    $validator->errors()->add('gross', $reason->getMessage());

                    return;
                }
                $this->kilograms = $gross - $known->gross();
                $filledFor = HouseRuleChoice::inForce()->band(HouseRule::CylinderFill)->low;
                $refusal = match (true) {
                    $gross < $known->tare => 'Weight now: less than its tare of '.$units->mass($known->tare).'.',
                    default => $known->refusal($known->refrigerant, $this->kilograms, $filledFor, $units),
                };
                if ($refusal !== null) {
                    $validator->errors()->add('gross', $refusal);
                }
            },
        ];
    }

    private function known(): ?Known
    {
        $cylinder = $this->route('cylinder');

        return $cylinder instanceof Cylinder ? (new Stock())->cylinder($cylinder->id) : null;
    }

    /** Whether the same was sent before: it is kept once. */
    private function isKept(): bool
    {
        $id = $this->input('id');

        return is_string($id) && StockMove::query()->whereKey($id)->exists();
    }

    public function save(Cylinder $cylinder): void
    {
        if ($this->isKept()) {
            return;
        }
        StockMove::query()->create(array_filter(['id' => $this->validated('id')]) + [
            'cylinder_id' => $cylinder->id,
            'user_id' => $this->user()->id,
            'kilograms' => $this->kilograms,
            'why' => $this->validated('why'),
            'note' => (string) $this->validated('note'),
            'moved_at' => now(),
        ]);
        if ($this->validated('why') === 'returned') {
            $cylinder->update(['gone_at' => now()]);
        }
    }
}
