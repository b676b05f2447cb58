<x-layout title="{{ $page->title() }}">
    <x-slot:where><a href="{{ $page->visit->address() }}">{{ $page->name() }}</a> / compressor</x-slot:where>
    <main id="main" class="page compressor">
        <div class="page-head"><h1>{{ $page->title() }}, {{ $page->visit->circuit->site->name }}</h1></div>
        @if ($page->choices() !== [])<nav class="choices-row" aria-label="Compressors">@foreach ($page->choices()
            as $one)<a class="chip" href="{{ route('visits.compressor', [$page->visit, 'of' => $one['part']->value]) }}"
            @if ($one['isChosen']) aria-current="page" @endif>{{ $one['name'] }}</a>@endforeach</nav>@endif
        <div class="compressor-try">
            @include('compressor.tried')
            <div>
                @if ($page->tried !== null)
                    <form method="get" class="sliders" hx-get="{{ route('visits.tried', $page->visit) }}"
                        hx-trigger="input delay:150ms" hx-target="#compressor-tried" hx-swap="outerHTML"
                        hx-sync="this:replace">
                        <h2>What if</h2>
                        <input type="hidden" name="class" value="{{ $page->class->value }}">
                        <input type="hidden" name="of" value="{{ $page->unit->part->value }}">
                        @foreach ($page->tried->sliders() as $slider)<div class="slider">
                            <label for="slide-{{ $slider['name'] }}">{{ $slider['label'] }}</label>
                            <output id="said-{{ $slider['name'] }}">{{ $slider['said'] }}</output>
                            <input type="range" id="slide-{{ $slider['name'] }}" name="{{ $slider['name'] }}"
                                min="{{ $slider['least'] }}" max="{{ $slider['most'] }}" step="{{ $slider['step'] }}"
                                value="{{ $slider['at'] }}"></div>@endforeach
                        <button class="btn quiet">Calculate</button>
                        <p class="soft">A cold suction line is no cool compressor: watch mass flow and discharge.</p>
                    </form>
                @else
                    <p class="soft">What-if is simulated for systems with one circuit and their own compressor.</p>
                @endif
                <details class="fold" id="corners-fold" @if ($errors->any()) open @endif><summary>Class and corner
                    points</summary>
                    <form method="post" action="{{ route('visits.compressor', $page->visit) }}">@csrf
                        <input type="hidden" name="of" value="{{ $page->unit->part->value }}">
                        <label for="class">Class</label>
                        <select id="class" name="class">@foreach ($page->classes()
                            as $word => $label)<option value="{{ $word }}" @selected($page->class->value ===
                            $word)>{{ $label }}</option>@endforeach</select>
                        <label for="corners">The manufacturer’s corner points, evaporating and condensing (dew),
                            {{ $page->unitOfCorners() }}, one corner per line, in order round the field; none for the
                            typical envelope</label>
                        <textarea id="corners" name="corners" rows="6" placeholder="−35 25">{{ old('corners',
                            $page->corners()) }}</textarea>
                        @foreach ($errors->all() as $message)<p class="error" role="alert">{{ $message }}</p>@endforeach
                        <button class="btn quiet">Save</button></form></details>
            </div>
        </div>
        @if ($page->hasOwnCorners())<p class="soft">Envelope by the manufacturer’s corner points, dew
            temperatures.</p>@else<p class="soft">Typical envelope: {{ $page->class->label() }}, by dew temperatures.
            The manufacturer’s own data for this compressor and refrigerant take precedence.</p>@endif
        @if ($page->points() === [])<p class="empty">Read suction and discharge pressure to see where it runs.</p>@else
            <table><thead><tr><th>When</th><th>Operating point</th><th>Envelope</th></tr></thead><tbody>
                @foreach ($page->points() as $point)<tr><th scope="row">{{ $point['name'] }}</th>
                    <td>{{ $point['at'] }}</td><td><span @class(['mark-act' => $point['isOutside']])>{{
                    $point['isOutside'] ? '●' : '○' }}</span> {{ $point['said'] }}</td></tr>@endforeach
            </tbody></table>
        @endif
        @if ($page->figures !== [])
            <h2>Figures</h2>
            <table><tbody>@foreach ($page->figures as $figure)<tr><th scope="row">{{ $figure['name'] }}</th>
                <td class="num">{{ $figure['value'] }}</td><td>@if ($figure['mark'] !== '')<span
                @class(['mark-act' => $figure['mark'] === '●'])>{{ $figure['mark'] }}</span> @endif{{
                $figure['said'] }}</td></tr>@endforeach</tbody></table>
        @endif
        @include('compressor.trips')
        <h2>Before it is replaced</h2>
        <p>@if ($page->isExplained())All of these are answered.@else Replacement is not explained yet.@endif A new
            compressor fails for the same reason as the last one unless it is found.</p>
        <ul class="compressor-causes">@foreach ($page->reasons as $text => $isDone)<li>{{ $isDone ? '○'
            : '●' }} {{ $text }}{{ $isDone ? '' : ': open' }}</li>@endforeach</ul>
    </main>
</x-layout>
