@php($page = $report->page)
@php($course = $report->course)
{{-- page one: the owner's --}}
@if ($report->ownWords() !== '')
    <p class="summary" lang="{{ app()->getLocale() }}">{{ $report->ownWords() }}</p>
@else
    <div class="summary" lang="{{ app()->getLocale() }}">
    @foreach ($report->told() as $heading => $sentences)
        <h2>{{ $heading }}</h2>
        <p>{{ implode(' ', $sentences) }}</p>
    @endforeach
    </div>
@endif
@if ($report->choices->cards !== [])
    <h2>{{ __('Your choices') }}</h2>
    <div class="choices">@foreach ($report->choices->cards as $card)<div
        class="choice">@include('owner.choice', ['isBrief' => $print])</div>@endforeach</div>
@endif
@if ($report->beforeAfter->rows !== [])
    <h2>{{ __($report->beforeAfter->hasAfter ? 'As found ○ and as left ●' : 'As found') }}</h2>
    @if ($print)
        <img class="before-after-img" src="{{ $report->beforeAfterImage() }}" alt="As found and as left">
    @else
        <div class="picture-box" tabindex="0" role="region" aria-label="As found and as left"><x-picture.before-after
            :picture="$report->beforeAfter" /></div>
    @endif
@endif
@unless ($course->isBlank() || ($print && $report->courseWidth() === 0))
    <h2>{{ __($report->isMoved() ? 'Course of the circuit, as left' : 'Course of the circuit') }}</h2>
    <p class="soft">Left to right: the places the refrigerant passes. Upward: its temperature. Pale band: expected.
        Line: measured.</p>
    @if ($print)
        <img class="course-img" width="{{ $report->courseWidth() }}" src="{{ $report->courseImage() }}"
            alt="Course of the circuit">
    @else
        <div class="course-box"><x-picture.course :course="$course" name="report" /></div>
    @endif
@endunless
@unless ($print) @include('report.photos') @endunless
@include('report.technician')
@if ($print) @include('report.photos') @endif
