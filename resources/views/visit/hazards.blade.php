{{-- what is dangerous on the way: before anything else of the visit --}}
<div id="hazards" data-part>
@foreach ($page->side()->leaving->hazards() as $hazard)
<div class="hazard" role="alert">
    <p><b>● Make safe first: {{ lcfirst($hazard->label()) }}.</b> {{ $hazard->remedy() }}</p>
    <x-entry :page="$page" kind="restored" :key="$hazard->value" :says="'made safe: '.lcfirst($hazard->label())"
        card><button class="btn" name="value" value="yes" @disabled(! $page->mayEnter)>Made safe</button></x-entry>
</div>
@endforeach
</div>
