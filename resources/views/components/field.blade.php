@props(['name', 'label', 'value' => null, 'type' => 'text', 'unit' => null, 'hint' => null, 'id' => null])
@php($error = $errors->first($name))
<div class="field-row @if ($error) has-error @endif">
    <label for="{{ $id ?? 'f-'.$name }}">{{ __($label) }}</label>
    <div class="field-box">
        <input id="{{ $id ?? 'f-'.$name }}" name="{{ $name }}" type="{{ $type }}"
            value="{{ $type === 'password' ? '' : $value }}" {{ $attributes }} @if ($error) aria-invalid="true"
            aria-describedby="e-{{ $id ?? $name }}" @elseif ($hint) aria-describedby="h-{{ $id ?? $name }}" @endif>
        @if ($unit)<span class="unit">{{ $unit }}</span>@endif
    </div>
    @if ($error)<p class="error" id="e-{{ $id ?? $name }}" role="alert">{{ $error }}</p>@elseif ($hint)<p class="hint"
        id="h-{{ $id ?? $name }}">{{ $hint }}</p>@endif
</div>
