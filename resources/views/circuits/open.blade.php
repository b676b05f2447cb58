@if ($page->open->items === [])<p class="empty">Nothing is open.</p>@endif
<ul class="open-items">
    @foreach ($page->open->items as $item)
        <li><span @class(['mark-act' => $item->mark === Metrum\Findings\Mark::Act])>{{ $item->mark->sign() }}</span>
            <span class="grow">{{ $item->what }}</span>
            @if ($item->address !== null)<a href="{{ $item->address }}"
                @class(['when', 'mark-act' => $item->isPressing])>{{ $item->when }}</a>@else<span
                @class(['when', 'mark-act' => $item->isPressing])>{{ $item->when }}</span>@endif</li>
    @endforeach
</ul>
