{{-- One thing that is said at a visit: of which kind, about what, of which part (a page of several circuits
names the circuit too); on an open card, as its step. --}}
@props([
    'page',
    'kind' => null,
    'key' => null,
    'part' => null,
    'whole' => false,
    'value' => null,
    'says' => null,
    'stage' => null,
    'action' => null,
    'card' => false,
])
<form {{ $attributes }} method="post" action="{{ $action ?? $page->entries }}" data-entry
    @if ($says !== null) data-says="{{ $says }}" @endif>
    @csrf
    <input type="hidden" name="id" value="{{ $page->ulid() }}">
    @if ($kind !== null)
        <input type="hidden" name="kind" value="{{ $kind }}">
    @endif
    @if ($key !== null)
        <input type="hidden" name="key" value="{{ $key }}">
    @endif
    <input type="hidden" name="stage" value="{{ $stage ?? $page->station->value }}">
    @if ($part !== null)
        <input type="hidden" name="part" value="{{ $whole ? $part->value : App\View\PartAddress::field($part) }}">
    @endif
    @if ($value !== null)
        <input type="hidden" name="value" value="{{ $value }}">
    @endif
    @if ($card && $page->openCard() !== null)
        <input type="hidden" name="card" value="{{ $page->openCard()->card->key }}">
        @if (App\View\PartAddress::of($page->openCard()->part) !== [])
            <input type="hidden" name="part" value="{{ App\View\PartAddress::field($page->openCard()->part) }}">
        @endif
    @endif
    {{ $slot }}
</form>
