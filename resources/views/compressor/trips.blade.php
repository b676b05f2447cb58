{{-- why it trips on oil, and how often it did --}}
@php($oil = $page->oil())
@php($causes = $oil->causes())
@if ($causes !== [])
    <h2>Oil trips</h2>
    <ol class="oil-causes">@foreach ($causes as $cause)<li @class(['is-first' => $cause['isFirst']])>
        <b>{{ $cause['sign'] }} {{ $cause['label'] }}</b>
        @if ($cause['does'] !== '')<p>{{ $cause['does'] }}</p>@endif
        @if ($cause['next'] !== '')<p class="soft">Next: {{ App\View\Explain::within($cause['next']) }}</p>@endif
    </li>@endforeach</ol>
@endif
@if ($oil->trips !== [])
    <h2>Trip history</h2>
    <table><thead><tr><th>Visit</th><th>Stopped by</th><th>Oil trips since the visit before</th><th>Superheat at the
        compressor</th><th>Work done</th></tr></thead><tbody>
        @foreach ($oil->trips as $trip)<tr><th scope="row">{{ $trip['when'] }}</th><td>{{ $trip['what'] }}</td><td
            class="num">{{ $trip['count'] }}</td><td class="num">{{ $trip['superheat'] }}</td><td>{{ $trip['done']
            }}</td></tr>@endforeach
    </tbody></table>
@endif
