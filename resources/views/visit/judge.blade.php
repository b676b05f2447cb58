@if ($page->mayEnter && $suspect->fault !== Metrum\Knowledge\Fault::NoFault)
<div class="judge">
    <form method="post" action="{{ $page->entries }}" data-entry data-says="confirmed: {{ App\View\Explain::within($suspect->entry()->name) }}">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="confirmed"><input type="hidden" name="key" value="{{ $suspect->fault->value }}"><input type="hidden" name="stage" value="{{ $page->station->value }}"><button class="btn quiet" name="value" value="yes">Confirmed</button></form>
    <details class="rule-out"><summary class="btn quiet">Ruled out …</summary>
        <form method="post" action="{{ $page->entries }}" data-entry data-says="ruled out: {{ App\View\Explain::within($suspect->entry()->name) }}">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="ruled_out"><input type="hidden" name="key" value="{{ $suspect->fault->value }}"><input type="hidden" name="stage" value="{{ $page->station->value }}"><label for="why-{{ $where }}-{{ $suspect->fault->value }}">because</label><input id="why-{{ $where }}-{{ $suspect->fault->value }}" name="reason" required maxlength="400"><button class="btn" name="value" value="yes">Rule out</button></form>
    </details>
</div>
@endif
