{{-- the defrost that is watched, on the clock --}}
@php($defrost = $open->defrost())
<p class="hint">Wall time now {{ now()->format('H:i') }}.</p>
@if ($defrost !== null)
    @if ($open->outcome() !== null)<p><b>{{ $open->outcome()->label }}.</b> @told($open->says())</p>@endif
    <figure class="defrost-figure" tabindex="0" aria-label="Defrost over time">
        <x-picture.defrost :defrost="$defrost" />
        <figcaption>Pale line and field: coil and frost as the twin shows a sound defrost{{ $defrost->ice === '' ? ''
            : ', '.$defrost->ice }}. ○ coil as read.</figcaption>
        <details class="charge-table"><summary>Show as table</summary><table class="ledger"><tbody>
            @foreach ($defrost->events() as [$at, $said])<tr><th scope="row">{{ $at }}</th><td>{{ $said }}</td></tr>
            @endforeach</tbody></table></details></figure>
@endif
