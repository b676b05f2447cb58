{{-- a plain system of each type, to try things on --}}
<ul class="inline-list">@foreach (Metrum\Installation\Kind::cases() as $kind)<li><a
    href="{{ route('plant.kind', $kind->value) }}">{{ $kind->label() }}</a></li>@endforeach</ul>
