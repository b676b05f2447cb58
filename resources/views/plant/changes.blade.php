<table class="changes"><thead><tr><th><span class="sr">Figure</span></th>@if ($plain)<th>{{ $now
    ?? 'Now' }}</th>@else<th>{{ $was ?? 'Healthy' }}</th><th><span class="sr">Direction</span></th><th>{{ $now
    ?? 'Now' }}</th>@endif</tr></thead><tbody>
    @foreach ($changes as $row)<tr @class(['moved' => $row['arrow'] !== ''])><th
        scope="row">{{ $row['name'] }}</th><td
        class="num">{{ $row['before'] }}</td>@unless ($plain)<td>{{ $row['arrow'] }}</td><td
        class="num">{{ $row['arrow'] === '' ? '' : $row['now'] }}</td>@endunless</tr>@endforeach
</tbody></table>
