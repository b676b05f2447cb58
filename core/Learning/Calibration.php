<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\CurveSet;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Feature;
use Metrum\Diagnosis\Features;
use Metrum\Diagnosis\Scale;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Fault;
use Metrum\Learning\Ice\IcePatients;
use Metrum\Learning\Ice\RandomIceMachines;
use Metrum\Twin\Dice;
use Metrum\Twin\RandomPlants;

/** From simulated visits to the file of curves, with what it reached on plants that were not fitted. */
final class Calibration
{
    /** Every so many visits one is not fitted: one half of those sharpens the curves, with one they are measured. */
    private const HELD_BACK = 6;

    /** Plants drawn to see how often one is met that can have a fault. */
    private const PLANTS = 1500;

    /** Visits by which another twin is recognised. */
    private const PROBES = 4;

    private const PROBE_SEED = 1;

    /** The same where what people say counts too: words change less often than figures. */
    private const DRAWN_AS_PROBES = 30;

    public static function isHeldBack(int $number): bool
    {
        return $number % self::HELD_BACK === 0;
    }

    /**
     * @param  list<DrawnVisit>  $visits
     * @param  callable(int, float): void  $told  how far, 0 … 100 %, and the loss
     * @return array{array<string, mixed>, array<string, Measured>} the file, and what it reached by kind of visit
     */
    public static function file(
        array $visits,
        int $seed,
        callable $told,
        CurveSet $set = CurveSet::Settling,
    ): array {
        $fitted = array_values(
            array_filter($visits, static fn (DrawnVisit $one): bool => ! self::isHeldBack($one->number)),
        );
        $held = array_values(
            array_filter($visits, static fn (DrawnVisit $one): bool => self::isHeldBack($one->number)),
        );
        $trained = new FittedCurves($fitted, $set);
        $trained->learn($told);
        $half = static fn (int $which): array => array_values(
            array_filter(
                $held,
                static fn (DrawnVisit $one): bool => intdiv($one->number, self::HELD_BACK) % 2 === $which,
            ),
        );
        $steeper = $trained->sharpen($half(0));
        $reached = $trained->measured($half(1));

        $file = [
            'made' => ['seed' => $seed, 'fitted' => count($fitted), 'held_back' => count($held), 'steeper' => $steeper],
            'reached' => array_map(static fn (Measured $one): array => $one->row(), $reached),
            'calibration' => $reached['all']->calibration(),
            'features' => self::fingerprint($set),
            'probes' => self::probes($set),
            ...$trained->file()->of($fitted, self::met($seed, $set)),
        ];

        return [$file, $reached];
    }

    /** Short name of twin, people and features: visits drawn by others are of no use. */
    public static function drawnBy(CurveSet $set = CurveSet::Settling): string
    {
        $probed = self::probed(self::DRAWN_AS_PROBES, $set);
        $lines = array_map(static fn (DrawnVisit $one): string => $one->line(), $probed);
        $drawn = [Features::numbers($set), Features::choices(), $lines];

        return substr(md5(json_encode($drawn, JSON_THROW_ON_ERROR)), 0, 10);
    }

    /** Of the features that are learned, and their knots: another one makes the file useless. */
    public static function fingerprint(CurveSet $set = CurveSet::Settling): string
    {
        $knots = array_map(Scale::knots(...), Features::numbers($set));

        $learned = array_filter(
            Features::choices(),
            static fn (string $feature): bool => ! Feature::named($feature)->isAnswer(),
            ARRAY_FILTER_USE_KEY,
        );

        return md5(json_encode([Features::numbers($set), $knots, $learned], JSON_THROW_ON_ERROR));
    }

    /**
     * What the twin makes of a few visits: another twin makes something else of them.
     *
     * @return list<array<string, float>>
     */
    public static function probes(CurveSet $set = CurveSet::Settling): array
    {
        return array_map(
            static fn (DrawnVisit $visit): array => array_map(
                static fn (float $one): float => round($one, 2),
                array_filter($visit->features, is_float(...)),
            ),
            self::probed(self::PROBES, $set),
        );
    }

    public static function patients(CurveSet $set, int $seed): Patients|IcePatients
    {
        return match ($set) {
            CurveSet::Settling => new Patients($seed),
            CurveSet::Ice => new IcePatients($seed),
        };
    }

    /** @return list<DrawnVisit> the first visits, always of the same seed */
    private static function probed(int $count, CurveSet $set): array
    {
        $patients = self::patients($set, self::PROBE_SEED);
        $drawn = [];
        for ($i = 0; $i < $count; $i++) {
            $drawn[] = DrawnVisit::of($i, $patients->number($i));
        }

        return $drawn;
    }

    /**
     * How often a plant is met that can have a fault.
     *
     * @return array<string, float> by Fault
     */
    private static function met(int $seed, CurveSet $set): array
    {
        $plants = new RandomPlants($seed);
        $machines = new RandomIceMachines(new Dice($seed));
        $dice = new Dice($seed);
        $met = [];
        for ($i = 0; $i < self::PLANTS; $i++) {
            $circuit = $set === CurveSet::Ice
                ? $machines->next()->circuit
                : $plants->circuit(Kind::from($dice->weighed(Patients::KINDS)));
            foreach (Fault::cases() as $fault) {
                $fits = FaultCatalogue::entry($fault)->fit->asks($circuit);
                $met[$fault->value] = ($met[$fault->value] ?? 0.0) + ($fits ? 1 / self::PLANTS : 0.0);
            }
        }

        return $met;
    }
}
