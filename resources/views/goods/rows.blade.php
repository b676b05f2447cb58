<table class="goods-rows"><thead><tr><th scope="col">Goods</th><th scope="col">Out of limits</th></tr></thead>
    <tbody>@foreach ($goods->state->rows as $row)<tr><th scope="row">{{ $row->goods->label() }}<small>{{
        $goods->limit($row) }}</small></th><td>{{ $row->mark()->sign() }}
        {{ implode(' ', $goods->told($row)) }}</td></tr>@endforeach</tbody></table>
<p class="hint">{{ $goods->basis() }} Local food rules decide, and the owner.</p>
