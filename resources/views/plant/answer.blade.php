<div id="answer" class="plant-answer">
    <div class="plant-main">
        @foreach ($bench->inputs->errors as $error)<p class="error" role="alert">{{ $error }}</p>@endforeach
        <div class="plant-says" aria-live="polite">
            <h2>{{ $bench->title() }}</h2>
            <p>@if ($bench->now()->runs()){{ $bench->sentence() }}@else<b>●
                {{ ucfirst($bench->now()->stopped->sentence()) }}.</b>@endif</p>
        </div>
        @php($course = $bench->course())
        @php($slim = $bench->phoneCourse())
        @php($drawing = $bench->drawing())
        @php($cycle = $bench->cycle())
        <div class="course-wide"><x-picture.course :course="$course" name="plant" /></div>
        <div class="course-slim"><x-picture.course :course="$slim" name="plant-slim" /></div>
        <div class="plant-pictures">
            <figure><x-picture.circuit-drawing :drawing="$drawing" /></figure>
            <figure><x-picture.cycle :cycle="$cycle" /></figure>
        </div>
        <div id="run" class="plant-run" aria-live="polite"></div>
    </div>
    <section class="plant-changes" aria-labelledby="h-changes">
        <h2 id="h-changes">{{ $bench->moved() ? 'Changes from healthy' : 'Readings' }}</h2>
        @include('plant.changes', ['changes' => $bench->changes(), 'plain' => ! $bench->moved()])
        <p class="hint">{{ $bench->balances() }}</p>
        <div class="plant-run-ask">
            <h2>Over time</h2>
            @foreach (['1' => 'Simulate 1 hour', '24' => 'Simulate 1 day'] as $hours => $words)<button type="button"
                class="btn quiet" hx-get="{{ $at }}/run?hours={{ $hours }}" hx-include="#plant-set" hx-target="#run"
                hx-indicator="#run-busy" hx-disabled-elt="this">{{ $words }}</button>@endforeach
        </div>
        <div id="run-busy" class="htmx-indicator" role="status"><progress aria-label="Running"></progress>
            <span>Simulating starts, defrosts and door openings …</span></div>
    </section>
</div>
