<details class="fold" id="figures" data-part>
    <summary>Figures and how each was worked out</summary>
    @php($course = $page->course())
    <table class="figures"><caption>The course in
        figures</caption><thead><tr><th>Place</th><th>Measured</th><th>Expected</th></tr></thead><tbody>
        @foreach ($course->rows() as $row)<tr><th scope="row">{{ $row['place'] }}</th><td
            class="num">{{ $row['measured'] }}</td><td class="num">{{ $row['expected'] }}</td></tr>@endforeach
    </tbody></table>
    @if ($course->gaps !== [])
    <table class="figures"><caption>Gaps</caption><thead><tr><th>Gap</th><th>Measured</th><th>Should be, here and
        now</th><th>By</th><th>Adjust to</th></tr></thead><tbody>
        @foreach ($course->gaps as $gap)<tr><th scope="row">{{ $gap->mark->sign() }} {{ $gap->name->value }}</th><td
            class="num">{{ $gap->shown($page->units) }}</td><td
            class="num">{{ $gap->span($page->units) }}</td><td>{{ $gap->band->source }}</td>
                <td>{{ $gap->wanted($page->units) }}</td></tr>@endforeach
    </tbody></table>
    @endif
    @foreach ($page->verdict->figures->all() as $figure)
        <details class="sum"><summary><span>{{ $figure->key->label() }}</span><b
            class="num">{{ $page->explain->figure($figure) }}</b></summary>
            <p>= {{ $figure->formula() }}</p>
            <ul>@foreach ($page->explain->inputs($figure, $page->findings) as $input)<li>{{ $input['name'] }}: <span
                class="num">{{ $input['value'] }}</span></li>@endforeach<li>atmosphere of the site: <span
                class="num">{{ $page->units->text($page->findings->circuit->atmosphere->pascal,
                Metrum\Quantity\QuantityKind::AbsolutePressure) }}</span></li></ul>
            @if ($figure->meaning !== null)<p class="caution">◐ {{ $figure->meaning->sentence() }}</p>@endif
        </details>
    @endforeach
    @foreach ($page->verdict->figures->unknown() as $key => $reason)<p
        class="soft">{{ Metrum\Findings\DerivedFigure::from($key)->label() }}: {{ $reason }}</p>@endforeach
</details>
