<form method="post" action="{{ route('settings.workshop') }}" novalidate>
    @csrf @method('put')
    <fieldset class="sheet" @disabled(! $mayRule)>
        <legend class="h2">Workshop and prices</legend>
        <div class="grid-fields">
            <x-field name="name" label="Name" :value="old('name', $workshop->name)" />
            <x-field name="address" label="Address" :value="old('address', $workshop->address)" />
            <x-field name="contact" label="Phone or e-mail for customers" :value="old('contact', $workshop->contact)" />
            <x-pick name="currency" label="Currency" :options="$workshop->currencies()"
                :value="old('currency', $workshop->currency)" :empty="false" />
            <x-field name="tax_percent" label="Tax, %" :value="old('tax_percent', $workshop->tax_percent)" />
            <x-field name="labour" label="Labour, per hour" :value="old('labour', $workshop->typedLabour())" />
            <x-field name="call_out" label="Call-out" :value="old('call_out', $workshop->typedCallOut())" />
        </div>
        <label for="prices">Price list, one per line: name; unit; price</label>
        <textarea id="prices" name="prices" rows="5" maxlength="8000"
            placeholder="R-448A; kg; 62">{{ old('prices', $workshop->prices) }}</textarea>
        @error('prices')<p class="error" role="alert">{{ $message }}</p>@enderror
        <p class="hint">Used for choices offered to owners. Every line of an offer can be changed.@if (! $mayRule)
            Only a lead can change prices.@endif</p>
        <p class="actions"><button class="btn">Save</button></p>
    </fieldset>
</form>
