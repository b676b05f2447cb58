{{-- one page of a flake ice machine: ice of a day against water, moisture, what turns its auger --}}
<section id="ice-sheet" class="ice-sheet" aria-labelledby="h-ice" data-part>
    <div class="ice-head">
        <div>
            <h2 id="h-ice">@if ($flakes->perDay() !== ''){{ $flakes->perDay() }}@else Production not measured @endif
                <small>{{ $flakes->expected() }}</small></h2>
            <p>{{ $flakes->sentence() }}</p>
        </div>
        @include('visit.ice-figures', ['figures' => $flakes->figures()])
    </div>
    @include('visit.ice-trend', ['trend' => $flakes->trend()])
    <p class="actions"><a class="btn quiet" href="{{ route('visits.help-sheet', $page->visit) }}">Help sheet</a></p>
</section>
