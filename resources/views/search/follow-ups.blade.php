<a class="row-link" href="{{ $row['address'] }}"><span class="grow"><b>{{ $row['what'] }}</b><small>
    {{ $row['circuit'] }}, {{ $row['site'] }}</small></span><span class="when">{{ $row['done'] === null
    ? 'due '.$row['due'] : '○ done '.$row['done'] }}</span></a>
