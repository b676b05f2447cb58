{{-- where and how a reading is taken, drawn; opened by a tap at its cell --}}
@php($row = $reading->row())
<details class="taken-where" name="where"><summary aria-label="Where to measure: {{ $row->label }}"
    title="Where to measure"><svg viewBox="0 0 16 16"
    width="16" height="16" aria-hidden="true"><circle cx="8" cy="8" r="4.5" />
    <path d="M8 0v6M8 10v6M0 8h6M10 8h6" /></svg></summary>
    <figure><x-picture.clamp :place="$row->drawn">{{ $row->label }}: {{ $row->place }}</x-picture.clamp>
        <figcaption><b>{{ $row->label }}</b> @told($row->taking->how) <span class="spoils">Spoiled by:
            {{ Illuminate\Support\Str::lcfirst($row->spoils) }}</span>
            @if (isset($cell) && Metrum\Knowledge\Taken::of($reading) !== [])<span
                class="taken-with"><span aria-hidden="true">Taken with</span>
                <select name="taken" aria-label="Taken with" @disabled(! $page->mayEnter)>
                <option value="">clamp or probe, as shown</option>@foreach (Metrum\Knowledge\Taken::of($reading)
                as $with)<option value="{{ $with->value }}" @selected($cell->taken === $with)>{{ $with->label()
                }}</option>@endforeach</select></span>@endif</figcaption></figure>
</details>
