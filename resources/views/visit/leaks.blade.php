{{-- the search for leaks: places, likeliest and quickest first --}}
@php($leaks = $page->leaks())
<div class="leak-left" role="status"><b>{{ $leaks->says() }}</b><x-bar :share="$leaks->search->left()" /></div>
@if ($leaks->pressure() !== '')<p class="caution">◐ {{ $leaks->pressure() }} <a
    href="{{ $leaks->raises()[1] }}">{{ $leaks->raises()[0] }}</a></p>@endif
<x-entry :page="$page" kind="card" :key="$leaks->key('weather')" id="leak-weather" class="choice" card>
    <fieldset @disabled(! $page->mayEnter)><legend>Conditions at the search</legend><div
        class="taps">@foreach (Metrum\Work\Leaks\Air::cases() as $air)<button class="tap" name="value"
        value="{{ $leaks->weather() === $air->value ? '' : $air->value }}"
        aria-pressed="{{ $leaks->weather() === $air->value ? 'true' :
        'false' }}"><span>{{ ucfirst($air->value) }}</span></button>@endforeach</div></fieldset></x-entry>
<ol class="leaks">
    @foreach ($leaks->places() as $place)
        @php($answer = $leaks->answer($place))
        <li id="leak-{{ str_replace('_', '-', $place->key) }}" @class(['is-next' => $leaks->isNext($place),
            'is-searched' => $answer !== null])>
            <details @if ($leaks->isNext($place) || $answer === Metrum\Work\Leaks\SearchMark::Bubble) open @endif>
                <summary><span class="leak-name">{{ $answer === null ? '◐'
                    : ($answer === Metrum\Work\Leaks\SearchMark::Bubble ? '●' : '○') }}
                    {{ $place->label }}</span><x-bar :share="$leaks->chance($place)" /><span
                    class="num" title="Chance here">{{ $leaks->percent($leaks->chance($place))
                        }}</span><small>{{ $answer === null
                    ? $leaks->look($place) : $answer->label() }}</small></summary>
                <x-entry :page="$page" kind="card" :key="$leaks->key($place->key.'_mark')" class="choice" card>
                    <fieldset @disabled(! $page->mayEnter)><legend>Visible signs</legend><div
                        class="taps">@foreach (App\View\LeakPage::MARKS as $word => $label)<button class="tap"
                        name="value" value="{{ $leaks->mark($place) === $word ? '' : $word }}"
                        aria-pressed="{{ $leaks->mark($place) === $word ? 'true' :
                        'false' }}"><span>@told(ucfirst($label))</span></button>@endforeach</div></fieldset></x-entry>
                <x-entry :page="$page" kind="card" :key="$leaks->key($place->key)" :says="$place->label"
                    class="choice" card>
                    <fieldset @disabled(! $page->mayEnter)><legend>Result (about {{ (int) $place->minutes }}
                        min)</legend><div class="taps">@foreach ($leaks->answers() as $one)<button class="tap"
                        name="value" value="{{ $answer === $one ? '' : $one->value }}"
                        aria-pressed="{{ $answer === $one ? 'true' :
                        'false' }}"><span>{{ ucfirst($one->label()) }}</span></button>@endforeach</div>
                            </fieldset></x-entry>
                @if ($answer === Metrum\Work\Leaks\SearchMark::Bubble || $answer ===
                    Metrum\Work\Leaks\SearchMark::Smells)<p>Next: <a
                    href="{{ $leaks->mends($place)[1] }}">{{ $leaks->mends($place)[0] }}</a></p>@endif
            </details>
        </li>
    @endforeach
</ol>
<x-entry :page="$page" kind="card" :key="$leaks->key('found')" id="leak-ends" class="choice" card>
    <fieldset @disabled(! $page->mayEnter)><legend>End of search</legend><div class="taps"><button class="tap"
        name="value" value="found"><span>Leak found</span></button><button class="tap" name="value"
        value="nothing"><span>Nothing found</span></button></div></fieldset></x-entry>
