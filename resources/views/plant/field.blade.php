@php($error = $bench->inputs->errors[$key] ?? null)
<div @class(['plant-field', 'has-error' => $error !== null])>
    <label for="p-{{ $key }}">{{ $bench->inputs->fields[$key]->label }}</label>
    <input id="p-{{ $key }}" name="{{ $key }}" value="{{ $bench->inputs->typed($key) }}" placeholder="{{ $usual }}"
        inputmode="text" autocomplete="off" @if ($error) aria-invalid="true" @endif>
    <span class="unit">{{ $bench->inputs->unit($key) }}</span>
</div>
