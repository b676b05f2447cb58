@foreach ($followUp->terms() as $name => $said)<small>{{ $name }}: {{ $said }}</small>@endforeach
