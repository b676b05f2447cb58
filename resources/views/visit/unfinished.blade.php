{{-- what is still to be put back, and what was begun --}}
@foreach ($page->side()->leaving->touched() as [$touched, $part])
    @if ($loop->first)<p>To restore</p>@endif
    <x-entry :page="$page" kind="restored" :key="$touched" :part="$part"
        :whole="$page->visit->isOfRack()" :says="'restored: '.$touched"><button
        class="plain" name="value" value="yes" @disabled(! $page->mayEnter)>▢
        {{ $page->side()->touchedWords($touched, $part) }}</button></x-entry>
@endforeach
@foreach ($page->shelf->open() as [$card, $part])
    @if ($loop->first)<p>Unfinished procedures</p>@endif
    <a href="{{ App\View\CardList::link($page->visit, $card, $part) }}">◐
        {{ $card->name }}{{ App\View\PartAddress::behind($part) }}</a>
@endforeach
@if ($page->mayEnter && $page->side()->touchable() !== [])
<details class="add-touched"><summary>+ something to restore</summary>
    <x-entry :page="$page" kind="touched" value="yes" says="touched">
        @foreach ($page->side()->touchable() as $key => $said)<button class="plain" name="key"
            value="{{ $key }}">{{ $said }}</button>@endforeach
    </x-entry>
</details>
@endif
