<x-layout title="Defrost schedule, {{ $page->plant->label() }}">
    <x-slot:where><a href="{{ route('sites.show', $page->plant->site) }}">{{ $page->plant->site->name }}</a> /
        <b>{{ $page->plant->label() }}</b></x-slot:where>
    <main id="main" class="page defrost">
        <div class="page-head"><h1>Defrost schedule</h1></div>
        @unless ($page->isPossible())
            <p class="caution">◐ No such system can be simulated with this refrigerant, so frost cannot be worked
                out.</p>
        @else
            <p class="{{ $page->keepsAll() ? 'kept' : 'broken' }}">{{ $page->summary() }} <span class="soft">Frost from
                the twin {{ $page->air() }}.</span></p>
            <p class="soft">{{ $page->isSaved ? 'As saved for this rack.' : 'Not saved yet.' }}</p>
            @foreach ($page->notes as $note)<p class="broken">● {{ $note }}</p>@endforeach
            <form method="get" action="{{ route('defrost.show', $page->plant) }}">
                <div class="defrost-rules">
                    <p><label for="at-once">Most circuits at once</label><input id="at-once" name="at_once"
                        inputmode="numeric" size="3" value="{{ $page->rules->atOnce }}"></p>
                    <p><label for="busy">Times to keep free</label><input id="busy" name="busy"
                        placeholder="10:00-11:30" value="{{ $page->asked->busy() }}"></p>
                </div>
                @if ($page->asked->refusedBusy() !== '')<p class="error" role="alert">{{ $page->asked->refusedBusy()
                    }}</p>@endif
                <div class="defrost-hours" aria-hidden="true"><span>0</span><span>6</span><span>12</span><span>18</span
                    ><span>24</span></div>
                @foreach ($page->rows as $row)
                    <div class="defrost-row">
                        <h2>{{ $row->name }}</h2>
                        <p class="soft">{{ $row->need->kind->label() }}: {{ $row->needs() }}, {{ $page->frost($row)
                            }}{{ $page->energy($row) }}</p>
                        <svg class="defrost-day" viewBox="0 0 1440 24" preserveAspectRatio="none" role="img"
                            aria-label="{{ $row->name }}: defrosts at {{ $row->typed }}">
                            <rect width="1440" height="24" class="day" />
                            @foreach ($page->rules->busy as [$from, $to])<rect x="{{ $from }}"
                                width="{{ App\View\Defrost\DayTimes::length($from, $to) }}" height="24"
                                class="busy" />@endforeach
                            @foreach ($row->bars() as [$x, $width])<rect x="{{ $x }}" width="{{ $width }}" height="24"
                                class="of-{{ $row->need->kind->value }}" />@endforeach
                        </svg>
                        <p><label for="{{ $row->field }}" class="sr">Starts of {{ $row->name }}</label><input
                            id="{{ $row->field }}" name="{{ $row->field }}" value="{{ $row->typed }}"></p>
                        @if ($row->refused !== '')<p class="error" role="alert">{{ $row->refused }}</p>@endif
                        @foreach ($row->notes as $note)<p class="broken">● {{ $note }}</p>@endforeach
                    </div>
                @endforeach
                @if ($page->frostless !== [])<p class="soft">No frost on the coils of {{ implode(', ',
                    $page->frostless) }}: they are above 0 °C, and water drains off.</p>@endif
                <p class="actions"><button class="btn">Check schedule</button>
                    <button class="btn quiet" formmethod="post" formaction="{{ route('defrost.keep', $page->plant) }}"
                        name="_token" value="{{ csrf_token() }}">Save schedule</button>
                    <a class="btn quiet" href="{{ route('defrost.show', [$page->plant,
                        ...$page->asked->withoutStarts()]) }}">Propose again</a>
                    <a class="btn quiet"
                        href="{{ route('defrost.csv', [$page->plant, ...$page->asked->typed]) }}">CSV</a>
                    <a class="btn quiet" href="{{ route('defrost.calendar', [$page->plant,
                        ...$page->asked->typed]) }}">Calendar file</a></p>
            </form>
            @php($day = $page->day())
            @if ($day !== null)<section class="rack-day-part" aria-labelledby="h-day"><h2 id="h-day">The day with this
                schedule</h2><p>{{ $day->summary() }} {{ $page->warmest($day) }}</p>
                <div class="trend-scroll" tabindex="0" role="region" aria-label="Picture, scrolls sideways">
                    <x-picture.rack-day :day="$day" /></div>
                <p class="legend">By the twin, weather 4 K around its mean; shaded: a circuit in defrost.</p></section>
            @endif
            <p class="caution">◐ Check the safety time limit and the end temperature of each defrost at the controller.
                The manufacturer’s instructions come first.</p>
        @endunless
    </main>
</x-layout>
