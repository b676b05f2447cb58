{{-- one control of the page as it now stands --}}
@php($reading = Metrum\Knowledge\Reading::tryFrom($control->key))
@php($question = Metrum\Knowledge\Observation::tryFrom($control->key) ?? Metrum\Knowledge\Test::tryFrom($control->key))
@if ($control->kind === Metrum\Log\FactKind::Complaint)
    @include('visit.marks')
@elseif ($control->kind === Metrum\Log\FactKind::State)
    @include('visit.state')
@elseif ($control->kind === Metrum\Log\FactKind::Reading && $reading !== null)
    @include('visit.cell', ['cell' => $page->controls->cell($reading)])
@elseif ($question !== null)
    @include('visit.choice', ['choice' => $page->controls->choice($question)])
@endif
