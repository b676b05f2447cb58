{{-- one page of a flake ice machine: ice of a day against water, moisture, what turns its auger --}}
<section id="ice-sheet" class="ice-sheet" aria-labelledby="h-ice" data-part>
    <div class="ice-head">
        <div>
            <h2 id="h-ice">@if ($flakes->perDay() !== ''){{ $flakes->perDay() }}@else Production not measured @endif
                <small>{{ $flakes->expected() }}</small></h2>
            <p>{{ $flakes->sentence() }}</p>
        </div>
        <dl class="ice-figures">
            @foreach ($flakes->figures() as $figure)
                <div><dt>{{ $figure['name'] }}</dt>
                    <dd>@if ($figure['mark'] !== '')<span @class(['mark-act' => $figure['mark'] === '●'])>{{
                        $figure['mark'] }}</span> @endif<b>{{ $figure['value'] }}</b>
                        <small>{{ $figure['expected'] }}</small></dd></div>
            @endforeach
        </dl>
    </div>
    @include('visit.ice-trend', ['trend' => $flakes->trend()])
</section>
