{{-- on a phone: the camera, from wherever one is on the page --}}
@if ($page->mayEnter)<label for="photo-now" class="chip photo-now" title="Photo of what you touched last"><svg
    viewBox="0 0 24 20" aria-hidden="true"><path d="M2 5h5l2-3h6l2 3h5v13H2z" /><circle cx="12" cy="11"
    r="4" /></svg><span
    class="sr">Photo</span></label>@endif
