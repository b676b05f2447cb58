@php($compressors = $page->compressors())
@if ($compressors->all() !== [])<details class="board-more board-compressors">
    <summary id="board-compressors-said" data-part>Compressors<small class="soft">@told(
        $compressors->said() === '' ? '' : ': '.$compressors->said())</small></summary>
    <div class="case-grid of-four">@foreach ($compressors->all() as $one)
        <section aria-label="{{ $one['name'] }}"><h3 id="{{ $one['id'] }}" data-part>{{
            $one['sign'] }} {{ $one['name'] }}</h3>
            <div class="cells row">@foreach ($one['cells'] as $cell)@include('board.cell')@endforeach</div>
            @include('board.choice', ['choice' => $one['choice']])
            <p class="to-why"><a href="{{ route('visits.compressor', [$page->visit, 'of' => $one['part']->value])
                }}">Envelope, trips<span class="sr"> of {{ $one['name'] }}</span></a></p>
        </section>
    @endforeach</div>
</details>@endif
