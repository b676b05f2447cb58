<div id="touched" class="touched" data-part>
@include('visit.unfinished')
</div>
