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

    /**
     * What its load is made of at the air it is rated in.
     *
     * @return array{infiltration: float, radiation: float, conduction: float} shares, the rest comes from inside
     */
    public function load(): array
    {
        $row = Knowledge::file('case-forms')->row($this->value)->row('load');

        return [
            'infiltration' => $row->number('infiltration'),
            'radiation' => $row->number('radiation'),
            'conduction' => $row->number('conduction'),
        ];
    }

    /** Share of the load through the front that a night cover lets by. */
    public function covered(): float
    {
        return Knowledge::file('case-forms')->row($this->value)->number('covered');
    }
}
