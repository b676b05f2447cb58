<?php

declare(strict_types=1);

namespace Metrum\Knowledge;

/** What a workshop has chosen where the trade disagrees. */
final readonly class HouseRules
{
    /**
     * @param  array<string, string|array{float, float}>  $choices  by HouseRule: a school's id, or a band of one's
     *                                                              own in
     *                                                              the rule's unit; the rest by default
     */
    public function __construct(public array $choices = [])
    {
    }

    /** The band in force, SI. */
    public function band(HouseRule $rule): Band
    {
        $row = $rule->row();
        $choice = $this->ownBand($rule);
        if ($choice !== null) {
            $unit = $row->field?->fileUnit();
            [$low, $high] = $unit === null ? $choice : array_map($unit->toSi(...), $choice);

            return new Band($low, $high, 'house rule, own figure');
        }
        $school = $this->school($rule);

        return new Band($school->low, $school->high, 'house rule: '.$school->name);
    }

    /** The id of the school chosen; null where an own band stands. */
    public function schoolOf(HouseRule $rule): ?string
    {
        return $this->ownBand($rule) === null ? $this->school($rule)->id : null;
    }

    /** @return ?array{float, float} an own band that can be, in the rule's unit; null where a school was chosen */
    public function ownBand(HouseRule $rule): ?array
    {
        $choice = $this->choices[$rule->value] ?? null;

        return is_array($choice) && $rule->row()->refusal(...$choice) === null ? $choice : null;
    }

    /** Whether it is done so in this workshop. */
    public function follow(Ruling $ruling): bool
    {
        return $this->schoolOf($ruling->rule()) === $ruling->school();
    }

    public function isDefault(HouseRule $rule): bool
    {
        return $this->schoolOf($rule) === $rule->row()->default->id;
    }

    /** The coil and condenser are judged at the middle of the glide, not at its dew or bubble end. */
    public function judgesAtMidGlide(): bool
    {
        return ! $this->follow(Ruling::JudgedAtEnds);
    }

    /** The school chosen; the default's where none is, or one that is not known any more. */
    private function school(HouseRule $rule): School
    {
        $choice = $this->choices[$rule->value] ?? null;

        return (is_string($choice) ? $rule->row()->school($choice) : null) ?? $rule->row()->default;
    }
}
