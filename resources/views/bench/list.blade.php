<nav class="bench-list" aria-label="Calculators">
    <p><a href="{{ route('saturation', array_filter(['visit' => $visit?->id])) }}" @if (! isset($calculator))
        aria-current="page" @endif>Pressure and temperature</a></p>
    @foreach (App\View\BenchPage::groups() as $group)
        <details @if (isset($calculator) && $calculator->group() === $group) open
            @endif><summary>{{ $group->title() }}</summary>
            <ul>@foreach ($group->calculators() as $one)<li><a href="{{ route('bench', array_filter(['calculator'
                => $one->value, 'visit' => $visit?->id])) }}" @if (isset($calculator) && $one === $calculator)
                aria-current="page" @endif>{{ $one->title() }}</a></li>@endforeach</ul>
        </details>
    @endforeach
</nav>
