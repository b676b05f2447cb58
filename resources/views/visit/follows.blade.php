{{-- all that an entry changes, each piece to its place --}}
@include('visit.verdict', ['oob' => true])
@include('visit.walk', ['oob' => true])
@include('visit.log', ['oob' => true])
@if ($page->stage !== App\View\Stage::Leave)
    @include('visit.course', ['oob' => true])
    @foreach ([...$page->cells(), ...$page->moreCells()] as $cell)
        @if (! in_array($cell->reading->value, $except, true))@include('visit.hint', ['oob' => true])@endif
    @endforeach
@endif
