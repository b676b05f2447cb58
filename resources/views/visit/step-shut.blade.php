{{-- a step that opens only once what is before it was answered, and does not stop the work --}}
@if ($one->step->label !== '')
<li class="step is-shut" aria-disabled="true"><p>@told($one->step->label)</p></li>
@endif
