<?php

namespace App\View\Compressor;

use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Work\Compressor\OilCause;
use Metrum\Work\Compressor\OilTrips;

/** Why a compressor trips on oil, where it did or its oil looks like it: each cause with its mark and what is next. */
final readonly class OilSheet
{
    /** @param  list<array{when: string, what: string, count: string, superheat: string, done: string}>  $trips */
    public function __construct(private Findings $findings, private HouseRules $rules, public array $trips)
    {
    }

    /** @return list<array{label: string, sign: string, does: string, next: string, isFirst: bool}> none: no oil trip */
    public function causes(): array
    {
        if (! $this->isAboutOil()) {
            return [];
        }
        $oil = new OilTrips($this->findings, $this->rules);
        $first = $oil->first();
        $causes = [];
        foreach ($oil->marks() as $key => $mark) {
            $cause = OilCause::from($key);
            $next = $oil->next($cause);
            $causes[] = [
                'label' => $cause->label(),
                'sign' => $mark->sign(),
                'does' => $cause === $first ? $cause->does() : '',
                'next' => $next === null ? '' : $next->label(),
                'isFirst' => $cause === $first,
            ];
        }

        return $causes;
    }

    private function isAboutOil(): bool
    {
        $level = $this->findings->observed(Observation::OilLevel);
        $told = array_column($this->trips, 'what');
        $counted = array_filter(array_column($this->trips, 'count'), static fn (string $one): bool => $one !== '');

        return $level === Word::Low ||
            $level === Word::Foaming ||
            $counted !== [] ||
            in_array(true, array_map(static fn (string $one): bool => str_contains($one, 'oil'), $told), true);
    }
}
