@props(['x', 'y'])
<g transform="translate({{ $x }} {{ $y }})"><rect class="wrap" x="-17" y="-12" width="34" height="24" rx="6"/><rect
    class="jaw" x="-6" y="-15" width="12" height="30" rx="3"/><path class="lead" d="M0 -15V-34"/></g>
