<x-layout title="Handbook" where="Handbook">
    <main id="main" class="page handbook">
        <div class="page-head"><h1>Fault handbook</h1><a class="btn quiet"
            href="{{ route('handbook.words') }}">Words used here</a></div>
        <form method="get" action="{{ route('handbook') }}" role="search" class="finder">
            <label for="handbook-q">Search signs, causes, checks</label>
            <input id="handbook-q" type="search" name="q" value="{{ $handbook->sought }}" maxlength="80"
                autocomplete="off" hx-get="{{ route('handbook') }}" hx-trigger="input changed delay:200ms, search"
                hx-select="#handbook-list" hx-target="#handbook-list" hx-swap="outerHTML" hx-push-url="true">
        </form>
        <div id="handbook-list" aria-live="polite">
            @forelse ($handbook->chapters() as $part => $entries)
                <section aria-label="{{ $part }}">
                    <h2>{{ $part }}</h2>
                    <ul class="entries">@foreach ($entries as $entry)<li><a
                        href="{{ route('handbook.show',
                        $entry->fault->value) }}">{{ $entry->name }}</a><small>{{ $entry->mechanism }}</small></li>
                            @endforeach</ul>
                </section>
            @empty
                <p class="empty">No fault matches “{{ $handbook->sought }}”. Use fewer words, or <a
                    href="{{ route('handbook') }}">see all</a>.</p>
            @endforelse
        </div>
    </main>
</x-layout>
