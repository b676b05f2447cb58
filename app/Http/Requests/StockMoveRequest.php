<?php

namespace App\Http\Requests;

use App\Models\Cylinder;
use App\Models\HouseRuleChoice;
use App\Models\StockMove;
use App\Records\Stock;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;
use Metrum\Knowledge\HouseRule;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Quantity\NotAQuantity;
use Metrum\Work\Ledger\Cylinder as Known;

/** A cylinder was weighed: what it weighs now, and what happened to it. */
final class StockMoveRequest extends FormRequest
{
    private float $gross = 0.0;

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

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'why.*' => 'Choose a reason.',
            'gross.required' => 'Enter the weight now.',
            'gross.max' => 'Weight now: enter a number, with or without a unit.',
            'note.max' => 'Note: use no more than 200 characters.',
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($this->isKept()) {
                    return;
                }
                try {
                    $this->gross = WeighedAmount::field('gross', 'Weight now')
                        ->read((string) $this->string('gross'), $this->user()->units())->si;
                } catch (NotAQuantity $reason) {
                    $validator->errors()->add('gross', $reason->getMessage());

                    return;
                }
                foreach ($this->contradictions() as $why) {
                    $validator->errors()->add('gross', $why);
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

    /** @return list<string> what its weight says against what is known of it */
    private function contradictions(): array
    {
        $known = $this->known();
        if ($known === null) {
            return [];
        }
        $units = $this->user()->units();
        $change = $this->gross - $known->gross();
        $filledFor = HouseRuleChoice::inForce()->band(HouseRule::CylinderFill)->low;
        $why = (string) $this->string('why');
        $wrong = [
            $this->gross < $known->tare
                ? "Weight now is below the tare of {$units->mass($known->tare)}. Check both."
                : null,
            $known->refusal($known->refrigerant, $change, $filledFor, $units),
            $why === 'bought' && $change < -Known::SAME
                ? "It has {$units->mass($known->content)} on record and would be lighter: not received full."
                : null,
            $why === 'returned' && $change > Known::SAME
                ? "It has {$units->mass($known->content)} on record and would be heavier: re-weigh it first."
                : null,
        ];

        return array_values(array_filter($wrong, is_string(...)));
    }

    /** Looks again and keeps, in one transaction: what was weighed meanwhile counts. */
    public function save(Cylinder $cylinder): void
    {
        DB::transaction(function () use ($cylinder): void {
            if (! $this->isKept()) {
                $wrong = $this->contradictions();
                throw_if($wrong !== [], ValidationException::withMessages(['gross' => $wrong]));
                $this->keep($cylinder);
            }
        });
    }

    private function keep(Cylinder $cylinder): void
    {
        $known = $this->known();
        StockMove::query()->create(array_filter(['id' => $this->validated('id')]) + [
            'cylinder_id' => $cylinder->id,
            'user_id' => $this->user()->id,
            'kilograms' => $this->gross - ($known?->gross() ?? $this->gross),
            'why' => $this->validated('why'),
            'note' => (string) $this->validated('note'),
            'moved_at' => now(),
        ]);
        if ($this->validated('why') === 'returned') {
            $cylinder->update(['gone_at' => now()]);
        }
    }
}
