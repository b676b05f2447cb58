{{-- The tag that was opened last, where it is of another circuit; and the form by which a tag is noted. --}}
@php($here = $page->visit->circuit->partId())
@php($tagged = App\Records\TagOpened::elsewhere($page->visit, $here, auth()->user()))
<div id="which-one" data-part>
    @if ($tagged !== null && $page->visit->isOpen())
        <p class="caution">◐ Tag opened last: {{ $tagged->circuit->name }}. Entries on this page count for
            {{ $page->visit->circuit->name }}.
            <a href="{{ route('visits.show', [$tagged->visit->walking($tagged->circuit), $page->station->value])
            }}">Go to {{ $tagged->circuit->name }}</a></p>
    @endif
    @if ($page->mayEnter)
        <x-entry :page="$page" kind="site" key="tag" value="yes" :part="$here" whole id="tag-form"
            :says="'tag of '.$page->visit->circuit->name" hidden></x-entry>
    @endif
</div>
