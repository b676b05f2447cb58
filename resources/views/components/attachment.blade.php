@props(['one'])
@if ($one->isPhoto())
    <a class="thumb" href="{{ route('attachments.show', $one) }}"><img src="{{ route('attachments.small', $one) }}"
        alt="Photo: {{ $one->words() }}" loading="lazy"><small>{{ $one->words() }}</small></a>
@else
    <span class="thumb voice"><audio controls preload="none" src="{{ route('attachments.file', $one) }}"
        aria-label="Voice note: {{ $one->words() }}"></audio><a href="{{ route('attachments.show', $one)
        }}"><small>{{ $one->words() }}</small></a></span>
@endif
