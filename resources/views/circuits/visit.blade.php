@php($outcome = $history->outcome($visit))
<a class="row-link" href="{{ $visit->isOpen() ? $visit->address() : route('visits.report', $visit) }}">
    <span class="grow"><small>{{ $visit->opened_at->format('j M Y') }}@if ($visit->isOpen()) · open
        @endif</small><b>{{ $outcome->mark()->sign() }} {{ $outcome->title() }}</b><small>
        {{ $visit->user->name }}@if ($outcome->isProven()) · confirmed @elseif (! $outcome->settled &&
        ! $outcome->blank) · provisional @endif @if ($visit->ranWell()) · ran well @endif
        @if ($page->photos->words($visit) !== '') · {{ $page->photos->words($visit) }} @endif</small></span>
    @if ($outcome->leads() && $outcome->probability() !== null)<span
        class="when num">{{ App\View\Explain::percent($outcome->probability()) }}</span>@endif
</a>
