<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Conditions;
use Metrum\Diagnosis\CurveSet;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Likelihoods;
use Metrum\Findings\Findings;
use Metrum\Findings\Sign;
use Metrum\Installation\Circuit;
use Metrum\Installation\Condition;
use Metrum\Installation\Kind;
use Metrum\Knowledge\Cause;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Question;
use Metrum\Twin\DesignExpectation;

/**
 * What the files of the faults say, as curves on the same scale as the learned ones: logarithms of chances. Fitting
 * starts from them and is drawn back to them, so that what is seldom seen keeps the trade's own weight.
 */
final class ExpertCurves
{
    private const SEVERITIES = [0.25, 0.55, 0.95];

    /** Signs of which simulated visits show what the files say, and no more. */
    private const UNSHOWN = [
        Sign::Swing,
        Sign::Lowest,
        Sign::Fans,
        Sign::PullDown,
        Sign::Floor,
        Sign::Rise,
        Sign::Standing,
        Sign::CutOut,
        Sign::CutIn,
        Sign::Oil,
        Sign::FanDelay,
        Sign::Heater,
        Sign::FreezeTime,
        Sign::Water,
    ];

    /** @return list<Sign> signs of which visits show what the files say, and no more; a cycle shows its own */
    public static function unshown(CurveSet $set): array
    {
        $ofCycle = $set === CurveSet::Ice ? [Sign::FreezeTime, Sign::Water] : [];

        return array_values(
            array_filter(self::UNSHOWN, static fn (Sign $sign): bool => ! in_array($sign, $ofCycle, true)),
        );
    }

    /** @return list<Sign> those and the box, of which the steady twin shows how far it rises */
    public static function signs(CurveSet $set): array
    {
        return [Sign::Box, ...self::unshown($set)];
    }

    /** Degrees of freedom of Student's t, by which one bad reading does not decide. */
    private const FREEDOM = 5.0;

    private Likelihoods $weights;

    private Conditions $plain;

    /** @var array<string, Likelihoods> by the condition that holds */
    private array $under = [];

    private DesignExpectation $usual;

    public function __construct(CurveSet $set = CurveSet::Settling)
    {
        $kind = $set === CurveSet::Ice ? Kind::IceMachine : Kind::WalkInFreezer;
        $plain = new Findings(Circuit::plain($kind));
        $this->plain = new Conditions($plain, null);
        $this->weights = new Likelihoods($this->plain);
        $this->usual = new DesignExpectation($plain, new HouseRules());
    }

    /**
     * Logarithm of the chance of an answer, by word.
     *
     * @return array<string, float>
     */
    public function ofQuestion(Fault $fault, Question $asked, ?Condition $under = null): array
    {
        $weights = $this->under[$under->value ?? ''] ??= new Likelihoods($this->plain, $under);
        $logs = [];
        foreach ($asked->words() as $word) {
            $logs[$word->value] = log(max(1e-3, $weights->chance($fault, $asked, $word)));
        }

        return $logs;
    }

    public function ofComplaint(Fault $fault, Complaint $complaint): float
    {
        return log($this->weights->complaintRatio($fault, $complaint));
    }

    /**
     * Logarithm of the density of a sign at places along its curve.
     *
     * @param  list<float>  $knots  deviations from what is usual
     * @return list<float>
     */
    public function ofSign(Fault $fault, Sign $sign, array $knots): array
    {
        $deviation = $this->usual->healthy($sign)->deviation ?? 1.0;
        $moved = [];
        foreach (self::SEVERITIES as $severity) {
            [$shift, $spread] = $this->weights->shift($fault, $sign, $severity);
            $moved[] = [$shift / $deviation, hypot(1.0, $spread / $deviation)];
        }
        $shown = self::shows($fault, $sign);

        return array_map(static function (float $knot) use ($moved, $shown): float {
            $density = 0.0;
            foreach ($moved as [$mean, $width]) {
                $density += self::density(($knot - $mean) / $width) / $width;
            }

            return log(($shown * $density) / count($moved) + (1 - $shown) * self::density($knot));
        }, $knots);
    }

    /** Share of such faults at which it shows: fans all run where the face is dirty. */
    private static function shows(Fault $fault, Sign $sign): float
    {
        $shares = FaultCatalogue::entry($fault)->shares();
        $stopped = $sign === Sign::Fans ? $shares[Cause::FansStopped->value] ?? null : null;

        return $stopped === null ? 1.0 : $stopped / array_sum($shares);
    }

    private static function density(float $deviations): float
    {
        return (1 + $deviations ** 2 / self::FREEDOM) ** (-(self::FREEDOM + 1) / 2);
    }
}
