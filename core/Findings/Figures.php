<?php

declare(strict_types=1);

namespace Metrum\Findings;

use Metrum\Circuit\HouseRules;
use Metrum\Refrigerant\OutsideTable;

/** All that can be worked out of one set of findings; what cannot, with the reason. */
final class Figures
{
    /** @var array<string, Figure> */
    private array $figures = [];

    /** @var array<string, string> derived key => why it is not known */
    public array $unknown = [];

    private function __construct()
    {
    }

    public static function of(Findings $findings, HouseRules $rules): self
    {
        $figures = new self();
        $high = new HighSide($findings, $rules, $figures);
        $high->work();
        (new LowSide($findings, $rules, $figures))->work();
        $high->workWithSuction();

        return $figures;
    }

    /**
     * Works one figure; a property outside its table makes it unknown, with the reason.
     *
     * @param  callable(): ?float  $value  SI, null where an input is missing
     * @param  array<string, array{float, \Metrum\Quantity\Kind}>  $inputs
     */
    public function add(
        Derived $key,
        callable $value,
        string $formula,
        array $inputs,
        ?string $meaning = null,
    ): void {
        try {
            $si = $value();
        } catch (OutsideTable $reason) {
            $this->unknown[$key->value] = $reason->getMessage();

            return;
        }
        if ($si !== null) {
            $this->figures[$key->value] = new Figure($key, $si, $formula, $inputs, $meaning);
        }
    }

    public function figure(Derived $key): ?Figure
    {
        return $this->figures[$key->value] ?? null;
    }

    public function value(Derived $key): ?float
    {
        return isset($this->figures[$key->value]) ? $this->figures[$key->value]->si : null;
    }

    /** @return array<string, Figure> */
    public function all(): array
    {
        return $this->figures;
    }
}
