<x-layout title="Controller trend, {{ $page->visit->circuit->site->name }}">
    <x-slot:where><a href="{{ $page->visit->address() }}">{{ $page->visit->circuit->site->name }}</a> /
        <b>Controller trend</b></x-slot:where>
    <main id="main" class="page trend">
        <div class="page-head"><h1>Controller trend</h1></div>
        @foreach ($page->lanes() as $lane)
            <section class="trend-lane" aria-label="{{ $lane->name }}">
                <h2>{{ $lane->name }} <small class="soft">{{ $lane->picture->unit() }}</small></h2>
                <div class="trend-scroll" tabindex="0" role="region" aria-label="Picture of {{ $lane->name }}">
                    <x-picture.trend :trend="$lane->picture" /></div>
                @if ($lane->moves !== [])<table class="ledger"><thead><tr><th scope="col">At</th><th
                    scope="col">Done</th><th scope="col">Before</th><th scope="col">After</th><th scope="col"><span
                    class="sr">Result</span></th></tr></thead><tbody>@foreach ($lane->moves as $move)<tr><td>{{
                    $move['at'] }}</td><td>{{ $move['done'] }}</td><td>{{ $move['before'] }}</td><td>{{ $move['after']
                    }}</td><td><b>{{ $move['says'] }}</b></td></tr>@endforeach</tbody></table>
                @else<p class="soft">Nothing was changed within this time.</p>@endif
                @error($lane->record->id)<p class="error" role="alert">{{ $message }}</p>@enderror
                @if ($page->mayEnter)<div class="trend-actions">
                    <form method="post" action="{{ route('trend.take', [$page->visit, $lane->record]) }}">@csrf
                        <label for="at-{{ $lane->record->id }}">Value at</label>
                        <input id="at-{{ $lane->record->id }}" class="input" type="datetime-local" name="at"
                            value="{{ old('at', $lane->last) }}"> <button class="btn quiet">Take as reading</button>
                    </form>
                    <form method="post" action="{{ route('trend.remove', [$page->visit, $lane->record]) }}">@csrf
                        <button class="plain">Remove<span class="sr"> {{ $lane->name }}</span></button></form>
                </div>@endif
            </section>
        @endforeach
        @if ($page->mayEnter)
            <form method="post" action="{{ route('trend', $page->visit) }}" enctype="multipart/form-data" class="sheet">
                @csrf
                <div class="field-row @error('file') has-error @enderror"><label for="f-file">Export of the controller
                    (CSV)</label><input id="f-file" type="file" name="file" accept=".csv,.txt,text/csv">
                    @error('file')<p class="error" role="alert">{{ $message }}</p>@enderror</div>
                <p class="hint">A heading, a column of times, one column per value. Up to
                    {{ App\Records\UploadLimit::inWords() }}.</p>
                <button class="btn">Send file</button>
            </form>
        @endif
    </main>
</x-layout>
