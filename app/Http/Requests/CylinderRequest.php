<?php

namespace App\Http\Requests;

use App\Models\Cylinder;
use App\Models\HouseRuleChoice;
use App\Models\StockMove;
use App\Records\Stock;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;
use Metrum\Knowledge\HouseRule;
use Metrum\Quantity\Field;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\QuantityKind;
use Metrum\Refrigerant\Library;
use Metrum\Work\Ledger\Cylinder as Known;

/** A cylinder, and what is in it when it comes. */
final class CylinderRequest extends FormRequest
{
    private const HEAVIEST = 500.0;

    private const LARGEST = 1000.0;

    /** @var array<string, float> SI */
    private array $read = [];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['nullable', 'ulid'],
            'label' => [
                'required',
                'string',
                'max:40',
                Rule::unique('cylinders', 'label')->ignore($this->cylinder() ?? $this->sent()),
            ],
            'refrigerant' => ['required', 'string', Rule::in(Library::known()->names())],
            'is_recovered' => ['nullable', 'boolean'],
            'tare' => ['required', 'string', 'max:30'],
            'water' => ['required', 'string', 'max:30'],
            'gross' => ['nullable', 'string', 'max:30'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    public function messages(): array
    {
        return [
            'label.required' => 'Enter the cylinder number.',
            'label.max' => 'Cylinder number: use no more than 40 characters.',
            'label.unique' => 'This cylinder number is already in stock.',
            'refrigerant.*' => 'Choose the refrigerant.',
            'tare.required' => 'Enter the tare weight stamped on the cylinder.',
            'water.required' => 'Enter the water capacity stamped on the cylinder.',
            'note.max' => 'Note: use no more than 200 characters.',
            ...array_fill_keys(['tare.max', 'water.max', 'gross.max'], 'Enter a number, with or without a unit.'),
        ];
    }

    private function cylinder(): ?Cylinder
    {
        $cylinder = $this->route('cylinder');

        return $cylinder instanceof Cylinder ? $cylinder : null;
    }

    /** The cylinder that this id was sent for before: a resend. */
    private function sent(): ?Cylinder
    {
        $id = $this->input('id');

        return is_string($id) && Str::isUlid($id) ? Cylinder::query()->find($id) : null;
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $fields = [
                    'tare' => Field::inFileUnit('tare', 'Tare', QuantityKind::Mass, 0.1, self::HEAVIEST),
                    'water' => Field::inFileUnit('water', 'Water capacity', QuantityKind::Volume, 0.1, self::LARGEST),
                    'gross' => Field::inFileUnit('gross', 'Weight now', QuantityKind::Mass, 0.1, 2 * self::HEAVIEST),
                ];
                foreach ($fields as $name => $field) {
                    $typed = trim((string) $this->string($name));
                    if ($typed === '') {
                        continue;
                    }
                    try {
                        $this->read[$name] = $field->read($typed, $this->user()->units())->si;
                    } catch (NotAQuantity $reason) {
                        $validator->errors()->add($name, $reason->getMessage());
                    }
                }
                foreach ($this->contradictions() as $field => $why) {
                    $validator->errors()->add($field, $why);
                }
            },
        ];
    }

    /** @return array<string, string> what cannot be together, by field */
    private function contradictions(): array
    {
        $tare = $this->read['tare'] ?? null;
        $water = $this->read['water'] ?? null;
        $fluid = (string) $this->string('refrigerant');
        if ($tare === null || $water === null || ! Library::known()->has($fluid)) {
            return [];
        }
        $known = $this->cylinder();
        $before = $known === null ? null : (new Stock())->cylinder($known->id);
        $content = $before !== null ? $before->content : ($this->read['gross'] ?? $tare) - $tare;
        $field = $before === null ? 'gross' : 'water';
        $units = $this->user()->units();
        $wrong = [];
        if ($content < 0.0 && $before === null) {
            $wrong[$field] = "Weight now is below the tare of {$units->mass($tare)}. Check both.";
        }
        if ($before !== null && $before->content > Known::SAME && $before->refrigerant !== $fluid) {
            $wrong['refrigerant'] = "It has {$units->mass($before->content)} of $before->refrigerant on record: ".
                'empty or return it first.';
        }
        $filledFor = HouseRuleChoice::inForce()->band(HouseRule::CylinderFill)->low;
        $told = new Known('', (string) $this->string('label'), $fluid, $tare, $water, false);
        $refusal = $content > 0.0 ? $told->refusal($fluid, $content, $filledFor, $units) : null;

        return $refusal === null ? $wrong : $wrong + [$field => $refusal];
    }

    /** One transaction, so that nothing is weighed meanwhile. */
    public function save(): Cylinder
    {
        return DB::transaction(function (): Cylinder {
            foreach ($this->contradictions() as $field => $why) {
                throw ValidationException::withMessages([$field => $why]);
            }

            return $this->kept();
        });
    }

    private function kept(): Cylinder
    {
        $told = [
            'label' => $this->validated('label'),
            'refrigerant' => $this->validated('refrigerant'),
            'is_recovered' => $this->boolean('is_recovered'),
            'tare' => $this->read['tare'],
            'water' => $this->read['water'],
            'note' => (string) $this->validated('note'),
        ];
        $known = $this->cylinder();
        if ($known !== null) {
            $known->update($told);

            return $known;
        }
        $sent = $this->sent();
        if ($sent !== null && $sent->label === $told['label']) {
            return $sent;
        }
        // An id that another cylinder has is no id for this one.
        $id = $sent === null ? $this->validated('id') ?? (string) Str::ulid() : (string) Str::ulid();
        $cylinder = Cylinder::query()->create($told + ['id' => $id]);
        $content = ($this->read['gross'] ?? $told['tare']) - $told['tare'];
        if ($content > 0.0) {
            StockMove::query()->create([
                'cylinder_id' => $cylinder->id,
                'user_id' => $this->user()->id,
                'kilograms' => $content,
                'why' => 'bought',
                'moved_at' => now(),
            ]);
        }

        return $cylinder;
    }
}
