<table><thead><tr><th>{{ $when === '' ? 'What' : $when }}</th><th>Probability</th><th>Evidence</th></tr></thead><tbody>
    @foreach ($verdict->ranked($when === '' ? 3 : 2) as $suspect)
        <tr><th scope="row">{{ $verdict->nameOf($suspect) }}</th><td
            class="num">{{ App\View\Explain::percent($suspect->probability) }}</td><td>
                @foreach ($page->explain->strongestFor($suspect, $loop->first ? 3 : 1) as [$piece, $bar]){{ $piece }}.
            @endforeach @foreach ($page->explain->strongestAgainst($suspect, 1) as [$piece, $bar])Against:
            {{ $piece }}.@endforeach</td></tr>
    @endforeach
</tbody></table>
