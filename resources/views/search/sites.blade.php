<a class="row-link" href="{{ $row['address'] }}"><span class="grow"><b>{{ $row['site'] }}</b><small>
    {{ $row['place'] }}</small></span><span class="when">{{ $row['circuits'] }}
    {{ $row['circuits'] === 1 ? 'circuit' : 'circuits' }}</span></a>
