<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Findings;
use Metrum\Findings\Share;
use Metrum\Findings\Sign;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Question;
use Metrum\Twin\Ailment;
use Metrum\Twin\Likeness;
use Metrum\Twin\PlantState;
use Metrum\Twin\TwinExpectation;

/**
 * What is proven explains some of what was found: the rest is judged against the plant with that fault in it.
 *
 * Where the twin carries the fault it is put into it, as marked as reads most like the plant; else its file says how
 * far it moves a sign. A word that the fault would often bring counts only by what it does not explain.
 */
final readonly class ConfirmedFaults
{
    /** How marked a fault is taken to be where the twin cannot tell. */
    private const USUAL = 0.6;

    /** How uncertain a movement is, of itself. */
    private const UNSURE = 0.3;

    /**
     * @param  array<string, float>  $moved  by how much numbers are moved, by feature
     * @param  array<string, array<string, float>>  $unexplained  share of a word that is not explained
     */
    private function __construct(private array $moved, private array $unexplained)
    {
    }

    /** @param  list<Fault>  $faults */
    public static function at(Examination $examined, array $faults, Curves $curves, HouseRules $rules): ?self
    {
        return self::with($examined, $faults, $curves, $rules, false);
    }

    /** The same of a fault that is only supposed: as marked as its curves say, which is soon known. */
    public static function supposed(
        Examination $examined,
        Fault $fault,
        Curves $curves,
        HouseRules $rules,
    ): ?self {
        return self::with($examined, [$fault], $curves, $rules, true);
    }

    /** @param  list<Fault>  $faults */
    private static function with(
        Examination $examined,
        array $faults,
        Curves $curves,
        HouseRules $rules,
        bool $supposed,
    ): ?self {
        if ($faults === []) {
            return null;
        }
        $features = Features::of($examined);
        $moved = [];
        foreach ($faults as $fault) {
            $severity = $supposed ? self::marked($curves->grade($fault, $features)) : null;
            foreach (self::movedBy($fault, $examined, $rules, $severity) as $feature => $by) {
                $moved[$feature] = ($moved[$feature] ?? 0.0) + $by;
            }
        }

        return new self($moved, self::unexplained($examined, $features, $faults, $curves));
    }

    /**
     * The same with what is explained taken out.
     *
     * @param  array<string, float|string>  $features
     * @return array<string, float|string>
     */
    public function without(array $features): array
    {
        foreach ($this->moved as $feature => $by) {
            $value = $features[$feature] ?? null;
            if (is_float($value)) {
                $left = $value - $by;
                $of = Feature::named($feature)->of;
                $isPlain = $of instanceof Share || $of instanceof DerivedFigure;
                $features[$feature] = $isPlain ? $left : $left / hypot(1.0, self::UNSURE * $by);
            }
        }

        return $features;
    }

    /** Share at which a thing still counts, 0 … 1. */
    public function leftOf(string $feature, float|string $value): float
    {
        return is_string($value) ? $this->unexplained[$feature][$value] ?? 1.0 : 1.0;
    }

    private static function marked(?Grade $grade): float
    {
        return match ($grade) {
            Grade::Mild => 0.4,
            Grade::Severe => 0.9,
            default => 0.65,
        };
    }

    /**
     * @param  ?float  $severity  0 … 1; null: as reads most like the plant
     * @return array<string, float> by feature
     */
    private static function movedBy(
        Fault $fault,
        Examination $examined,
        HouseRules $rules,
        ?float $severity,
    ): array {
        $expectation = $examined->expectation;
        $shows =
            $expectation instanceof TwinExpectation &&
            Ailment::of($fault)->showsAt($expectation->twin->machine) &&
            $expectation->twin->at($expectation->around)->runs();

        return [
            ...self::byFile($fault, $examined, $shows),
            ...$shows ? self::byTwin($fault, $examined, $expectation, $rules, $severity) : [],
        ];
    }

    /**
     * @param  bool  $besideTwin  only what the twin does not carry
     * @return array<string, float>
     */
    private static function byFile(Fault $fault, Examination $examined, bool $besideTwin): array
    {
        $expectation = $examined->expectation;
        $moved = [];
        foreach (FaultCatalogue::entry($fault)->signs as $name => $shift) {
            $sign = Sign::from($name);
            $healthy = $besideTwin && $sign->row()->instrument !== null ? null : $expectation->healthy($sign);
            if ($healthy !== null) {
                $feature = Setting::at(Feature::of($sign), $examined->conditions)->name();
                $moved[$feature] = (self::USUAL * $shift->mean) / $healthy->deviation;
            }
        }

        return $moved;
    }

    /**
     * @param  ?float  $severity  0 … 1; null: as reads most like the plant
     * @return array<string, float>
     */
    private static function byTwin(
        Fault $fault,
        Examination $examined,
        TwinExpectation $expectation,
        HouseRules $rules,
        ?float $severity,
    ): array {
        $likeness = new Likeness($expectation->twin, $expectation->around, $examined->findings, $rules);
        $sick =
            $severity === null
                ? $likeness->closest($fault)[1]
                : $expectation->twin->withFault($fault, $severity, $expectation->around);
        $healthy = $expectation->twin->at($expectation->around);
        if (! $sick->runs()) {
            return [];
        }
        $before = self::featuresOf($healthy, $examined, $rules);
        $moved = [];
        foreach (self::featuresOf($sick, $examined, $rules) as $feature => $value) {
            if (is_float($value) && is_float($before[$feature] ?? null)) {
                $moved[$feature] = $value - $before[$feature];
            }
        }

        return $moved;
    }

    /**
     * A state seen as the plant was seen: through the same readings.
     *
     * @return array<string, float|string>
     */
    private static function featuresOf(PlantState $state, Examination $examined, HouseRules $rules): array
    {
        $findings = $examined->findings;
        $seen = new Findings(
            $findings->circuit,
            $findings->state,
            readings: array_intersect_key($state->readings, $findings->readings),
        );

        return Features::of(Examination::by($seen, $rules, $examined->expectation));
    }

    /**
     * @param  array<string, float|string>  $features
     * @param  list<Fault>  $faults
     * @return array<string, array<string, float>>
     */
    private static function unexplained(
        Examination $examined,
        array $features,
        array $faults,
        Curves $curves,
    ): array {
        $unexplained = [];
        $words = new Words($curves, $examined->conditions);
        $sound = $curves->placeOf(Fault::NoFault);
        foreach (array_filter($features, is_string(...)) as $feature => $word) {
            $asked = Feature::named($feature)->of;
            if (! $asked instanceof Question) {
                continue;
            }
            $chances = $words->chances($asked)[$word];
            foreach ($faults as $fault) {
                $left = min(1.0, ($chances[$sound] + 0.02) / ($chances[$curves->placeOf($fault)] + 0.02));
                $unexplained[$feature][$word] = $left * ($unexplained[$feature][$word] ?? 1.0);
            }
        }
        foreach (Complaint::cases() as $complaint) {
            foreach ($faults as $fault) {
                $told = FaultCatalogue::entry($fault)->complaints[$complaint->value] ?? 0.0;
                $name = Feature::of($complaint)->name();
                $unexplained[$name]['yes'] = (1 - min(0.9, $told)) * ($unexplained[$name]['yes'] ?? 1.0);
            }
        }

        return $unexplained;
    }
}
