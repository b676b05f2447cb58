<dl class="ice-figures">
    @foreach ($figures as $figure)
        <div><dt>{{ $figure['name'] }}</dt>
            <dd>@if ($figure['mark'] !== '')<span @class(['mark-act' => $figure['mark'] === '●'])>{{
                $figure['mark'] }}</span> @endif<b>{{ $figure['value'] }}</b>
                <small>{{ $figure['expected'] }}</small></dd></div>
    @endforeach
</dl>
