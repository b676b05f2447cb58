<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Feature;
use Metrum\Diagnosis\Scale;
use Metrum\Diagnosis\Setting;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Fault;

/**
 * Keeps fitted curves to what the trade knows. What is as it ought to be speaks for nothing that is wrong; and where a
 * fault's file says which way a sign goes, its curve beside a sound plant's never turns back: pool adjacent violators
 * (Ayer et al. 1955) on the difference of both curves.
 */
final readonly class Arrows
{
    /** A shift is an arrow where it is so many times its spread. */
    private const CLEAR = 1.0;

    /** @param  list<Fault>  $faults  by place */
    public function __construct(
        private Columns $columns,
        private array $faults,
    ) {
    }

    /**
     * @param  array<int, array<int, float>>  $weights  by column and fault
     * @return array<int, array<int, float>>
     */
    public function kept(array $weights): array
    {
        $sound = (int) array_search(Fault::NoFault, $this->faults, true);
        $weights = $this->ordinary($weights, $sound);
        foreach ($this->faults as $place => $fault) {
            if ($place === $sound) {
                continue;
            }
            foreach (self::clearSigns($fault) as $sign => $way) {
                foreach (Setting::names(Feature::of(Sign::from($sign))) as $name) {
                    $weights = self::turned($weights, $this->columns->curves[$name], $place, $sound, $way);
                }
            }
        }

        return $weights;
    }

    /**
     * Where a figure is as expected no fault weighs more than a sound plant. Else it would stand for what is held
     * beforehand: a plant that shows nothing on a cold day was called short, since cold days are when a shortage shows.
     *
     * @param  array<int, array<int, float>>  $weights
     * @return array<int, array<int, float>>
     */
    private function ordinary(array $weights, int $sound): array
    {
        $middle = array_search(0.0, Scale::DEVIATIONS, true);
        foreach ($this->columns->curves as $feature => $columns) {
            if (Scale::knots($feature) !== Scale::DEVIATIONS) {
                continue;
            }
            $most = $weights[$columns[$middle]][$sound];
            foreach ($weights[$columns[$middle]] as $place => $weight) {
                $weights[$columns[$middle]][$place] = min($weight, $most);
            }
        }

        return $weights;
    }

    /**
     * One curve beside a sound plant's made to rise or fall throughout; it speaks for the fault on its own side only.
     *
     * @param  array<int, array<int, float>>  $weights
     * @param  list<int>  $columns
     * @return array<int, array<int, float>>
     */
    private static function turned(array $weights, array $columns, int $place, int $sound, int $way): array
    {
        $apart = array_map(
            static fn (int $column): float => $way * ($weights[$column][$place] - $weights[$column][$sound]),
            $columns,
        );
        foreach (self::rising($apart) as $i => $one) {
            $isOwnSide = $way * Scale::DEVIATIONS[$i] > 0.0;
            $more = $way * $one;
            $weights[$columns[$i]][$place] = $weights[$columns[$i]][$sound] + ($isOwnSide ? $more : min(0.0, $more));
        }

        return $weights;
    }

    /** @return array<string, int> 1 up or -1 down, by Sign */
    public static function clearSigns(Fault $fault): array
    {
        $ways = [];
        foreach (FaultCatalogue::entry($fault)->signs as $sign => $shift) {
            if (
                abs($shift->mean) >= self::CLEAR * $shift->spread &&
                Sign::from($sign)->row()->instrument !== null
            ) {
                $ways[$sign] = $shift->mean <=> 0.0;
            }
        }

        return array_filter($ways, static fn (int $way): bool => $way !== 0);
    }

    /**
     * The nearest values that never fall.
     *
     * @param  array<int, float>  $values
     * @return array<int, float>
     */
    private static function rising(array $values): array
    {
        $blocks = [];
        foreach ($values as $value) {
            $blocks[] = [$value, 1];
            while (($n = count($blocks)) > 1 && $blocks[$n - 2][0] > $blocks[$n - 1][0]) {
                [$low, $lows] = $blocks[$n - 2];
                [$high, $highs] = array_pop($blocks);
                $blocks[$n - 2] = [($low * $lows + $high * $highs) / ($lows + $highs), $lows + $highs];
            }
        }
        $rising = [];
        foreach ($blocks as [$value, $count]) {
            array_push($rising, ...array_fill(0, $count, $value));
        }

        return $rising;
    }
}
