<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Likelihoods;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Reading;
use Metrum\Twin\DesignExpectation;
use Metrum\Twin\Dice;

/** Readings that the steady twin does not carry: swings, counted fans, pump-down, times. By each fault's file. */
final readonly class CountedReadings
{
    /** Sign => reading that is the sign, and how often it is taken. */
    private const TAKEN = [
        'swing' => [Reading::SuperheatSwing, 0.2],
        'lowest' => [Reading::SuperheatLowest, 0.1],
        'pull_down' => [Reading::PullDownRate, 0.08],
        'floor' => [Reading::PumpDownFloor, 0.05],
        'rise' => [Reading::PumpDownRise, 0.05],
        'oil' => [Reading::OilPressureDifference, 0.03],
        'freeze_time' => [Reading::FreezeTime, 0.6],
    ];

    /** Share of the design's width that is between plants; the rest is what nobody knows of one plant. */
    private const BETWEEN_PLANTS = 0.6;

    private const FANS = [1, 2, 2, 2, 3, 3, 4, 6];

    public function __construct(private Dice $dice, private Likelihoods $weights)
    {
    }

    /**
     * @param  list<array{Fault, ?Cause, float}>  $ills
     * @return array<string, float> by key of Reading, SI
     */
    public function of(Findings $findings, array $ills): array
    {
        $expectation = new DesignExpectation($findings, new HouseRules());
        $read = $this->dice->chance(0.25) ? $this->fans($ills) : [];
        foreach (self::TAKEN as $name => [$reading, $share]) {
            $sign = Sign::from($name);
            $healthy = $expectation->healthy($sign);
            $asked = $sign->row()->isAsked($findings) && $reading->taking()->fit->asks($findings->circuit);
            if ($healthy === null || ! $asked || ! $this->dice->chance($share)) {
                continue;
            }
            $value = $healthy->value;
            $width = self::BETWEEN_PLANTS * $healthy->deviation;
            foreach ($ills as [$fault, , $severity]) {
                [$shift, $spread] = $this->weights->shift($fault, $sign, $severity);
                $value += $shift;
                $width = hypot($width, $spread);
            }
            $value = $this->dice->around($value, $width);
            $read[$reading->value] = $sign === Sign::Swing ? max(0.0, $value) : $value;
        }

        return $read;
    }

    /**
     * @param  list<array{Fault, ?Cause, float}>  $ills
     * @return array<string, float>
     */
    private function fans(array $ills): array
    {
        $fitted = $this->dice->one(self::FANS);
        $running = $fitted;
        foreach ($ills as [$fault, $cause, $severity]) {
            if ($cause === Cause::FansStopped) {
                $running = max(0, $fitted - max(1, (int) round($severity * $fitted * 0.8)));
            }
            if ($fault === Fault::FanDelayHolding) {
                $running = 0;
            }
        }

        return [Reading::FansFitted->value => (float) $fitted, Reading::FansRunning->value => (float) $running];
    }
}
