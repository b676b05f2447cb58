{{-- what is dangerous on the way: before anything else of the visit --}}
<div id="hazards" data-part>
@foreach ($page->side()->hazards() as $hazard)
<div class="hazard" role="alert">
    <p><b>● Make safe first: {{ lcfirst($hazard->label()) }}.</b> {{ $hazard->remedy() }}</p>
    <form method="post" action="{{ $page->entries }}" data-entry data-says="made safe: {{ lcfirst($hazard->label()) }}">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="restored"><input type="hidden" name="key" value="{{ $hazard->value }}"><input type="hidden" name="stage" value="{{ $page->station->value }}">@include('visit.open-card')<button class="btn" name="value" value="yes" @disabled(! $page->mayEnter)>Made safe</button></form>
</div>
@endforeach
</div>
