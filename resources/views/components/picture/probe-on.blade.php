@props(['x', 'y'])
<g transform="translate({{ $x }} {{ $y }})"><path class="lead" d="M0 -34V-4"/><circle class="jaw" r="4.5"/></g>
