<?php

declare(strict_types=1);

namespace Metrum\Plant;

use Metrum\Circuit\Circuit;
use Metrum\Circuit\HouseRules;
use Metrum\Findings\Findings;
use Metrum\Refrigerant\OutsideTable;

/** The twins of circuits as they are known: each made once, and kept on a shelf where there is one. */
final class Twins
{
    /** Twins held at once in a long run. */
    private const MOST = 16;

    /** @var array<string, Twin> */
    private array $here = [];

    public function __construct(private readonly ?Shelf $shelf = null)
    {
    }

    /**
     * @param  list<Findings>  $good  what was found where the plant ran well
     *
     * @throws OutsideTable where such a plant cannot be built with its refrigerant
     */
    public function of(Circuit $circuit, HouseRules $rules, array $good = []): Twin
    {
        $read = array_map(static fn (Findings $findings): array => $findings->readings, $good);
        $key = md5(serialize([$circuit, $rules->choices, $read]));
        if (! isset($this->here[$key])) {
            if (count($this->here) >= self::MOST) {
                $this->keep();
            }
            $this->here[$key] = $this->shelf?->take($key) ?? Twin::fittedTo($circuit, $rules, $good);
        }

        return $this->here[$key];
    }

    /** Puts on the shelf what was learned, and lets go of the rest. */
    public function keep(): void
    {
        foreach ($this->here as $key => $twin) {
            if ($twin->hasLearned()) {
                $this->shelf?->put($key, $twin);
            }
        }
        $this->here = [];
    }
}
