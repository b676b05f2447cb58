<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Knowledge;

/** How a display case is built: how much of its load comes through its front. Figures stand in data/case-forms.json. */
enum CaseForm: string
{
    case OpenMultideck = 'open_multideck';
    case GlassDoor = 'glass_door';
    case Service = 'service';
    case Island = 'island';

    public function label(): string
    {
        return Knowledge::file('case-forms')->row($this->value)->text('label');
    }
}
