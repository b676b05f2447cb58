<span id="clocks" class="clocks" data-part>@foreach ($page->work()->clocks() as $clock)<a class="chip clock"
    href="#board-charge" data-ends="{{ $page->work()->ends($clock) }}"><time
    role="timer">{{ $page->work()->left($clock) }}</time><span> left</span></a>@endforeach</span>
