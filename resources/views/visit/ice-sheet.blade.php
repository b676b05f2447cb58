{{-- one page of an ice machine: what a cycle makes, its picture, and what is still open of it --}}
<section id="ice-sheet" class="ice-sheet" aria-labelledby="h-ice" data-part>
    <div class="ice-head">
        <div>
            <h2 id="h-ice">@if ($sheet->perDay() !== ''){{ $sheet->perDay() }}@else Production not measured @endif
                <small>{{ $sheet->expected() }}, {{ $sheet->basis() }}</small></h2>
            <p>{{ $sheet->sentence() }} {{ $sheet->cycle() }}</p>
        </div>
        @include('visit.ice-figures', ['figures' => $sheet->figures()])
    </div>
    <figure class="ice-figure" tabindex="0" aria-label="One cycle over time"><x-picture.ice-cycle
        :cycle="$sheet->picture" />
        <figcaption>Bands: sump water (above) and saturated suction (below) of this ice machine’s twin. Dots: as
            read.</figcaption></figure>
    @include('visit.ice-trend', ['trend' => $sheet->trend()])
    <p class="actions"><a class="btn quiet" href="{{ route('visits.help-sheet', $page->visit) }}">Help sheet</a></p>
</section>
