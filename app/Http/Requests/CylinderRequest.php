<?php

namespace App\Http\Requests;

use App\Models\Cylinder;
use App\Models\StockMove;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Metrum\Quantity\Field;
use Metrum\Quantity\Kind;
use Metrum\Quantity\NotAQuantity;
use Metrum\Refrigerant\Library;

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
            'label' => ['required', 'string', 'max:40', Rule::unique('cylinders', 'label')->ignore($this->cylinder())],
            'refrigerant' => ['required', 'string', Rule::in(Library::standard()->names())],
            'is_recovered' => ['nullable', 'boolean'],
            'tare' => ['required', 'string', 'max:30'],
            'water' => ['required', 'string', 'max:30'],
            'gross' => ['nullable', 'string', 'max:30'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    public function messages(): array
    {
        return ['label.unique' => 'A cylinder of this number is in the stock already.'];
    }

    private function cylinder(): ?Cylinder
    {
        $cylinder = $this->route('cylinder');

        return $cylinder instanceof Cylinder ? $cylinder : null;
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $fields = [
                    'tare' => Field::inFileUnit('tare', 'Tare', Kind::Mass, 0.1, self::HEAVIEST),
                    'water' => Field::inFileUnit('water', 'Water capacity', Kind::Volume, 0.1, self::LARGEST),
                    'gross' => Field::inFileUnit('gross', 'Weight now', Kind::Mass, 0.1, 2 * self::HEAVIEST),
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
                if (isset($this->read['gross'], $this->read['tare']) && $this->read['gross'] < $this->read['tare']) {
                    $validator->errors()->add('gross', 'Weight now: less than the tare.');
                }
            },
        ];
    }

    public function save(): Cylinder
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
        $id = $this->validated('id') ?? strtoupper((string) Str::ulid());
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
