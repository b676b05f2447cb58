<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

/** As what a thing that was found counts, by the first word of its name in data/curves.json. */
enum FeatureKind: string
{
    case Sign = 'sign';
    case Reading = 'reading';
    case Share = 'share';
    case Figure = 'figure';
    case Answer = 'word';
    case Complaint = 'complaint';
    case Plant = 'plant';
    case Ambient = 'ambient';
}
