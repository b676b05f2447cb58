<details class="fold" id="figures" data-part>
    <summary>All figures and how they are calculated</summary>
    @php($course = $page->course())
    <table class="figures"><caption>Course as a
        table</caption><thead><tr><th>Location</th><th>Measured</th><th>Expected</th></tr></thead><tbody>
        @foreach ($course->rows() as $row)<tr><th scope="row">{{ $row['place'] }}</th><td
            class="num">{{ $row['measured'] }}</td><td class="num">{{ $row['expected'] }}</td></tr>@endforeach
    </tbody></table>
    @if ($course->gaps !== [])
    <table class="figures"><caption>Key figures</caption><thead><tr><th>Key figure</th><th>Measured</th><th>Expected
        now</th><th>Source</th><th>Target</th></tr></thead><tbody>
        @foreach ($course->gaps as $gap)<tr><th scope="row">{{ $gap->mark->sign() }} {{ $gap->name->value }}</th><td
            class="num">{{ $gap->shown($page->units) }}</td><td
            class="num">{{ $gap->span($page->units) }}</td><td>{{ $gap->band->source }}</td>
                <td>{{ $gap->wanted($page->units) }}</td></tr>@endforeach
    </tbody></table>
    @endif
    @foreach ($page->verdict->figures->all() as $figure)
        <details class="sum"><summary><span>{{ $figure->key->label() }}</span><b
            class="num">{{ $page->explain->figure($figure) }}</b></summary>
            <p>= {{ $figure->formula() }}</p>@php($sum = $page->sums->of($figure))@if ($sum !== '')<p
                class="own-sum num">{{ $sum }}</p>@endif
            <ul>@foreach ($page->explain->inputs($figure, $page->findings) as $input)<li>{{ $input['name'] }}: <span
                class="num">{{ $input['value'] }}</span></li>@endforeach<li>site atmospheric pressure: <span
                class="num">{{ $page->units->text($page->findings->circuit->atmosphere->pascal,
                Metrum\Quantity\QuantityKind::AbsolutePressure) }}</span></li></ul>
            @if ($figure->key->word() !== null)<p><x-term :word="$figure->key->word()">What this word
                means</x-term></p>@endif
            @if ($figure->meaning !== null)<p class="caution">◐ {{ $figure->meaning->sentence() }}</p>@endif
        </details>
    @endforeach
    @foreach ($page->verdict->figures->unknown() as $key => $reason)<p
        class="soft">{{ Metrum\Findings\DerivedFigure::from($key)->label() }}: {{ $reason }}</p>@endforeach
</details>
