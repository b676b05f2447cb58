@props(['word'])
<a class="term" href="{{ route('handbook.words') }}#{{ $word }}">{{ $slot }}</a>
