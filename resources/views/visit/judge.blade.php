@if ($page->mayEnter && $suspect->fault !== Metrum\Knowledge\Fault::NoFault)
<div class="judge">
    <x-entry :page="$page" kind="confirmed" :key="$suspect->fault->value"
        :says="'confirmed: '.App\View\Explain::within($suspect->entry()->name)"><button class="btn quiet"
        name="value" value="yes">Confirm</button></x-entry>
    <details class="rule-out"><summary class="btn quiet">Rule out …</summary>
        <x-entry :page="$page" kind="ruled_out" :key="$suspect->fault->value"
            :says="'ruled out: '.App\View\Explain::within($suspect->entry()->name)"><label
            for="why-{{ $where }}-{{ $suspect->fault->value }}">Reason</label><input
            id="why-{{ $where }}-{{ $suspect->fault->value }}" name="reason" required maxlength="400"><button
            class="btn" name="value" value="yes">Rule out</button></x-entry>
    </details>
</div>
@endif
