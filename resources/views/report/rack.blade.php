{{-- what was found of the whole rack --}}
@php($board = $report->board)
@php([$level, $expected] = $board->said->level())
<h2>Rack: {{ $report->visit->circuit->plant->label() }}</h2>
<p>@if ($board->isBeforeChange())Before the last change. @endif
    @if ($board->held->leads()){{ $board->held->mark()->sign() }}
    {{ $board->held->suspects()[0][0] }}, {{ $board->percent($board->held->suspects()[0][1])
    }}.@elseif ($board->held->suspects() !== [])No clear cause in what the circuits share yet.@endif
    Receiver level {{ $level }}. @told($expected) 
    @foreach ($board->groups()->limits($board->said) as $limit)@told($limit['value']) @endforeach
    @if ($board->said->closed() !== [])Closed off: {{ implode(', ', $board->said->closed()) }}.@endif</p>
<table><thead><tr><th>Circuit</th><th>Warmest case</th><th>State</th><th>Diagnosis</th></tr></thead><tbody>
    @foreach ($board->rows as $row)<tr><th scope="row">{{ $row->mark->sign() }} {{ $row->name }}</th>
        <td>{{ $row->warmest === '' ? 'not read' : $row->warmest }}@if ($row->holding !== ''); {{ $row->holding }}
            keeps the EPR open @endif</td><td>{{ $row->doing }}</td><td>{{ $row->finding($board->percent(...))
        }}</td></tr>@endforeach
</tbody></table>
