<span class="cell-hint" id="hint-{{ $cell->reading->value }}" @if ($oob) hx-swap-oob="true" @endif>@if ($cell->proposed)<em class="next-mark">next</em> @endif{{ $cell->hint }}</span>
