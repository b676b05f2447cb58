{{-- Time on site: what limits it, what fits, and what becomes a follow-up in one tap. --}}
<details class="fold site-time" id="site-fold" data-part>
    <summary>Time on site: {{ $site->summary() }}</summary>
    <div class="grid-fields">@foreach ($site::times() as $limit)
        <x-entry :page="$page" kind="site" :key="$limit->value" :says="App\View\Explain::within($limit->label())">
            <x-field :id="'site-'.$limit->value" name="value" :label="$limit->label()" :value="$site->typed($limit)"
                hint="16:30, or 45 min" />
            <button class="btn quiet" @disabled(! $page->mayEnter)>Enter</button>
        </x-entry>@endforeach</div>
    <div class="taps">@foreach ($site->shut() as [$limit, $isSaid])
        <x-entry :page="$page" kind="site" :key="$limit->value" :says="App\View\Explain::within($limit->label())">
            <button name="value" value="{{ $isSaid ? 'no' : 'yes' }}" data-on="yes" data-off="no"
                aria-pressed="{{ $isSaid ? 'true' : 'false' }}" class="tap" id="site-{{ $limit->value }}"
                @disabled(! $page->mayEnter)>{{ $limit->label() }}</button>
        </x-entry>@endforeach</div>
    @if ($site->plan->time->isKnown())
        <h2>Fits now</h2>
        @if ($site->plan->fits === [])<p class="empty">Nothing that is proposed fits.</p>@endif
        @foreach ($site->plan->fits as [$task, $done])<div class="row-link"><span class="grow"><a
            href="{{ $site->address($task) }}">{{ $task->name }}</a><small>{{ $site->minutes($task)
            }}</small></span><span class="when">{{ $site->doneBy($done) }}</span></div>@endforeach
        <p class="hint">In the order of the diagnosis; 10 min are kept for closing the visit.</p>
        @if ($site->later !== [])
            <h2>Does not fit</h2>
            @foreach ($site->later as $one)
                <x-entry :page="$page" :action="route('follow-ups.store', $page->visit)" says="follow-up"
                    class="row-link">
                    <span class="grow">{{ $one['task']->name }}<small>{{ $one['why'] }}@if ($one['prepare'] !== '');
                        prepare: {{ $one['prepare'] }}@endif</small></span>
                    @foreach ($site->promise([$one]) as $name => $value)<input type="hidden" name="{{ $name }}"
                        value="{{ $value }}">@endforeach
                    <button class="btn quiet" @disabled(! $page->mayEnter)>Follow up</button>
                </x-entry>
            @endforeach
            @if (count($site->later) > 1)
                <x-entry :page="$page" :action="route('follow-ups.store', $page->visit)" says="follow-up">
                    @foreach ($site->promise($site->later) as $name => $value)<input type="hidden"
                        name="{{ $name }}" value="{{ $value }}">@endforeach
                    <p class="actions"><button class="btn" @disabled(! $page->mayEnter)>Follow up all</button></p>
                </x-entry>
            @endif
        @endif
    @endif
</details>
