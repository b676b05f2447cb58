<span id="clocks" class="clocks" data-part>@foreach ($page->side()->clocks() as $clock)<a class="chip clock"
    href="{{ route('visits.show', [$page->visit, 'put_right']) }}" data-ends="{{ $page->side()->ends($clock) }}"><time
    role="timer">{{ $page->side()->left($clock) }}</time><span> left</span></a>@endforeach</span>
