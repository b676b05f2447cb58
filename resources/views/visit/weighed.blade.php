{{-- out of which cylinder, how much and what for; where something speaks against it, why all the same --}}
@if ($choice->cylinders !== [])
    <label for="cylinder">Cylinder</label>
    <select id="cylinder" class="input" name="cylinder"><option value="">Not from stock</option>
        @foreach ($choice->cylinders as $one)<option value="{{ $one->id }}" @selected($one->id
            === $choice->last())>{{ $choice->words($one) }}</option>@endforeach</select>
    <div class="pair"><span><label for="before">Cylinder weight before</label><input id="before" class="input"
        name="bottle_before_kg" inputmode="decimal" autocomplete="off"
        placeholder="{{ $page->units->symbol(Metrum\Quantity\QuantityKind::Mass) }}"></span><span><label
        for="after">Cylinder weight after</label><input id="after" class="input" name="bottle_after_kg"
        inputmode="decimal" autocomplete="off"
        placeholder="{{ $page->units->symbol(Metrum\Quantity\QuantityKind::Mass) }}"></span></div>
@endif
<label for="move-value">{{ $choice->cylinders === [] ? 'Amount' : 'or amount' }} (minus = recovered)</label>
<input id="move-value" class="input" name="value" inputmode="text" autocomplete="off" placeholder="{{ $typed }}">
<label for="purpose">Purpose</label>
<select id="purpose" class="input" name="purpose">@foreach ($choice->purposes() as $word => $label)<option
    value="{{ $word }}">{{ $label }}</option>@endforeach</select>
@if ($isHeldBack)
    <label for="overruled">Reason for adding anyway</label>
    <input id="overruled" class="input" name="overruled" maxlength="200" list="reasons"
        placeholder="product cannot wait"><datalist id="reasons"><option value="product cannot wait"><option
        value="No time for a leak search today"><option value="first charge after a repair"></datalist>
@endif
