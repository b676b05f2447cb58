<?php

declare(strict_types=1);

namespace Metrum\Work\Charging;

use Metrum\Diagnosis\Gate;
use Metrum\Diagnosis\Requirement;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Suspect;
use Metrum\Findings\Findings;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Format;
use Metrum\Twin\Ailment;
use Metrum\Work\Account;
use Metrum\Work\Assessment;
use Metrum\Work\SeenConditions;

/**
 * What must hold before refrigerant comes out because there is too much of it: the same looks as before it goes in,
 * a glass that does not bubble, a head that the weather does not make, and a verdict that names too much.
 */
final readonly class TakingGate
{
    /** K of ambient below which a condenser without head control reads high in subcooling for the cold alone. */
    private const COLD = Celsius::ZERO + 10.0;

    private Findings $findings;

    /** Before refrigerant was moved at this visit. */
    private Findings $asFound;

    private Charging $charging;

    public function __construct(private Assessment $assessment, Account $account, PartId $part)
    {
        $this->findings = $account->chapter->of($part);
        $this->charging = $assessment->charging($part);
        $first = $this->charging->log->rows[0]->number ?? $account->chapter->number;
        $this->asFound = $assessment->accounts()[$first - 1]->chapter->of($part);
    }

    /** @return list<Requirement> */
    public function all(): array
    {
        return [
            ...Obstacles::notLookedAt($this->findings, $this->asFound),
            ...Obstacles::seen($this->findings, $this->assessment->rules),
            (new SeenConditions($this->findings))->settled(),
            $this->glass(),
            ...$this->weather(),
            $this->tooMuch(),
        ];
    }

    public function isOpen(): bool
    {
        return (new Gate($this->all()))->shut() === [];
    }

    private function glass(): Requirement
    {
        $seen = $this->findings->observed(Observation::SightGlass);

        return match ($seen) {
            null => Requirement::open('sight glass', 'not looked at', Observation::SightGlass),
            Word::Bubbles => Requirement::fails(
                'sight glass',
                'it bubbles: gas leaves with the liquid, and less makes more of it',
                Observation::SightGlass,
            ),
            default => Requirement::holds('sight glass', mb_strtolower($seen->label())),
        };
    }

    /** @return list<Requirement> in the cold, where nothing holds the head, liquid backs up for the cold alone */
    private function weather(): array
    {
        $circuit = $this->findings->circuit;
        $control = $circuit->headPressureControl ?? HeadPressureControl::None;
        if ($circuit->condenser !== CondenserPlace::AirOutdoor || $control !== HeadPressureControl::None) {
            return [];
        }
        $air = $this->findings->reading(Reading::AmbientTemperature);
        if ($air === null) {
            return [Requirement::open('weather', 'air at the condenser not read', Reading::AmbientTemperature)];
        }
        $said = Format::number($air - Celsius::ZERO, 0).' °C';

        return [
            $air < self::COLD
                ? Requirement::fails(
                    'weather',
                    "$said and nothing holds the head: judge the charge in warmth",
                    Reading::AmbientTemperature,
                )
                : Requirement::holds('weather', $said),
        ];
    }

    private function tooMuch(): Requirement
    {
        $label = 'too much fits best';
        foreach ($this->findings->confirmed as $fault) {
            if (Ailment::of($fault)->isSurplus()) {
                return Requirement::holds($label, 'confirmed');
            }
        }
        $verdict = $this->assessment->verdict($this->assessment->judged());
        $first = $verdict->first();
        $chance = 0.0;
        foreach ($verdict->suspects as $one) {
            $chance += Ailment::of($one->fault)->isSurplus() ? $one->probability : 0.0;
        }
        $percent = Format::number(100 * $chance, 0).' %';
        $leading = Ailment::of($first->fault);
        if ($leading->isSurplus() && $chance >= Sureness::Leaning->begins()) {
            return Requirement::holds($label, $percent);
        }

        $isOwn = $this->charging->log->added() > 0.0 && ($this->charging->missing() ?? 0.0) < 0.0;
        // What a verdict may name while what was added at this visit is taken back again.
        $isOfCharging = $first->fault === Fault::NoFault || $leading->isShortage() || $leading->isSurplus();
        if ($isOwn && $isOfCharging) {
            return Requirement::holds($label, 'more was added at this visit than was missing');
        }

        return Requirement::fails(
            $label,
            "only $percent: ".lcfirst($verdict->nameOf($first)).' '.self::percent($first),
            Reading::CondenserOutletTemperature,
        );
    }

    private static function percent(Suspect $suspect): string
    {
        return Format::number(100 * $suspect->probability, 0).' %';
    }
}
