<x-layout title="Compressor, {{ $page->visit->circuit->name }}">
    <x-slot:where><a href="{{ route('visits.show', [$page->visit, 'gauges']) }}">{{ $page->visit->circuit->name }}</a>
        / compressor</x-slot:where>
    <main id="main" class="page compressor">
        <div class="page-head"><h1>Compressor: {{ $page->visit->circuit->name }},
            {{ $page->visit->circuit->site->name }}</h1></div>
        <form method="get" class="compressor-class"><label for="class">Envelope</label>
            <select id="class" name="class">@foreach ($page->classes() as $word => $label)<option value="{{ $word }}"
                @selected($page->class->value === $word)>{{ $label }}</option>@endforeach</select>
            <button class="btn quiet">Show</button></form>
        <div class="picture-box" tabindex="0" role="region" aria-label="Operating envelope"><x-picture.envelope
            :envelope="$page->picture" /></div>
        <p class="soft">Typical envelope of its class, by dew temperatures. The manufacturer's own data for this
            compressor and refrigerant take precedence.</p>
        @if ($page->points() === [])<p class="empty">Read suction and discharge pressure to see where it runs.</p>@else
            <table><thead><tr><th>When</th><th>Operating point</th><th>Envelope</th></tr></thead><tbody>
                @foreach ($page->points() as $point)<tr><th scope="row">{{ $point['name'] }}</th>
                    <td>{{ $point['at'] }}</td><td><span @class(['mark-act' => $point['isOutside']])>{{
                    $point['isOutside'] ? '●' : '○' }}</span> {{ $point['said'] }}</td></tr>@endforeach
            </tbody></table>
        @endif
        @if ($page->figures() !== [])
            <h2>Figures</h2>
            <table><tbody>@foreach ($page->figures() as $figure)<tr><th scope="row">{{ $figure['name'] }}</th>
                <td class="num">{{ $figure['value'] }}</td><td>@if ($figure['mark'] !== '')<span
                @class(['mark-act' => $figure['mark'] === '●'])>{{ $figure['mark'] }}</span> @endif{{
                $figure['said'] }}</td></tr>@endforeach</tbody></table>
        @endif
        <h2>Before it is replaced</h2>
        <p>@if ($page->isExplained())All of these are answered.@else Replacement is not explained yet.@endif A new
            compressor fails for the same reason as the last one unless it is found.</p>
        <ul class="compressor-causes">@foreach ($page->beforeReplacing() as [$text, $isDone])<li>{{ $isDone ? '○'
            : '●' }} {{ ucfirst($text) }}{{ $isDone ? '' : ': open' }}</li>@endforeach</ul>
    </main>
</x-layout>
