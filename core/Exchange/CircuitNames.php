<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Section;
use Metrum\Installation\PartId;

/** What people call the circuits of a plant, as a file lists them. */
final class CircuitNames
{
    /** @return array<string, string> of those named, by their part; two of one name are refused */
    public static function in(Section $top): array
    {
        $names = [];
        foreach ($top->rows('circuits') as $place => $row) {
            $name = $row->text('name') ?? '';
            if ($name === '') {
                continue;
            }
            if (in_array($name, $names, true)) {
                $row->refuse('name', 'already used by another circuit');
            }
            $part = is_string($row->given('part')) ? $row->given('part') : PartId::circuit($place + 1)->value;
            $names[$part] = $name;
        }

        return $names;
    }

    /**
     * @param  array<string, string>  $names  by part
     * @return array<string, array{name: string}> what stands in each row
     */
    public static function rows(array $names): array
    {
        return array_map(static fn (string $name): array => ['name' => $name], $names);
    }
}
