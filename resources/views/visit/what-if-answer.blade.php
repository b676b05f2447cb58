<h3>{{ $whatIf->questions()[$question] }}</h3>
@if ($question === 'more' && ! $page->verdict->mayAdviseCharge())<p class="caution">◐ Do not add refrigerant yet. Still to be looked at: {{ implode('; ', $page->verdict->chargeNeeds) }}.</p>@endif
@if (in_array($question, ['turn_in', 'turn_out'], true))<p class="caution">◐ One small turn, then wait until it has settled before the next.</p>@endif
@if ($question === 'less')<p class="caution">◐ {{ Metrum\Diagnosis\Cautions::word('recover_first') }} {{ Metrum\Diagnosis\Cautions::word('recovery_bottle') }}</p>@endif
@php($changes = $whatIf->changes($question))
@if ($changes === [])<p><b>Nothing that can be read would change.</b>@if ($question === 'turn_out' && $whatIf->now->opening > 0.97) The valve is wide open already.@endif</p>@else @include('plant.changes', ['changes' => $changes, 'plain' => false, 'was' => 'Now', 'now' => 'Then'])@endif
<p class="hint">{{ $whatIf->ground() }}</p>
