{{-- one piece of work, step by step --}}
@php($locked = $page->advice->permits->isLocked($open->card))
<section id="card" class="card-open card-steps" aria-labelledby="h-card">
    <header><h2 id="h-card">{{ $open->card->name }}{{ App\View\PartAddress::behind($open->part) }}</h2><span
        class="soft">{{ $open->card->minutes }} min, {{ $open->card->effort->label() }}</span></header>
    <p class="card-why">{{ $open->card->why }}@if ($open->card->tools !== []) <span class="soft">Tools:
        {{ implode(', ', $open->card->tools) }}.</span>@endif</p>
    @foreach ($open->cautions() as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    @if ($page->verdict->referral !== null)
        <p class="caution">◐ {{ $page->verdict->referral }}</p>
    @elseif ($locked)
        @include('visit.licence')
    @else
        @include('visit.preconditions', ['all' => $open->gates()])
        @if ($open->overruled() !== '')<p class="hint">◐ Started despite open conditions: {{ $open->overruled()
            }}</p>@endif
        @if (! $open->isBegun())
            <ol class="steps-ahead">@foreach ($open->ahead() as $one)@if ($one->step->label !== ''
                && ! $one->is(Metrum\Card\StepKind::Figure))<li>@told($one->step->label)</li>@endif @endforeach</ol>
            <x-entry :page="$page" kind="card" :key="$open->key(Metrum\Card\Card::BEGUN)"
                :says="'started: '.$open->card->name" id="card-begin" class="begin" card>
                @if ($open->isHeldBack())<label for="begin-reason">Reason to start anyway</label><input
                    id="begin-reason" class="input" name="reason" maxlength="200" required>@endif
                <button class="btn turned" name="value" value="yes" @disabled(! $page->mayEnter)>Start</button>
            </x-entry>
        @else
            @if ($open->card->key === Metrum\Work\Cards\DefrostRun::CARD)@include('visit.defrost-run')@endif
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
            @foreach ($open->passed() as $passed)<p class="hint">◐ Continued although {{ $passed }}</p>@endforeach
            @if ($open->left() !== '')<p class="hint">◐ Ended without result, because {{ $open->left() }}</p>@endif
            @if ($open->stop() !== null)
                @unless (isset($stopStands))@include('visit.card-stop')@endunless
            @elseif ($open->outcome() !== null)
                <div class="came-to" role="status"><h3>{{ $open->outcome()->label }}</h3><p>@told($open->says())</p>
                    @if ($open->done() === null)
                        <x-entry :page="$page" kind="card" :key="$open->key(Metrum\Card\Card::DONE)"
                            :says="$open->card->name.': '.$open->outcome()->label" card><button class="btn turned"
                            name="value" value="{{ $open->outcome()->key }}" @disabled(! $page->mayEnter)>Save
                                result</button></x-entry>
                    @else
                        <p class="kept">○ Saved in the log.@if (App\View\CardList::readAgain($open->card) !== '')
                            Re-read: {{ App\View\CardList::readAgain($open->card) }}.@endif</p>
                        @php($promised = $page->visit->followUps->firstWhere('what', $open->done()->returns))
                        @if ($promised !== null)
                            <p class="kept">Follow-up {{ $promised->due_on->format('j M Y') }}:
                                {{ $promised->what }}</p>
                        @elseif ($open->done()->returns !== '')
                            <x-entry :page="$page" :says="'follow-up: '.$open->done()->returns"
                                :action="route('follow-ups.store', $page->visit)" class="returns" card><input
                                type="hidden" name="what" value="{{ $open->done()->returns }}"><label
                                for="returns-on">{{ $open->done()->returns }}, on</label> <input id="returns-on"
                                class="input" type="date" name="due_on"
                                value="{{ now()->addWeeks(2)->format('Y-m-d') }}"> <button class="btn quiet"
                                @disabled(! $page->mayEnter)>Add follow-up</button></x-entry>
                            <form class="inline" method="post" action="{{ route('circuits.weak-points',
                                $page->visit->circuit) }}">@csrf<input type="hidden" name="point"
                                value="{{ $open->done()->returns }}"><button class="plain">Add to weak
                                    points</button></form>
                        @endif
                    @endif
                    @if ($open->leads() !== null)<p>Next: <a
                        href="{{ $open->leads()[1] }}">{{ $open->leads()[0] }}</a></p>@endif
                </div>
            @endif
            @if ($open->isOpen())
                <details class="leave-card"><summary>End without result</summary>
                    <x-entry :page="$page" kind="card" :key="$open->key(Metrum\Card\Card::LEFT)"
                        :says="'ended without result: '.$open->card->name" card>
                        <label for="left-reason">Reason</label>
                        <input id="left-reason" class="input" name="reason" maxlength="200" required>
                        <button class="btn quiet" name="value" value="yes" @disabled(! $page->mayEnter)>End
                            procedure</button>
                    </x-entry>
                </details>
            @endif
            <x-entry :page="$page" kind="card" :key="$open->key(Metrum\Card\Card::BEGUN)"
                :says="'started over: '.$open->card->name" class="inline" card><input type="hidden" name="reason"
                value="{{ $open->isHeldBack() ? 'started over' : '' }}"><button class="plain" name="value" value="yes"
                @disabled(! $page->mayEnter)>Start over</button></x-entry>
        @endif
    @endif
    <p class="card-foot"><a href="{{ $open->back() }}">Back to
        {{ Illuminate\Support\Str::lcfirst($open->card->station->label()) }}</a></p>
</section>
