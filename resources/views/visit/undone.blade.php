@if ($kind === 'reading')
    <div hx-swap-oob="outerHTML:#cell-{{ str_replace('_', '-', $key) }}">@include('visit.cell', ['cell' => $page->cell(Metrum\Circuit\Reading::from($key))])</div>
@elseif ($kind === 'observation' || $kind === 'test')
    @include('visit.choice', ['choice' => $page->choice($kind === 'test' ? Metrum\Circuit\Test::from($key) : Metrum\Circuit\Observation::from($key)), 'oob' => true])
@elseif ($kind === 'complaint')
    @include('visit.marks', ['oob' => true])
@elseif ($kind === 'state')
    @include('visit.state', ['oob' => true])
@endif
@include('visit.follows', ['except' => $kind === 'reading' ? $key : null])
