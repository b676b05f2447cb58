<?php

declare(strict_types=1);

namespace Metrum\Circuit;

/**
 * The settings on which the trade disagrees, each with its schools and their reasons (data/house-rules.json).
 * A choice is a school's id, or a band of one's own. Values in the rule's unit: K, °C or minutes as the file says.
 *
 * @phpstan-type School array{id: string, name: string, band: array{float|int, float|int}, reason: string}
 * @phpstan-type Rule array{label: string, unit: string, default: string, schools: list<School>}
 */
final readonly class HouseRules
{
    /** @param  array<string, string|array{float, float}>  $choices  rule key => school id or own band; the rest by default */
    public function __construct(public array $choices = [])
    {
    }

    /** @return array<string, Rule> */
    public static function all(): array
    {
        /** @var array<string, Rule> $rules */
        $rules = DataFile::read('house-rules');

        return $rules;
    }

    /** The band in force for a rule, in the rule's own unit. @throws \OutOfBoundsException for an unknown rule */
    public function band(string $rule): Band
    {
        $all = self::all();
        $entry = $all[$rule] ?? throw new \OutOfBoundsException('No such house rule: '.$rule);
        $choice = $this->choices[$rule] ?? $entry['default'];
        if (is_array($choice)) {
            return new Band($choice[0], $choice[1], 'house rule, own figure');
        }
        $school =
            self::school($entry, $choice) ?? (self::school($entry, $entry['default']) ?? $entry['schools'][0]);

        return new Band(
            (float) $school['band'][0],
            (float) $school['band'][1],
            'house rule: '.$school['name'],
        );
    }

    /** The id of the school chosen; null where an own band stands. */
    public function schoolOf(string $rule): ?string
    {
        $choice = $this->choices[$rule] ?? self::all()[$rule]['default'];

        return is_array($choice) ? null : $choice;
    }

    /** The coil and condenser are judged at the middle of the glide, not at its dew or bubble end. */
    public function judgesAtMidGlide(): bool
    {
        return $this->schoolOf('glide_reference') !== 'ends';
    }

    /**
     * @param  Rule  $rule
     * @return ?School
     */
    private static function school(array $rule, string $id): ?array
    {
        foreach ($rule['schools'] as $school) {
            if ($school['id'] === $id) {
                return $school;
            }
        }

        return null;
    }
}
