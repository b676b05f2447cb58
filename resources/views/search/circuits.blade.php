<a class="row-link" href="{{ $row['address'] }}"><span class="grow"><b>{{ $row['circuit'] }}</b><small>
    {{ $row['site'] }} · {{ $row['kind'] }} · {{ $row['refrigerant'] }}</small></span>
    @if ($row['drifting'] !== '')<span class="mark-act">◐ {{ $row['drifting'] }} drifts</span>@endif
    <span class="when">{{ $row['last_visit'] ?? 'no visit yet' }}</span></a>
