{{-- the other pages of a list, where it has more than one --}}
@props(['list', 'of'])
@if ($list->hasPages())
<p class="more">{{ $list->firstItem() }} to {{ $list->lastItem() }} of {{ $list->total() }} {{ $of }}
    @if (! $list->onFirstPage())<a href="{{ $list->withQueryString()->previousPageUrl() }}">before</a>@endif
    @if ($list->hasMorePages())<a href="{{ $list->withQueryString()->nextPageUrl() }}">more</a>@endif
</p>
@endif
