@props(['name', 'label', 'options', 'value' => null, 'hint' => null, 'empty' => 'not known'])
@php($error = $errors->first($name))
<div class="field-row @if ($error) has-error @endif">
    <label for="f-{{ $name }}">{{ __($label) }}</label>
    <div class="field-box">
        <select id="f-{{ $name }}" name="{{ $name }}" @if ($error) aria-invalid="true"
            aria-describedby="e-{{ $name }}" @endif>
            @if ($empty !== false)<option value="">{{ $empty }}</option>@endif
            @foreach ($options as $word => $text)<option value="{{ $word }}"
                @selected((string) $value === (string) $word)>{{ $text }}</option>@endforeach
        </select>
    </div>
    @if ($error)<p class="error" id="e-{{ $name }}" role="alert">{{ $error }}</p>@elseif ($hint)<p
        class="hint">{{ $hint }}</p>@endif
</div>
