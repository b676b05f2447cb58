<a class="row-link" href="{{ $row['address'] }}"><span class="grow"><b>{{ $row['cylinder'] }}</b><small>
    {{ $row['refrigerant'] }}{{ $row['recovered'] === 'yes' ? ' · recovered' : '' }} {{ $row['note']
    }}</small></span></a>
