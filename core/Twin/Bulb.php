<?php

declare(strict_types=1);

namespace Metrum\Twin;

/** The bulb of an expansion valve in time, as superheat (K): the coil's dead time, the outlet's lag, the bulb's own. */
final class Bulb
{
    /** s from the valve to the coil's outlet. */
    private const DEAD_TIME = 3;

    private float $temperature = 6.0;

    /** K of superheat that the pipe at the bulb has. */
    public float $felt = 6.0;

    /** @var list<float> superheats on their way to the bulb, a second each */
    private array $onTheWay = [];

    public function __construct(private readonly Feed $feed)
    {
    }

    /** What leaves the coil reaches the bulb late. Answers with the valve's opening. */
    public function feel(float $step, float $loopSuperheat, float $quality): float
    {
        $superheat = $loopSuperheat - ($loopSuperheat < 0.0 || $quality < 1.0 ? 25.0 * (1 - $quality) : 0.0);
        for ($second = 0; $second < (int) max(1, $step); $second++) {
            $this->onTheWay[] = $superheat;
        }
        $arrived =
            count($this->onTheWay) > self::DEAD_TIME
                ? $this->onTheWay[count($this->onTheWay) - 1 - self::DEAD_TIME]
                : $this->onTheWay[0];
        $this->onTheWay = array_slice($this->onTheWay, -self::DEAD_TIME - 1);
        $this->felt += ($arrived - $this->felt) * (1 - exp(-$step / 25.0));
        $this->temperature += ($this->felt - $this->temperature) * (1 - exp(-$step / $this->feed->bulbLag));

        return $this->feed->opening($this->temperature);
    }

    /** The valve at rest with what leaves the coil. */
    public function settle(float $superheat, float $opening): float
    {
        $this->temperature = $this->felt = max(0.0, $superheat);
        $this->onTheWay = [];

        return $opening;
    }

    /** The plant stands: the bulb comes to rest and the valve nearly shut. Answers with the valve's opening. */
    public function rest(float $step): float
    {
        $this->temperature += (4.0 - $this->temperature) * (1 - exp(-$step / 120.0));
        $this->felt = $this->temperature;
        $this->onTheWay = [];

        return max($this->feed->least, min(0.4, $this->feed->opening($this->temperature)));
    }
}
