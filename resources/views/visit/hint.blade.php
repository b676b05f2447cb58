<span class="cell-hint" id="hint-{{ $cell->reading->value }}" data-part>@if ($cell->proposed)<em
    class="next-mark">next check</em> @endif @if ($cell->doubted)<em class="next-mark">re-read</em>
    @endif{{ trim(($cell->taken?->label() ?? "")." ".$cell->hint) }}</span>
