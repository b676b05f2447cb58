<x-entry :page="$page" :kind="$choice->kind()->value" :key="$choice->asked->value" :id="$choice->domId()"
    :class="'choice '.($choice->proposed ? 'proposed' : '')" data-part card>
    <fieldset @disabled(! $page->mayEnter)>
        <legend>{{ $choice->asked->label() }} @if ($choice->proposed)<em class="next-mark">next
            check</em>@endif</legend>
        @if ($choice->how !== '')<p class="how">@told($choice->how) @if ($page->shelf->for($choice->asked) !==
            null)<a href="{{ App\View\CardList::link($page->visit,
            $page->shelf->for($choice->asked)) }}">Procedure</a>@endif</p>
        @foreach ($choice->cautions as $caution)<p class="caution">◐ @told($caution)</p>@endforeach @endif
        <div class="taps">
            @foreach ($choice->asked->words() as $word)
                <button name="value" value="{{ $choice->chosen === $word ? '' : $word->value }}"
                    data-on="{{ $word->value }}" data-off="" data-was="{{ $choice->chosen === $word ? 'true'
                    : 'false' }}" id="{{ $choice->domId() }}-{{ str_replace('_', '-', $word->value) }}"
                    aria-pressed="{{ $choice->chosen === $word ? 'true' : 'false' }}"
                    class="tap">@if ($choice->isOfCoil())<x-picture.frost-coil
                    :coil="new App\Picture\FrostCoil($word)" />@elseif ($choice->isOfPlate())<x-picture.ice-plate
                    :plate="new App\Picture\IcePlate($word)" />@endif<span>{{ $word->label() }}</span></button>
            @endforeach
        </div>
    </fieldset>
</x-entry>
