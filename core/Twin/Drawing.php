<?php

declare(strict_types=1);

namespace Metrum\Twin;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Installation\Circuit;
use Metrum\Installation\Design;
use Metrum\Installation\DesignKey;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;

/** Draws a circuit's design values to visits at which it ran well. */
final readonly class Drawing
{
    /** Design values that visits draw to themselves, and the figure that tells of each. */
    private const DRAWN = [
        DesignKey::EvaporatorTd->value => DerivedFigure::EvaporatorTd,
        DesignKey::CondenserSplit->value => DerivedFigure::CondenserSplit,
        DesignKey::Superheat->value => DerivedFigure::EvaporatorSuperheat,
        DesignKey::Subcooling->value => DerivedFigure::Subcooling,
    ];

    public function __construct(private Twin $twin, private Circuit $circuit, private HouseRules $rules)
    {
    }

    /**
     * Design values moved by what good visits read beyond the twin.
     *
     * @param  list<Findings>  $good
     */
    public function design(array $good): Design
    {
        $misses = [];
        foreach ($good as $findings) {
            foreach ($this->missesOf($findings) as $key => $miss) {
                $misses[$key][] = $miss;
            }
        }
        $machine = $this->twin->machine;
        $point = new Surroundings(
            $machine->design->ambient,
            $machine->design->box,
            null,
            $this->circuit->atmosphere->pascal,
        );
        $now = Figures::of(
            new Findings($this->circuit, readings: $this->twin->at($point)->readings),
            $this->rules,
        );
        $design = $this->circuit->design;
        foreach (self::DRAWN as $key => $figure) {
            $from = $this->circuit->design->value(DesignKey::from($key)) ?? $now->value($figure);
            $list = $misses[$key] ?? [];
            if ($list !== [] && $from !== null && $now->value($figure) !== null) {
                $moved = max(0.5, $from + array_sum($list) / count($list));
                $design = $design->with(DesignKey::from($key), $moved);
            }
        }

        return $design;
    }

    /**
     * What one good visit read beyond the twin, K, by design key; the same readings are taken from both.
     *
     * @return array<string, float>
     */
    private function missesOf(Findings $findings): array
    {
        $box = $findings->reading(Reading::BoxTemperature);
        $ambient = $findings->reading(Reading::AmbientTemperature);
        if ($box === null || $ambient === null) {
            return [];
        }
        $state = $this->twin->at(
            new Surroundings($ambient, $box, atmosphere: $this->circuit->atmosphere->pascal),
        );
        $measured = Figures::of($findings, $this->rules);
        $readings = array_intersect_key($state->readings, $findings->readings);
        $model = Figures::of(new Findings($this->circuit, readings: $readings), $this->rules);
        $misses = [];
        foreach (self::DRAWN as $key => $figure) {
            $a = $measured->value($figure);
            $b = $model->value($figure);
            if ($a !== null && $b !== null) {
                $misses[$key] = $a - $b;
            }
        }

        return $misses;
    }
}
