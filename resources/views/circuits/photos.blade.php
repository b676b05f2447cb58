@php($photos = $page->photos)
@if ($photos->pair !== null)
    <h2>Before and after, {{ $photos->pair[1]->taken_at->format('j M Y') }}</h2>
    <div class="attachments pair-small">@foreach ($photos->pair as $one)<x-attachment :one="$one" />@endforeach</div>
@endif
@if ($photos->last !== [])
    <h2>{{ $photos->pair === null ? 'Photos' : 'Other photos' }}</h2>
    <div class="attachments">@foreach ($photos->last as $one)<x-attachment :one="$one" />@endforeach</div>
@endif
