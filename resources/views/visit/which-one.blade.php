{{-- The tag that was opened last, where it is of another circuit; and the form by which a tag is noted. --}}
@php($which = new App\View\Site\WhichOne($page->visit, $page->station, auth()->user()))
<div id="which-one" data-part>
    @if ($which->other() !== '')
        <p class="caution">◐ Tag opened last: {{ $which->other() }}. Entries on this page count for
            {{ $which->name() }}. <a href="{{ $which->address() }}">Go to {{ $which->other() }}</a></p>
    @endif
    @if ($page->mayEnter)
        <x-entry :page="$page" kind="site" key="tag" value="yes" :part="$which->here" whole id="tag-form"
            :says="'tag of '.$which->name()" hidden></x-entry>
    @endif
</div>
