@foreach ($meaning->pieces as $piece)<span @class(['refused' =>
    $piece['refused']])>{{ $piece['text'] }}</span>@endforeach
@if ($meaning->completion !== null)<kbd data-complete="{{ $meaning->completion }}">…{{ $meaning->completion }},
    Tab</kbd>@endif
