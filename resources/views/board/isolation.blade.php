<section id="board-isolation" class="board-isolation" aria-labelledby="h-isolation" data-part>
    @php($rows = $page->isolation()->rows())
    @if ($rows !== [])
        <h2 id="h-isolation">Isolation</h2>
        <p class="soft">Close one circuit, let the group pump it empty, wait until the level stays, then the next
            one.</p>
        <ol>@foreach ($rows as $row)<li @class(['asks' => $row['asks']])>
            <b>{{ $row['name'] }}</b> <small>{{ $row['at'] }}</small>
            <span>Level {{ $row['level'] }}</span> <span>Header {{ $row['header'] }}</span>
            @if ($row['said'] !== '')<p>@if ($row['asks'])● @endif @told($row['said'])</p>@endif
        </li>@endforeach</ol>
    @endif
</section>
