@props(['share'])
<svg class="bar" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true"><rect class="bar-ground"
    width="100" height="8" rx="2"/><rect class="bar-fill" width="{{ App\Picture\Bars::width($share) }}" height="8"
    rx="2"/></svg>
