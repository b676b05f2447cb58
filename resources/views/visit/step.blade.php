{{-- one step of the open card --}}
@php($step = $one->step)
<li class="step is-{{ $step->kind->value }} {{ $one->isTaken ? 'taken' : '' }} {{ $one->isNext ? 'next-step' : '' }}"
    @if ($one->isNext) aria-current="step" @endif>
@if ($one->is(Metrum\Card\StepKind::Say))
    <p>@told($step->label)</p>
@elseif ($one->is(Metrum\Card\StepKind::Figure))
    @foreach ($one->said as $sentence)<p>@told($sentence)</p>@endforeach
@elseif ($one->isPast || ($one->is(Metrum\Card\StepKind::Move) && $one->isTaken))
    <p>@told($step->label): <b>{{ $one->said() }}</b></p>
@elseif ($step->reading !== null)
    @include('visit.cell', ['cell' => $page->controls->cell($step->reading, again: ! $one->isTaken)])
@elseif ($step->observation !== null)
    @include('visit.choice', ['choice' => $page->controls->choice($step->observation)])
@elseif ($one->is(Metrum\Card\StepKind::Take))
    <x-entry :page="$page" kind="card" :key="$one->id" :id="$one->domId()" class="cell" card>
        <label for="in-{{ $one->domId() }}">@told($step->label)</label>
        <span class="cell-value"><input id="in-{{ $one->domId() }}" name="value" value="{{ $one->value }}"
            autocomplete="off" enterkeyhint="next" @disabled(! $page->mayEnter)><i>{{ $one->unit }}</i></span><small
            class="hint"></small>
    </x-entry>
@elseif ($one->is(Metrum\Card\StepKind::Tick))
    <x-entry :page="$page" kind="card" :key="$one->id" :says="App\View\PageReader::told($step->label)"
        :id="$one->domId()" card>
        <button class="tap tick" name="value" value="{{ $one->isTaken ? '' : 'yes' }}"
            aria-pressed="{{ $one->isTaken ? 'true' : 'false' }}" @disabled(! $page->mayEnter)><span>{{ $one->isTaken
            ? '☑' : '☐' }} @told($step->label)</span></button></x-entry>
@elseif ($one->is(Metrum\Card\StepKind::Choose))
    <x-entry :page="$page" kind="card" :key="$one->id" :id="$one->domId()" class="choice" card>
        <fieldset @disabled(! $page->mayEnter)><legend>@told($step->label)</legend>
            <div class="taps">@foreach ($step->answers as $word => $label)<button class="tap" name="value"
                value="{{ $one->word === $word ? '' : $word }}" aria-pressed="{{ $one->word === $word ? 'true'
                : 'false' }}"><span>@told(ucfirst($label))</span>@if ($step->drawn
                !== null)<x-picture.swing
                :swing="App\Picture\SwingPicture::of($word)" />@endif</button>@endforeach</div></fieldset></x-entry>
@elseif ($one->is(Metrum\Card\StepKind::Wait))
    <x-entry :page="$page" kind="card" :key="$one->id" :says="'timer: '.App\View\PageReader::told($step->label)"
        :id="$one->domId()" card>
        <button class="tap tick" name="value" value="{{ $one->isTaken ? '' : $open->wait($step) }}"
            aria-pressed="{{ $one->isTaken ? 'true' : 'false' }}" @disabled(! $page->mayEnter)><span>{{ $one->isTaken
            ? '☑ Timer started' : '◷ Start timer, '.$open->wait($step) }}: @told($step->label)</span></button></x-entry>
@elseif ($one->is(Metrum\Card\StepKind::Time))
    <x-entry :page="$page" kind="card" :key="$one->id" :id="$one->domId()" class="cell series" card>
        <label for="in-{{ $one->domId() }}">@told($step->label)@if ($step->every !== '')<small>{{ $step->every }}{{
            $step->least > 1 ? ', at least '.$step->least.' readings' : '' }}; earlier readings as minutes and values:
            0 15, 10 11, 40 3</small>@endif</label>
        <span class="cell-value"><input id="in-{{ $one->domId() }}" name="value" value="" autocomplete="off"
            @disabled(! $page->mayEnter)><i>{{ $one->unit }}</i></span><button class="btn quiet"
            @disabled(! $page->mayEnter)>Add reading</button>
    </x-entry>
    <details class="paste"><summary>Paste a logger’s series</summary>
        <x-entry :page="$page" kind="card" :key="$one->id" :says="App\View\PageReader::told($step->label)"
            :id="$one->domId().'-paste'" class="pasted" card>
            <label for="paste-{{ $one->domId() }}">One time and value per line, e.g. 2026-11-30 10:02:30;3.4; the last
                line counts as now</label>
            <textarea id="paste-{{ $one->domId() }}" name="value" rows="4" @disabled(! $page->mayEnter)></textarea>
            <button class="btn quiet" @disabled(! $page->mayEnter)>Add series</button></x-entry></details>
    @if ($open->amounts->picture($one) !== null)<x-picture.series :series="$open->amounts->picture($one)" />@endif
    @if ($one->series !== [])<ol class="points">@foreach ($one->series as $fact)<li>{{ $open->amounts->point($step,
        $fact) }}</li>@endforeach</ol>@endif
@elseif ($one->is(Metrum\Card\StepKind::Move))
    @include('visit.move', ['work' => $page->moveOf($step->control)])
@endif
@foreach ($open->cautionsOf($step) as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
</li>
