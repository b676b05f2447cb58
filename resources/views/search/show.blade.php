@php($search = $page->search)
<x-layout title="Search" where="Search">
    <main id="main" class="page">
        <h1>Search the record</h1>
        <form method="get" action="{{ route('search') }}" class="finder" role="search">
            <label for="q">Sites, circuits, notes, repairs, follow-ups, cylinders</label>
            <div class="asked"><input id="q" type="search" name="q" value="{{ $search->typed }}" maxlength="200"
                autocomplete="off" data-slash placeholder="gasket brygga">
            @if ($search->state !== null)<input type="hidden" name="state" value="{{ $search->state->value }}">@endif
            <button class="btn">Search</button></div>
        </form>
        <nav class="states" aria-label="State">
            <a class="chip" href="{{ route('search', $page->asking(null)) }}"
                @if ($search->state === null) aria-current="true" @endif>All</a>
            @foreach ($page->states() as $state)<a class="chip" href="{{ route('search', $page->asking($state)) }}"
                @if ($search->state === $state) aria-current="true" @endif>{{ $state->label() }}</a>@endforeach
        </nav>
        @foreach ($page->lists() as $list)
            @php($found = $page->page($list))
            <section aria-labelledby="h-{{ $list->value }}" class="found-list">
                <div class="page-head"><h2 id="h-{{ $list->value }}">{{ $list->label() }} <span
                    class="soft">{{ $found->total() }}</span></h2>@if ($found->total() > 0)<a
                    class="btn quiet small" href="{{ route('search.csv', ['list' => $list,
                    ...$page->asking($search->state)]) }}">CSV</a>@endif</div>
                @foreach ($found as $row)@include('search.'.$list->value)@endforeach
                @if ($found->total() === 0)<p class="empty">None{{ $search->typed === '' ? ''
                    : ' with “'.\Illuminate\Support\Str::limit($search->typed, 40).'”' }}.</p>@endif
                <x-more :list="$found" :of="strtolower($list->label())" />
            </section>
        @endforeach
    </main>
</x-layout>
