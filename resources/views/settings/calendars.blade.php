<div class="sheet">
    <h2>Calendars of follow-ups</h2>
    @foreach ([['Yours', $user->calendar_key, 'calendar.renew', true],
        ['The workshop', $workshop->calendar_key, 'calendar.renew-workshop', $mayRule]] as [$name, $key, $way, $may])
        <div class="row-link"><span class="grow"><b>{{ $name }}</b><small>@if ($key === null) No address yet.
            @else<a class="owner-link" href="{{ route('calendar', $key) }}">{{ route('calendar', $key)
            }}</a>@endif</small></span>
            @if ($may)<form method="post" action="{{ route($way) }}">@csrf<button class="btn quiet">{{ $key === null
                ? 'Make address' : 'Renew address' }}</button></form>@endif</div>
    @endforeach
    <p class="hint">Subscribe to an address in any calendar. Whoever has it sees the follow-ups; renew it to close
        it.</p>
</div>
