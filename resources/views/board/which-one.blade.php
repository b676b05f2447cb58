{{-- The circuit whose tag was opened last: what is said without a name counts for it. --}}
<div id="which-one" data-part>
    @if ($page->work()->tagged() !== '')
        <p class="hint">Tag opened last: {{ $page->work()->tagged() }}. A line without a name counts for it.</p>
    @endif
    @if ($page->mayEnter)<x-entry :page="$page" kind="site" key="tag" value="yes" stage="board"
        :part="Metrum\Installation\PartId::plant()" whole id="tag-form" says="tag" hidden></x-entry>@endif
</div>
