<h3>{{ $whatIf->words($question) }}</h3>
@foreach ($whatIf->cautions($question) as $caution)<p class="caution">◐ @told($caution)</p>@endforeach
@php($changes = $whatIf->changes($question))
@if ($changes === [])<p><b>No reading would change.</b> {{ $whatIf->whyNothing($question) }}</p>@else
    @include('plant.changes', ['changes' => $changes, 'plain' => false, 'was' => 'Now', 'now' => 'Then'])@endif
<p class="hint">{{ $whatIf->ground() }}</p>
