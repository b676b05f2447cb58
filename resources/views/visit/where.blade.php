{{-- where and how a reading is taken, drawn; opened by a tap at its cell --}}
@php($row = $reading->row())
<details class="where" name="where"><summary aria-label="Where to measure: {{ $row->label }}"
    title="Where to measure">⌖</summary>
    <figure><x-picture.clamp :place="$row->drawn">{{ $row->label }}: {{ $row->place }}</x-picture.clamp>
        <figcaption><b>{{ $row->label }}</b> @told($row->taking->how) <span class="spoils">Spoiled by:
            {{ Illuminate\Support\Str::lcfirst($row->spoils) }}</span></figcaption></figure>
</details>
