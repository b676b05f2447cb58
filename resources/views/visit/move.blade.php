@php($field = $work->control->row()->field)
<section id="{{ $page->openCard() === null ? 'card' : 'move' }}" class="card-open" aria-labelledby="h-move" data-part>
    <header><h2 id="h-move">{{ $work->control->label() }}{{ App\View\PartAddress::behind($work->part) }}</h2>
        @php($found = $work->move->asFound())
        @if ($found !== null)<span class="soft">as found {{ $found }}{{ $work->position() === ''
            ? '' : ' · '.$work->position() }}</span>@endif</header>
    @include('visit.preconditions', ['all' => $work->move->gates()])
    @if ($work->move->isTooSoon())<p class="hint">◐ Readings after the last change are missing. One change at a time,
        otherwise it is not clear what helped.</p>@endif
    <div class="card-body">
        <x-entry :page="$page" kind="move" :key="$work->control->value" :part="$work->part"
            :value="$work->isTurned() ? $work->typedTurns((float) $work->value) : null"
            :says="$work->control->label().($work->isTurned()
            ? ' '.$work->turns($work->value) : '')" :id="'move-'.(str_replace('_', '-', $work->control->value))"
            class="move">
            @if ($page->openCard() !== null)<input type="hidden" name="card"
                value="{{ $page->openCard()->card->key }}">@endif
            @if ($work->isTurned())
                <div class="taps" role="group" aria-label="Which way">
                    @foreach ($work->ways() as $way)
                        <a class="tap" @if ($way['isOn']) aria-current="true" @endif
                            href="{{ $way['link'] }}" hx-get="{{ $way['link'] }}" hx-select="#card"
                            hx-target="#card" hx-swap="outerHTML">{{ $way['words'] }}</a>
                    @endforeach
                </div>
                <div class="taps" role="group" aria-label="How far">
                    @foreach ($work->amounts() as $amount)
                        <a class="tap" @if ($amount['isOn']) aria-current="true" @endif
                            href="{{ $amount['link'] }}" hx-get="{{ $amount['link'] }}" hx-select="#card"
                            hx-target="#card" hx-swap="outerHTML">{{ $amount['words'] }}</a>
                    @endforeach
                </div>
            @elseif ($field !== null)
                <label for="move-value">{{ $work->control->isStep() ? 'Amount (minus = recovered)'
                    : 'New setting' }}</label>
                <input id="move-value" class="input" name="value" autocomplete="off" required
                    placeholder="{{ $page->units->symbol($field->kind) }}">
            @endif
            @if ($work->control->hasPosition() && $work->move->asFound() === null)
                <label for="as-found">Position as found</label>
                <input id="as-found" class="input" name="reason" maxlength="120" required
                    placeholder="2¾ turns open, mark at the top; or: cannot be marked">
            @endif
            @if ($work->move->isHeldBack())
                <label for="overruled">Reason for adjusting anyway</label>
                <input id="overruled" class="input" name="overruled" maxlength="200" required>
            @endif
            <button class="btn turned" @disabled(!
                $page->mayEnter)>{{ $work->logWords() }}</button>
        </x-entry>
        @if ($work->foretold() !== [])
            <table class="foretold"><caption>{{ $work->isTurned() ? 'Predicted for '.$work->turns($work->value) :
                'Predicted' }}</caption>
                @if ($work->coilUse() !== null)<tfoot><tr><td colspan="4"
                    class="coil-use">@told($work->coilUse())</td></tr></tfoot>@endif
                @foreach ($work->foretold() as $row)<tr><th scope="row">{{ $row[0] }}</th><td>{{ $row[1] }}
                    →</td><td><b>{{ $row[2] }}</b></td><td class="soft">{{ $row[3] }}</td></tr>@endforeach
            </table>
        @elseif ($work->move->figure() !== null)
            <p class="hint grow">No prediction: {{ Illuminate\Support\Str::lcfirst(
                $work->move->figure()->label()) }} not
                read.</p>
        @endif
    </div>
    @foreach ($work->warnings() as $warning)<p class="hint">◐ @told($warning)</p>@endforeach
    @foreach ($work->cautions() as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    @if ($work->isTurned() && $page->openCard() === null)
    @php($which = $work->part->name())
    <details class="which" @if ($which !== '') open @endif><summary>Several valves? Adjust one at a time; each has its
        own log</summary>
        <form method="get" action="{{ route('visits.show', [$page->visit, 'put_right']) }}"><input type="hidden"
            name="card" value="{{ $work->control->value }}"><label for="which">Which valve or coil</label> <input
                id="which"
            class="input" name="part" value="{{ $which }}" maxlength="48" placeholder="valve B, coil 2">
            <button class="btn quiet">Select</button></form>
        @foreach ($page->parts() as $one)@if (! $one->is($work->part))<a
            href="{{ $work->linkTo($one) }}">{{ $one->name() === '' ? 'Whole circuit' : $one->name() }}</a>@endif
        @endforeach
    </details>
    @endif
    <p class="card-foot">@if ($work->response() !== null)<b>@told($work->response())</b>@endif
        {{ $work->proposal() }}
        @if ($work->allTheWayBack() !== null)
            <x-entry :page="$page" kind="move" :key="$work->control->value" :part="$work->part"
                :value="$work->typedTurns($work->allTheWayBack())" says="back to as found" class="inline"><input
                type="hidden" name="overruled" value="all the way back"><button class="plain">Back to as found:
                {{ $work->turns($work->allTheWayBack()) }}</button></x-entry>
        @endif</p>
</section>
