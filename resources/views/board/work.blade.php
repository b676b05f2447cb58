@php($work = $page->work())
<div id="board-touched" class="touched board-touched" data-part>
    @foreach ($work->touched() as $one)
        @if ($loop->first)<h2>To restore</h2>@endif
        <x-entry :page="$page" kind="restored" :key="$one['key']" :part="$one['part']" stage="board" :whole="true"
            :says="'restored: '.$one['said']"><button class="plain" name="value" value="yes"
            @disabled(! $page->mayEnter)>▢ {{ $one['said'] }}</button></x-entry>
    @endforeach
</div>
