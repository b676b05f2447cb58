@props(['place'])
@php($at = $place::class)
<svg class="clamp-picture" viewBox="0 0 240 110" role="img" aria-label="{{ $slot }}">
    @switch($place)
        @case($at::Bulb)
            <g class="part"><rect x="10" y="24" width="62" height="62" rx="4"/><path d="M20 24V86M30 24V86M40 24V86M50
                24V86M60 24V86"/></g>
            <path class="tube" d="M72 62H232"/><rect class="bulb" x="100" y="42" width="46" height="11" rx="5.5"/>
            <path class="capillary" d="M146 47C168 40 150 22 178 16"/><x-picture.clamp-on x="182" y="62" />
            <text x="123" y="36" text-anchor="middle">bulb</text><text x="41" y="102" text-anchor="middle">coil</text>
            @break
        @case($at::Suction)
            <circle class="part" cx="205" cy="60" r="28"/><path class="tube" d="M8 60H177"/><x-picture.clamp-on x="92"
                y="60" />
            <path class="length" d="M100 86H177M100 81V91M177 81V91"/><text x="138" y="102"
                text-anchor="middle">15 cm</text><text x="205" y="64" text-anchor="middle">comp.</text>
            @break
        @case($at::Discharge)
            <circle class="part" cx="36" cy="60" r="28"/><path class="tube hot" d="M64 60H232"/><x-picture.clamp-on
                x="146" y="60" />
            <path class="length" d="M64 86H138M64 81V91M138 81V91"/><text x="101" y="102"
                text-anchor="middle">15 cm, hot</text><text x="36" y="64" text-anchor="middle">comp.</text>
            @break
        @case($at::CondenserOutlet)
            <path class="tube" d="M14 22H96M96 22A10 10 0 0 1 96 42H14A10 10 0 0 0 14 62H96A10 10 0 0 1 96 82H232"/>
            <x-picture.clamp-on x="172" y="82" /><text x="52" y="102" text-anchor="middle">condenser</text>
            @break
        @case($at::ReceiverOutlet)
            <rect class="part" x="20" y="18" width="60" height="78" rx="14"/><rect class="liquid" x="22" y="56"
                width="56" height="38" rx="12"/>
            <path class="tube" d="M50 84V28M50 28H232"/><x-picture.clamp-on x="164" y="52" /><path class="tube"
                d="M80 52H232"/>
            <text x="50" y="108" text-anchor="middle">receiver</text>
            @break
        @case($at::ReceiverLevel)
            <rect class="part" x="84" y="8" width="66" height="94" rx="16"/><rect class="liquid" x="86" y="56"
                width="62" height="44" rx="14"/>
            <g class="spots"><circle cx="150" cy="26" r="5"/><circle cx="150" cy="46" r="5"/><circle cx="150" cy="66"
                r="5"/><circle cx="150" cy="86" r="5"/></g>
            <path class="length" d="M164 46H182M164 66H182"/><text x="188" y="60">step</text><text x="60" y="40"
                text-anchor="middle">warm</text><text x="60" y="84" text-anchor="middle">cool</text>
            @break
        @case($at::Drier)
            <path class="tube" d="M8 60H232"/><rect class="part" x="84" y="42" width="72" height="36" rx="12"/>
            <x-picture.clamp-on x="50" y="60" /><x-picture.clamp-on x="190" y="60" />
            <path class="length" d="M100 60H138M132 54L140 60L132 66"/><text x="120" y="102"
                text-anchor="middle">same side of the tube</text>
            @break
        @case($at::ValveInlet)
            <path class="tube" d="M8 60H176"/><path class="part" d="M176 44V76L206 44V76Z"/><circle class="part"
                cx="191" cy="34" r="12"/>
            <path class="tube" d="M206 60H234"/><x-picture.clamp-on x="120" y="60" /><text x="191" y="98"
                text-anchor="middle">exp. valve</text>
            @break
        @case($at::AirIn)
            <g class="part"><rect x="150" y="16" width="40" height="80" rx="4"/><path d="M158 16V96M166 16V96M174
                16V96M182 16V96"/></g>
            <path class="flow" d="M14 36H136M14 76H136M128 30L138 36L128 42M128 70L138 76L128 82"/><x-picture.probe-on
                x="88" y="58" />
            <text x="76" y="102" text-anchor="middle">in the air stream</text>
            @break
        @case($at::AirOut)
            <g class="part"><rect x="40" y="16" width="40" height="80" rx="4"/><path d="M48 16V96M56 16V96M64 16V96M72
                16V96"/></g>
            <path class="flow" d="M92 36H226M92 76H226M218 30L228 36L218 42M218 70L228 76L218 82"/><x-picture.probe-on
                x="160" y="58" />
            <text x="160" y="102" text-anchor="middle">clear of guard and fins</text>
            @break
    @endswitch
</svg>
