@php($charge = $page->charge())
<section id="board-charge" class="board-charge" aria-labelledby="h-charge" data-part>
    <h2 id="h-charge">Refrigerant</h2>
    <p><b>@told($charge->says())</b> @told($charge->next())</p>
    <dl class="board-facts">@foreach ($charge->facts() as $fact)
        <div @class(['asks' => $fact['asks']])><dt>{{ $fact['name'] }}</dt><dd>@told($fact['value'])</dd></div>
    @endforeach</dl>
    @if ($page->mayEnter)
        <details class="board-add"><summary>Add or recover refrigerant</summary>
            @php($gates = $charge->gates())
            @if ($gates !== [])<ul class="preconditions">@foreach ($gates as $one)<li
                class="is-{{ strtolower($one->holding->name) }}">{{ $one->holding->mark()->sign() }}
                {{ Illuminate\Support\Str::ucfirst(App\View\PageReader::told($one->sentence())) }}
                @if ($one->settling() !== null) <a href="{{ $charge->linkTo($one->settling()) }}">check</a>@endif</li>
            @endforeach</ul>@endif
            <x-entry :page="$page" kind="move" key="charge" :part="Metrum\Installation\PartId::plant()" stage="board"
                :whole="true" says="refrigerant charge changed" id="move-charge" class="move charge">
                @include('visit.weighed', ['choice' => $charge->choice, 'typed' => $charge->typed(),
                    'isHeldBack' => $charge->isHeldBack()])
                <button class="btn">Save and start timer</button>
            </x-entry>
            <p class="hint">Recover into a cylinder; never vent. Never into a stopped compressor.</p>
        </details>
    @endif
    <p class="to-why"><a href="{{ route('circuits.ledger', $page->visit->circuit) }}">Refrigerant ledger</a></p>
</section>
