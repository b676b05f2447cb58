<x-entry :page="$page" :kind="$choice->kind->value" :key="$choice->key" :part="$choice->part" stage="board"
    :whole="true"
    :id="$choice->domId()" class="choice" data-part>
    <fieldset @disabled(! $page->mayEnter)>
        <legend>{{ $choice->label }}</legend>
        <div class="taps">
            @foreach ($choice->answers as $word => $label)
                <button name="value" value="{{ $choice->chosen === $word ? '' : $word }}" data-on="{{ $word }}"
                    data-off="" data-was="{{ $choice->chosen === $word ? 'true' : 'false' }}"
                    id="{{ $choice->domId() }}-{{ str_replace('_', '-', $word) }}" class="tap"
                    aria-pressed="{{ $choice->chosen === $word ? 'true' : 'false' }}"><span>{{ $label
                    }}</span></button>
            @endforeach
        </div>
        @foreach ($choice->cautions as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
    </fieldset>
</x-entry>
