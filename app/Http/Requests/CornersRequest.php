<?php

namespace App\Http\Requests;

use App\Models\Plant;
use App\Models\Visit;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Metrum\Installation\CompressorClass;
use Metrum\Installation\CompressorUnit;
use Metrum\Installation\EnvelopeCorners;
use Metrum\Quantity\QuantityKind;

/** Corner points of an envelope as they are typed: evaporating and condensing, a corner a line. */
final class CornersRequest extends FormRequest
{
    private const LINE = '/^\s*([+\-−]?\d+(?:[.,]\d+)?)\s*(?:[\/;,|]|\s)\s*([+\-−]?\d+(?:[.,]\d+)?)\s*$/u';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'of' => ['required', 'string', 'max:160'],
            'corners' => ['nullable', 'string', 'max:600'],
            'class' => ['nullable', Rule::enum(CompressorClass::class)],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($validator->errors()->isNotEmpty()) {
                    return;
                }
                $objection = $this->objection();
                if ($objection !== null) {
                    $validator->errors()->add('corners', $objection);
                }
            },
        ];
    }

    private function objection(): ?string
    {
        if ($this->named() === null) {
            return 'Compressor: you entered '.mb_substr((string) $this->input('of'), 0, 40).'. Open its page again.';
        }
        foreach ($this->lines() as $place => $line) {
            if (preg_match(self::LINE, $line) !== 1) {
                return 'Corner '.($place + 1).': you entered “'.mb_substr($line, 0, 40).
                    '”. Enter evaporating and condensing, e.g. −35 25.';
            }
        }
        $corners = $this->corners();
        $objection = $corners === [] ? null : EnvelopeCorners::objection($corners);

        return $objection === null ? null : 'Corner points: '.$objection.'.';
    }

    /** The system as it is known now: corner points may be entered at an open visit. */
    public function plant(): Plant
    {
        $visit = $this->route('visit');
        assert($visit instanceof Visit);
        $circuit = $visit->loadMissing('circuit.site', 'circuit.plant')->circuit;

        return $circuit->plant->setRelation('site', $circuit->site);
    }

    /** The compressor that is named, as it is known now. */
    public function unit(): CompressorUnit
    {
        return $this->named() ?? abort(404);
    }

    private function named(): ?CompressorUnit
    {
        foreach ($this->plant()->known()->fitted() as $unit) {
            if ($unit->part->value === $this->input('of')) {
                return $unit;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function lines(): array
    {
        $lines = preg_split('/\R/u', (string) $this->input('corners'));

        return array_values(
            array_filter($lines === false ? [] : $lines, static fn (string $one): bool => trim($one) !== ''),
        );
    }

    public function compressorClass(): ?CompressorClass
    {
        return CompressorClass::tryFrom((string) $this->validated('class'));
    }

    /** @return list<array{float, float}> K */
    public function corners(): array
    {
        $unit = $this->user()->units()->of(QuantityKind::Temperature);
        $corners = [];
        foreach ($this->lines() as $line) {
            if (preg_match(self::LINE, $line, $is) === 1) {
                $number = static fn (string $typed): float => (float) str_replace(['−', ','], ['-', '.'], $typed);
                $corners[] = [$unit->toSi($number($is[1])), $unit->toSi($number($is[2]))];
            }
        }

        return $corners;
    }
}
