{{-- what must be confirmed once a visit before anything opens the circuit, and where --}}
<p class="caution licence">◐ {{ $page->advice->licenceWords() }} <a href="{{ $page->licenceLink() }}">Confirm
    them</a></p>
