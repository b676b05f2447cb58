{{-- one control of the page as it now stands --}}
@php($typed = $error === null ? '' : $control->typed)
@php($reading = Metrum\Circuit\Reading::tryFrom($control->key))
@php($question = Metrum\Circuit\Observation::tryFrom($control->key) ?? Metrum\Circuit\Test::tryFrom($control->key))
@if ($control->isLine())
    @include('visit.line')
@elseif ($control->kind === Metrum\Log\FactKind::Complaint)
    @include('visit.marks')
@elseif ($control->kind === Metrum\Log\FactKind::State)
    @include('visit.state')
@elseif ($control->kind === Metrum\Log\FactKind::Reading && $reading !== null)
    @include('visit.cell', ['cell' => $page->cell($reading, $typed, $error)])
@elseif ($control->kind !== null && $question !== null)
    @include('visit.choice', ['choice' => $page->choice($question)])
@elseif ($error !== null)
    <p class="error" role="alert">{{ $error }}</p>
@endif
