<div id="{{ $page->domId() }}" class="board-cases" data-part>
    @if ($page->holding() !== '')<p class="contradiction">● {{ $page->holding() }}</p>@endif
    <div class="cells row">@include('board.cell', ['cell' => $page->pressure()])</div>
    <div class="case-grid">@foreach ($page->all() as $case)
        <section aria-label="{{ $case['name'] }}"><h2>{{ $case['sign'] }} {{ $case['name'] }}
            <small class="soft">{{ $case['form'] }}</small></h2>
            <p class="soft">{{ $case['over'] }}</p>
            <div class="cells row">@foreach ($case['cells'] as $cell)@include('board.cell')@endforeach</div>
            @foreach ($case['choices'] as $choice)@include('board.choice')@endforeach
        </section>
    @endforeach</div>
</div>
