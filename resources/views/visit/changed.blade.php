{{-- the control that was used --}}
@if ($kind === 'reading' && Metrum\Circuit\Reading::tryFrom($key))
    @include('visit.cell', ['cell' => $page->cell(Metrum\Circuit\Reading::from($key), $typed, $refusal)])
@elseif ($kind === 'observation' && Metrum\Circuit\Observation::tryFrom($key))
    @include('visit.choice', ['choice' => $page->choice(Metrum\Circuit\Observation::from($key)), 'error' => $refusal])
@elseif ($kind === 'test' && Metrum\Circuit\Test::tryFrom($key))
    @include('visit.choice', ['choice' => $page->choice(Metrum\Circuit\Test::from($key)), 'error' => $refusal])
@elseif ($kind === 'complaint')
    @include('visit.marks', ['error' => $refusal])
@elseif ($kind === 'state')
    @include('visit.state', ['error' => $refusal])
@elseif ($kind === 'line')
    @include('visit.line', ['error' => $refusal, 'typed' => $refusal ? $typed : ''])
    @foreach ($touched as $entry)@include('visit.touched', ['kind' => $entry->kind, 'key' => $entry->key])@endforeach
@else
    <p class="error" role="alert">{{ $refusal }}</p>
@endif
@if ($refusal === null)
    @include('visit.follows', ['except' => $kind === 'reading' ? [$key] : array_map(fn ($entry) => $entry->key, $touched)])
@endif
