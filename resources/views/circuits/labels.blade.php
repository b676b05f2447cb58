<x-layout title="Tags" :where="$site->name">
    <main id="main" class="page labels">
        <div class="page-head no-print"><h1>Tags, {{ $site->name }}</h1><button class="btn" type="button"
            data-print>Print</button></div>
        <p class="hint no-print">Fix each tag to its unit. Its code opens the circuit on any device that is signed
            in, also without reception where its visit is open. If name and code disagree, it is another unit.</p>
        <div class="label-sheet">
            @foreach ($circuits as $circuit)
                <section class="tag label" aria-label="Tag of {{ $circuit->name }}">
                    <div class="code" data-code="{{ route('circuits.show', $circuit) }}#tag" role="img"
                        aria-label="Code of {{ $circuit->name }}"></div>
                    <p class="tag-name">{{ $site->name }}<br><b>{{ $circuit->name }}</b></p>
                    <p>{{ $circuit->coolingKind()?->label() }}<br>{{ $circuit->refrigerant() }}
                        @if ($circuit->plant->name
                        !== null)<br>{{ $circuit->plant->label() }}, {{ $circuit->part }}@endif</p>
                </section>
            @endforeach
        </div>
        @if ($circuits->isEmpty())<p class="empty">No circuits at this site yet.</p>@endif
    </main>
</x-layout>
