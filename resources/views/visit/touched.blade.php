<div id="touched" class="touched" data-part>
    @foreach ($page->side()->touched() as $fact)
        @if ($loop->first)<p>To be put back</p>@endif
        <form method="post" action="{{ $page->entries }}" data-entry data-says="put back: {{ $fact->content->key }}">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="restored"><input type="hidden" name="key" value="{{ $fact->content->key }}"><input type="hidden" name="subject" value="{{ $fact->content->subject }}"><input type="hidden" name="stage" value="{{ $page->station->value }}"><button class="plain" name="value" value="yes" @disabled(! $page->mayEnter)>▢ {{ str_replace('_', ' ', $fact->content->key) }}{{ $fact->content->subject === '' ? '' : ', '.$fact->content->subject }}</button></form>
    @endforeach
</div>
