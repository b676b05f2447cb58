{{-- the other pages of a list, where it has more than one --}}
@props(['list', 'of'])
@if ($list->hasPages())
<p class="more">{{ $list->firstItem() }}–{{ $list->lastItem() }} of {{ $list->total() }} {{ $of }}
    @if (! $list->onFirstPage())<a href="{{ $list->withQueryString()->previousPageUrl() }}">Previous</a>@endif
    @if ($list->hasMorePages())<a href="{{ $list->withQueryString()->nextPageUrl() }}">Next</a>@endif
</p>
@endif
