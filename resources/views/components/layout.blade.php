{{-- plain: the same for everybody, as it is kept on a device --}}
@props(['title', 'where' => null, 'visit' => false, 'plain' => false])
@php($signedIn = auth()->check() && ! $plain)
<!doctype html>
<html lang="en" @if ($plain) @elseif (auth()->user()?->theme() === 'paper') data-theme="light"
    @elseif (auth()->user()?->theme() === 'cold') data-theme="dark" @endif>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="drawn" content="{{ now()->format('H:i') }}">
    @if ($signedIn)<meta name="user" content="{{ auth()->id() }}">@endif
    <meta name="htmx-config"
        content='{"includeIndicatorStyles":false,"allowEval":false,
            "attributesToSettle":["class","width","height"],"allowScriptTags":false,
            "historyCacheSize":0,
            "responseHandling":[{"code":"204","swap":false},
            {"code":"[23]..","swap":true},
            {"code":"422","swap":true},
            {"code":"[45]..","swap":false,"error":true}]}'>
    <title>{{ $title }} · Metrum</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @vite(['resources/css/metrum.scss', 'resources/js/metrum.js'])
</head>
<body @class(['is-visit' => $visit])>
<a class="skip" href="#main">Skip to content</a>
<header class="head">
    <a class="mark" href="{{ route('today') }}">Metrum</a>
    @if ($signedIn)
        <div class="where">{{ $where ?? '' }}</div>
        {{ $chips ?? '' }}
        <nav class="pages" aria-label="Pages">
            <a href="{{ route('today') }}" @if (request()->routeIs('today')) aria-current="page" @endif>Today</a>
            <a href="{{ route('sites.index') }}" @if (request()->routeIs('sites.*', 'circuits.*'))
                aria-current="page" @endif>Sites</a>
            <a href="{{ route('stock') }}" @if (request()->routeIs('stock', 'cylinders.*', 'ledger.*'))
                aria-current="page" @endif>Stock</a>
            <a href="{{ route('saturation', App\View\BenchPage::of(request())) }}"
                @if (request()->routeIs('bench', 'saturation')) aria-current="page" @endif>Calculators</a>
            <a href="{{ route('plant.kind', Metrum\Installation\Kind::WalkInCooler->value) }}"
                @if (request()->routeIs('plant.*')) aria-current="page" @endif>Simulator</a>
            <a href="{{ route('handbook') }}" @if (request()->routeIs('handbook*')) aria-current="page"
                @endif>Handbook</a>
            <a href="{{ route('settings') }}" @if (request()->routeIs('settings')) aria-current="page"
                @endif>Settings</a>
        </nav>
        <form method="post" action="{{ route('sign-out') }}" class="out">@csrf<button class="plain">Sign
            out</button></form>
    @endif
</header>
<div id="line-state" role="status" aria-live="polite" hidden></div>
@if (session('said'))<p class="said" role="status">{{ session('said') }}</p>@endif
{{ $slot }}
</body>
</html>
