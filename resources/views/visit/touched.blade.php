{{-- one control of the page, put to its place after something else changed it --}}
@if (! $page->shows($kind, $key))
@elseif ($kind === 'reading')
    @include('visit.cell', ['cell' => $page->cell(Metrum\Circuit\Reading::from($key)), 'oob' => true])
@elseif ($kind === 'observation' || $kind === 'test')
    @include('visit.choice', ['choice' => $page->choice($kind === 'test' ? Metrum\Circuit\Test::from($key) : Metrum\Circuit\Observation::from($key)), 'oob' => true])
@elseif ($kind === 'complaint')
    @include('visit.marks', ['oob' => true])
@elseif ($kind === 'state')
    @include('visit.state', ['oob' => true])
@endif
