<x-layout title="Columns of the trend">
    <x-slot:where><a href="{{ route('trend', $visit) }}">Controller trend</a> / <b>Columns</b></x-slot:where>
    <main id="main" class="page trend">
        <div class="page-head"><h1>What is in each column?</h1></div>
        @error('columns')<p class="error" role="alert">{{ $message }}</p>@enderror
        <form method="post" action="{{ route('trend.columns', [$visit, $name]) }}">
            @csrf
            <div class="trend-time">
                <p><label for="time">Times</label><select id="time" class="input" name="time">
                    @foreach ($columns->file->columns as $place => $heading)<option value="{{ $heading }}"
                        @selected($place === $columns->time())>{{ $heading }}</option>@endforeach</select></p>
                <p><label for="format">Written as</label><select id="format" class="input" name="format">
                    @foreach (Metrum\Exchange\TimeFormat::cases() as $format)<option value="{{ $format->value }}"
                        @selected($format === $columns->format())>{{ $format->label() }}</option>@endforeach
                </select></p>
            </div>
            @foreach ($columns->rows() as $row)
                @php($own = fn (string $what) => App\View\Trend\TrendColumns::field($what, $row['heading']))
                <fieldset class="trend-column"><legend>{{ $row['heading'] }} <small class="soft">{{ $row['sample']
                    }}</small></legend>
                    <p><label for="r-{{ $row['place'] }}">Reading</label><select id="r-{{ $row['place'] }}"
                        class="input" name="{{ $own('reading') }}"><option value="">leave out</option>
                        @foreach ($columns->readings() as $key => $label)<option value="{{ $key }}"
                            @selected($key === $row['reading'])>{{ $label }}</option>@endforeach</select></p>
                    <p><label for="p-{{ $row['place'] }}">Of</label><select id="p-{{ $row['place'] }}" class="input"
                        name="{{ $own('part') }}">@foreach ($columns->parts() as $key => $label)<option
                        value="{{ $key }}" @selected($key === $row['part'])>{{ $label }}</option>@endforeach
                    </select></p>
                    <p><label for="u-{{ $row['place'] }}">Unit</label><select id="u-{{ $row['place'] }}" class="input"
                        name="{{ $own('unit') }}"><option value="">choose</option>
                        @foreach ($columns->units() as $key => $label)<option value="{{ $key }}"
                            @selected($key === $row['unit'])>{{ $label }}</option>@endforeach</select></p>
                </fieldset>
            @endforeach
            <p class="hint">Pressures are gauge pressures. The choice is kept for the next export.</p>
            <button class="btn">Draw trend</button>
        </form>
    </main>
</x-layout>
