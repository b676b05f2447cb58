<?php

namespace App\View\Defrost;

use Metrum\Installation\PartId;
use Metrum\Work\Defrost\DefrostRules;

/** What somebody typed for a defrost schedule: rules, and starts of circuits. */
final readonly class DefrostAsked
{
    /** @param  array<string, string>  $typed  by field */
    public function __construct(public array $typed)
    {
    }

    public function rules(int $circuits): DefrostRules
    {
        $most = filter_var($this->typed['at_once'] ?? '', FILTER_VALIDATE_INT);
        $rules = $most === false ? DefrostRules::usual($circuits) : new DefrostRules(max(1, min($circuits, $most)));

        return $rules->keepingFree(DayTimes::spans($this->busy()) ?? []);
    }

    public function busy(): string
    {
        return $this->typed['busy'] ?? '';
    }

    /** Why the times to keep free are none; empty where they are. */
    public function refusedBusy(): string
    {
        return DayTimes::spans($this->busy()) === null
            ? 'Times to keep free: you entered “'.$this->busy().'”. Enter spans such as 10:00-11:30, 17:00-18:00.'
            : '';
    }

    /** Starts of a circuit as they were typed; null where nobody did. */
    public function starts(PartId $circuit): ?string
    {
        return $this->typed[self::field($circuit)] ?? null;
    }

    public static function field(PartId $circuit): string
    {
        return 'starts-'.substr($circuit->value, strlen($circuit->kind()->value) + 1);
    }

    /** @return array<string, string> rules alone, as an address that asks for another proposal has them */
    public function withoutStarts(): array
    {
        return array_intersect_key($this->typed, ['at_once' => true, 'busy' => true]) + ['propose' => '1'];
    }
}
