{{-- one piece of work, step by step --}}
@php($locked = $page->advice->isLocked($open->card))
<section id="card" class="card-open card-steps" aria-labelledby="h-card">
    <header><h2 id="h-card">{{ $open->card->name }}{{ $open->subject === '' ? '' : ', '.$open->subject }}</h2><span class="soft">{{ $open->card->minutes }} min, {{ $open->card->effort->label() }}</span></header>
    <p class="card-why">{{ $open->card->why }}@if ($open->card->tools !== []) <span class="soft">To hand: {{ implode(', ', $open->card->tools) }}.</span>@endif</p>
    @foreach ($open->cautions() as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    @if ($page->verdict->referral !== null)
        <p class="caution">◐ {{ $page->verdict->referral }}</p>
    @elseif ($locked)
        @include('visit.licence')
    @else
        @if ($open->gates() !== [])<ul class="preconditions">@foreach ($open->gates() as $one)<li class="is-{{ strtolower($one->holding->name) }}">{{ $one->holding->mark()->sign() }} {{ $one->label }}@if ($one->detail !== ''), @told($one->detail)@endif @if ($one->settledBy !== null && ! $one->isHolding()) <a href="{{ $page->linkToAsked($one->settledBy) }}">look</a>@endif</li>@endforeach</ul>@endif
        @if ($open->overruled() !== '')<p class="hint">◐ Begun all the same, because {{ $open->overruled() }}</p>@endif
        @if (! $open->isBegun())
            <ol class="steps-ahead">@foreach ($open->ahead() as $one)@if ($one->step->label !== '' && ! $one->is(Metrum\Card\StepKind::Figure))<li>@told($one->step->label)</li>@endif @endforeach</ol>
            <form id="card-begin" class="begin" method="post" action="{{ $page->entries }}" data-entry data-says="begun: {{ $open->card->name }}">
                @include('visit.card-fields', ['key' => $open->key(Metrum\Card\Card::BEGUN)])
                @if ($open->isHeldBack())<label for="begin-reason">Begin it all the same, because</label><input id="begin-reason" class="input" name="reason" maxlength="200" required>@endif
                <button class="btn turned" name="value" value="yes" @disabled(! $page->mayEnter)>Begin</button>
            </form>
        @else
            @if ($open->card->key === Metrum\Work\Leaks\SearchLog::CARD)
                @include('visit.leaks')
            @else
                <ol class="steps">@foreach ($open->steps() as $one)
                    {{-- a stop stands in place of what it shuts --}}
                    @if ($one->isShut && ! isset($stopStands) && $open->stop() !== null)
                        @php($stopStands = true)
                        <li class="step-stop">@include('visit.card-stop')</li>
                    @endif
                    @include($one->isShut ? 'visit.step-shut' : 'visit.step')
                @endforeach</ol>
            @endif
            @foreach ($open->passed() as $passed)<p class="hint">◐ Gone on although {{ $passed }}</p>@endforeach
            @if ($open->left() !== '')<p class="hint">◐ Left without result, because {{ $open->left() }}</p>@endif
            @if ($open->stop() !== null)
                @unless (isset($stopStands))@include('visit.card-stop')@endunless
            @elseif ($open->outcome() !== null)
                <div class="came-to" role="status"><h3>{{ $open->outcome()->label }}</h3><p>@told($open->says())</p>
                    @if ($open->done() === null)
                        <form method="post" action="{{ $page->entries }}" data-entry data-says="{{ $open->card->name }}: {{ $open->outcome()->label }}">@include('visit.card-fields', ['key' => $open->key(Metrum\Card\Card::DONE)])<button class="btn turned" name="value" value="{{ $open->outcome()->key }}" @disabled(! $page->mayEnter)>Keep this result</button></form>
                    @else
                        <p class="kept">○ Kept in the log.@if (App\View\CardList::readAgain($open->card) !== '') Read again: {{ App\View\CardList::readAgain($open->card) }}.@endif</p>
                        @if ($open->done()->returns !== '')
                            <form class="returns" method="post" action="{{ route('follow-ups.store', $page->visit) }}" data-entry data-says="follow-up: {{ $open->done()->returns }}">@csrf<input type="hidden" name="id" value="{{ $page->ulid() }}"><input type="hidden" name="stage" value="{{ $page->station->value }}">@include('visit.open-card')<input type="hidden" name="what" value="{{ $open->done()->returns }}"><label for="returns-on">{{ $open->done()->returns }}, on</label> <input id="returns-on" class="input" type="date" name="due_on" value="{{ now()->addWeeks(2)->format('Y-m-d') }}"> <button class="btn quiet" @disabled(! $page->mayEnter)>Note follow-up</button></form>
                            <form class="inline" method="post" action="{{ route('circuits.weak-points', $page->visit->circuit) }}">@csrf<input type="hidden" name="point" value="{{ $open->done()->returns }}"><button class="plain">Keep it with the plant as a weak point</button></form>
                        @endif
                    @endif
                    @if ($open->leads() !== null)<p>Next: <a href="{{ $open->leads()[1] }}">{{ $open->leads()[0] }}</a></p>@endif
                </div>
            @endif
            @if ($open->isOpen())
                <details class="leave-card"><summary>End it without result</summary>
                    <form method="post" action="{{ $page->entries }}" data-entry data-says="left without result: {{ $open->card->name }}">
                        @include('visit.card-fields', ['key' => $open->key(Metrum\Card\Card::LEFT)])
                        <label for="left-reason">Because</label>
                        <input id="left-reason" class="input" name="reason" maxlength="200" required>
                        <button class="btn quiet" name="value" value="yes" @disabled(! $page->mayEnter)>End it</button>
                    </form>
                </details>
            @endif
            <form class="inline" method="post" action="{{ $page->entries }}" data-entry data-says="begun anew: {{ $open->card->name }}">@include('visit.card-fields', ['key' => $open->key(Metrum\Card\Card::BEGUN)])<input type="hidden" name="reason" value="{{ $open->isHeldBack() ? 'begun anew' : '' }}"><button class="plain" name="value" value="yes" @disabled(! $page->mayEnter)>Begin anew</button></form>
        @endif
    @endif
    <p class="card-foot"><a href="{{ $open->back() }}">Back to {{ Illuminate\Support\Str::lcfirst($open->card->station->label()) }}</a></p>
</section>
