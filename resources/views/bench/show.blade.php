<x-layout :title="$page->calculator->title()">
    <div class="bench-page">
        @include('bench.list', ['calculator' => $page->calculator, 'visit' => $page->from])
        <main id="main">
            <h1>{{ $page->calculator->title() }}</h1>
            <p class="soft">{{ $page->calculator->purpose() }}@if ($page->from !== null) Values <a
                href="{{ route('visits.show', [$page->from, 'gauges']) }}">from the visit</a>; anything you type
                    replaces them.@endif</p>
            <div class="bench-work">
                <form id="bench-form" class="sheet" method="get" action="{{ route('bench', $page->calculator->value) }}"
                    hx-get="{{ route('bench', $page->calculator->value) }}" hx-trigger="input delay:120ms, submit"
                        hx-target="#bench-answer" hx-select="#bench-answer" hx-swap="outerHTML"
                        hx-sync="this:replace" novalidate>
                    @if ($page->from !== null)<input type="hidden" name="visit" value="{{ $page->from->id }}">@endif
                    @foreach ($page->inputs() as $input)
                        @if ($input->shape === Metrum\Bench\Shape::Refrigerant)
                            <x-pick :name="$input->key" :label="$input->label"
                                :options="App\View\BenchPage::refrigerants()" :value="$page->value($input)"
                                :empty="false" />
                        @else
                            <x-field :name="$input->key" :label="$input->label" :value="$page->value($input)"
                                :unit="$page->usual($input)" :hint="$page->hint($input)" autocomplete="off" />
                        @endif
                    @endforeach
                    <p class="actions"><button class="btn">Calculate</button></p>
                </form>
                <section id="bench-answer" class="sheet" aria-live="polite" aria-labelledby="h-answer"><h2
                    id="h-answer">Result</h2>
                    @foreach ($page->inputs() as $input)@if ($page->refusal($input) !== '')<p
                        class="error">{{ $page->refusal($input) }}</p>@endif @endforeach
                    @if ($page->impossible() !== '')<p class="error">{{ $page->impossible() }}</p>@endif
                    @if ($page->outputs() === [] && $page->impossible() === '')<p class="hint">The result appears when
                        all fields are filled in.</p>@endif
                    <dl class="bench-outputs">@foreach ($page->outputs() as [$label, $value])<div>
                        <dt>{{ $label }}</dt><dd>{{ $value }}</dd></div>@endforeach</dl>
                    @if ($page->picture() !== null)<x-picture.bars :bars="$page->picture()" />@endif
                    @if ($page->from !== null && $page->outputs() !== [] && auth()->user()->can('enter', $page->from))
                        <p class="actions take-in">
                            @if ($page->readings() !== '')<form class="inline" method="post"
                                action="{{ route('entries.store', $page->from) }}">@csrf<input type="hidden"
                                name="id" value="{{ (string) Illuminate\Support\Str::ulid() }}"><input type="hidden"
                                name="kind" value="line"><input type="hidden" name="key" value="line"><input
                                type="hidden" name="stage" value="gauges"><button class="btn quiet" name="value"
                                value="{{ $page->readings() }}">Save readings to visit</button></form>@endif
                            <form class="inline" method="post" action="{{ route('entries.store',
                                $page->from) }}">@csrf<input type="hidden" name="id"
                                value="{{ (string) Illuminate\Support\Str::ulid() }}"><input type="hidden"
                                name="kind" value="note"><input type="hidden" name="key" value="note"><input
                                type="hidden" name="stage" value="gauges"><button class="btn quiet" name="value"
                                value="{{ $page->note() }}">Save result as note</button></form>
                        </p>
                    @endif
                    @if ($page->steps() !== [])<h3>Calculation</h3><ol
                        class="bench-steps">@foreach ($page->steps() as $step)<li>{{ $step }}</li>@endforeach</ol>@endif
                </section>
            </div>
            <p class="hint">Licensed practice, the nameplate and local codes take precedence over these results.</p>
        </main>
    </div>
</x-layout>
