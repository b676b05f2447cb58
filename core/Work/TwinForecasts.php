<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Findings\Chapter;
use Metrum\Findings\Findings;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Twin\ChargeCurve;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\Twins;
use Metrum\Work\Charging\Charging;

/** What the twin says of the work at a visit, each chapter asked once. */
final class TwinForecasts
{
    /** @var array<int, array<string, ?Forecasting>> by number of the chapter, by part */
    private array $forecasting = [];

    /** @var array<string, Charging> by part */
    private array $chargings = [];

    /** @var array<string, ChargeCurve> by weather */
    private array $curves = [];

    public function __construct(private readonly Assessment $assessment, private readonly Twins $twins)
    {
    }

    /**
     * Takes over what another has worked.
     *
     * @param  array<int, mixed>  $stands  by number of the chapters that are as they were
     */
    public function goOn(self $before, array $stands): void
    {
        $this->forecasting = array_intersect_key($before->forecasting, $stands);
        $this->curves = $before->curves;
    }

    /** Change of its figure for one unit of a control, by the twin alone; null where it has none. */
    public function slope(Control $control, PartId $part): ?float
    {
        $figure = Assessment::figureOf($control);
        $step = $control->row()->step;
        $account = $figure === null || $step === null ? null : $this->assessment->lastRead($control, $part);

        // There the next move is foretold too: the twin is brought to one chapter, not to two.
        return $account === null
            ? null
            : $this->forecasting($account->chapter, $part)?->slope($control, $figure, 2 * $step);
    }

    /**
     * How much of the coil boils refrigerant before and after a move, made now.
     *
     * @return ?array{float, float} shares of its face
     */
    public function coilUse(Control $control, float $value, PartId $part): ?array
    {
        $account = $this->assessment->lastRead($control, $part);

        return $account === null
            ? null
            : $this->forecasting($account->chapter, $part)?->coilUse(
                $control,
                $value,
                $this->assessment->verdict($this->assessment->judged())->suspects,
            );
    }

    /** The twin brought to what was found in a chapter, of a part of the circuit; null where there is none. */
    public function forecasting(Chapter $chapter, PartId $part): ?Forecasting
    {
        $made = $this->forecasting[$chapter->number] ?? [];
        if (! array_key_exists($part->value, $made)) {
            $this->forecasting[$chapter->number][$part->value] = $this->madeForecasting($chapter->of($part));
        }

        return $this->forecasting[$chapter->number][$part->value];
    }

    public function charging(PartId $part): Charging
    {
        return $this->chargings[$part->value] ??= new Charging($this->assessment, $part);
    }

    /** What the twin would show at each charge, where it stands now. */
    public function chargeCurve(TwinExpectation $expectation): ChargeCurve
    {
        $around = $expectation->around;
        $key = sprintf('%.2f %.2f', $around->ambient, $around->box);

        return $this->curves[$key] ??= ChargeCurve::of($expectation->twin->machine, $around);
    }

    private function madeForecasting(Findings $findings): ?Forecasting
    {
        $expectation = $this->expectation($findings);

        return $expectation === null
            ? null
            : new Forecasting($expectation->twin, $expectation->around, $findings, $this->assessment->rules);
    }

    /** What the twin expects; null where no such plant can be built. */
    public function expectation(Findings $findings): ?TwinExpectation
    {
        $expectation = $this->twins->expectation($findings, $this->assessment->rules, $this->assessment->good);

        return $expectation instanceof TwinExpectation ? $expectation : null;
    }
}
