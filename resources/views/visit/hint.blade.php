<span class="cell-hint" id="hint-{{ $cell->reading->value }}" data-part>@if ($cell->proposed)<em
    class="next-mark">next</em> @endif @if ($cell->doubted)<em class="next-mark">take again</em>
    @endif{{ $cell->hint }}</span>
