{{-- what must hold first: $all, under a word of what it is for --}}
@if ($all !== [])
    @if (($for ?? '') !== '')<p class="hint">{{ $for }}</p>@endif
    <ul class="preconditions">@foreach ($all as $one)<li
        class="is-{{ strtolower($one->holding->name) }}">{{ $one->holding->mark()->sign() }}
        {{ Illuminate\Support\Str::ucfirst(App\View\PageReader::told($one->sentence())) }}
        @if ($one->settling() !== null) <a
        href="{{ $page->linkToAsked($one->settling()) }}">check</a>@endif</li>@endforeach</ul>
@endif
