<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Circuit\Control;
use Metrum\Circuit\HouseRule;
use Metrum\Circuit\HouseRules;
use Metrum\Circuit\Reading;
use Metrum\Findings\Chapter;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Quantity\Kind;

/** Whether what was read after a move was read once the plant had come to rest. */
final readonly class Settling
{
    /** Share of a pressure that a kelvin of saturation is about, by which two readings may differ and be the same. */
    private const SHARE_A_KELVIN = 0.033;

    /** Pa below which a share of a pressure means nothing. */
    private const LEAST_PRESSURE = 1e4;

    public function __construct(private Log $log, private HouseRules $rules)
    {
    }

    /** Seconds that the plant is given after a move: its clock, else the house rule's least. */
    public function time(Fact $move): float
    {
        $clock = $this->clock($move);
        if ($clock !== null) {
            return $clock->content->value ?? 0.0;
        }
        $rule = Control::from($move->content->key)->row()->settles;

        return $rule === null ? 0.0 : $this->rules->band($rule)->low;
    }

    /**
     * Seconds to set a clock to.
     *
     * @param  bool  $isSlow  a receiver or a rack: refrigerant takes longer to come round (N-08)
     */
    public function usual(Control $control, bool $isSlow = false): float
    {
        $rule = $control->row()->settles;
        if ($rule === null) {
            return 0.0;
        }
        $band = $this->rules->band($rule);

        return $control === Control::Charge && $isSlow ? $band->high : $band->middle();
    }

    /** The clock that was set for a move: the last one set before anything else was moved. */
    private function clock(Fact $move): ?Fact
    {
        $after = false;
        $clock = null;
        foreach ($this->log->happened() as $fact) {
            if ($fact->id === $move->id) {
                $after = true;
            } elseif ($after && $fact->kind === FactKind::Move) {
                break;
            } elseif ($after && $fact->kind === FactKind::Clock && ! $fact->content->isCleared()) {
                $clock = $fact;
            }
        }

        return $clock;
    }

    /** Whether any of these was read early in a chapter, and not again when it had settled. */
    public function isEarly(Chapter $chapter, Reading ...$needed): bool
    {
        if ($chapter->began === null) {
            return false;
        }
        $due = $chapter->began->takenAt->getTimestamp() + $this->time($chapter->began);
        foreach ($needed as $reading) {
            $taken = array_values(
                array_filter(
                    $chapter->found,
                    static fn (Fact $fact): bool => $fact->content->key === $reading->value,
                ),
            );
            $last = end($taken);
            if ($last !== false && $last->takenAt->getTimestamp() < $due && ! $this->stands($taken)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Fact>  $taken  of one reading: whether the last two are equal */
    private function stands(array $taken): bool
    {
        $n = count($taken);
        if ($n < 2) {
            return false;
        }
        [$before, $last] = [(float) $taken[$n - 2]->content->value, (float) $taken[$n - 1]->content->value];
        $same = $this->rules->band(HouseRule::TwoAgree)->high;
        if (Reading::from($taken[0]->content->key)->quantity() === Kind::GaugePressure) {
            $same *= self::SHARE_A_KELVIN * max(self::LEAST_PRESSURE, abs($last));
        }

        return $same > 0.0 && abs($last - $before) <= $same;
    }
}
