@foreach ($circuits as $circuit)
    <div class="row-link">
        <a class="grow" href="{{ route('circuits.show',
            $circuit) }}"><b>{{ $circuit->name }}</b><small>{{ $circuit->site->name }} ·
            {{ $circuit->coolingKind()?->label() }} · {{ $circuit->refrigerant() }}</small></a>
        <form method="post" action="{{ route('visits.store', $circuit) }}">@csrf<button class="btn">Start
            visit</button></form>
    </div>
@endforeach
@if ($typed !== '' && $circuits->isEmpty())
    <p class="empty">No site or circuit named “{{ \Illuminate\Support\Str::limit($typed, 40) }}”. <a
        href="{{ route('sites.create') }}">New site</a></p>
@endif
