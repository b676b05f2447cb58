{{-- what is still to be put back, and what was begun --}}
@foreach ($page->side()->touched() as [$touched, $subject])
    @if ($loop->first)<p>To be put back</p>@endif
    <form method="post" action="{{ $page->entries }}" data-entry data-says="put back: {{ $touched }}">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="restored"><input type="hidden" name="key" value="{{ $touched }}"><input type="hidden" name="subject" value="{{ $subject }}"><input type="hidden" name="stage" value="{{ $page->station->value }}"><button class="plain" name="value" value="yes" @disabled(! $page->mayEnter)>▢ {{ str_replace('_', ' ', $touched) }}{{ $subject === '' ? '' : ', '.$subject }}</button></form>
@endforeach
@foreach ($page->cards()->open() as [$card, $subject])
    @if ($loop->first)<p>Begun, not ended</p>@endif
    <a href="{{ App\View\CardList::link($page->visit, $card, $subject) }}">◐ {{ $card->name }}{{ $subject === '' ? '' : ', '.$subject }}</a>
@endforeach
@if ($page->mayEnter && $page->side()->touchable() !== [])
<details class="add-touched"><summary>+ something touched</summary>
    <form method="post" action="{{ $page->entries }}" data-entry data-says="touched">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="kind" value="touched"><input type="hidden" name="value" value="yes"><input type="hidden" name="stage" value="{{ $page->station->value }}">
        @foreach ($page->side()->touchable() as $key => $said)<button class="plain" name="key" value="{{ $key }}">{{ $said }}</button>@endforeach
    </form>
</details>
@endif
