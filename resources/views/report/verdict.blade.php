<table><thead><tr><th>{{ $when === '' ? 'What' : $when }}</th><th>Probability</th><th>Why</th></tr></thead><tbody>
    @foreach ($verdict->ranked($when === '' ? 3 : 2) as $suspect)
        <tr><th scope="row">{{ $verdict->nameOf($suspect) }}</th><td
            class="num">{{ App\View\Explain::percent($suspect->probability) }}</td><td>
                @foreach (array_slice($suspect->speaksFor, 0, $loop->first ? 3 : 1) as [$piece, $weight]){{
                    $page->explain->evidence($piece) }}.
            @endforeach @foreach (array_slice($suspect->speaksAgainst, 0, 1) as [$piece, $weight])Against:
            {{ App\View\Explain::within($page->explain->evidence($piece)) }}.@endforeach</td></tr>
    @endforeach
</tbody></table>
