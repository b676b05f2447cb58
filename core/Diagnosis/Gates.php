<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Findings;
use Metrum\Knowledge\HouseRule;
use Metrum\Knowledge\HouseRules;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Word;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\Magnitude;

/** The gates of a visit: settled before judging (G-13), looked at before charging (N-01), ended before closing. */
final readonly class Gates
{
    /** K of box above its set point from which superheat and head read high. */
    private const PULLING_DOWN = 5.0;

    /** Share of the receiver, K of subcooling and kg added from which nothing is added. */
    private const FULL = 0.8;

    private const LIQUID_BACKED_UP = 12.0;

    private const MOST_ADDED = 2.0;

    public function __construct(
        private Findings $findings,
        private Figures $figures,
        private HouseRules $rules,
    ) {
    }

    /** Whether the readings may be judged as they are. */
    public function settled(): Gate
    {
        return new Gate([
            $this->state(),
            $this->undisturbed(),
            $this->nearSetPoint(),
            $this->atRest(),
            ...$this->air(),
        ]);
    }

    /** @return list<Requirement> pressures are not judged on a blocked coil or with its fans standing (B-03) */
    private function air(): array
    {
        $inDefrost = $this->findings->stateOf(Observation::EvaporatorFans) === State::InDefrost;
        $stopped = $this->findings->saw(Observation::EvaporatorFans, Word::AllStopped) && ! $inDefrost;

        return [
            Requirement::mustHold(! $stopped, Reason::CoilFansStand, [
                Observation::EvaporatorFans,
            ]),
            Requirement::mustHold(
                ! $this->findings->saw(Observation::FrostCoil, Word::Blocked),
                Reason::CoilBlocked,
                [Observation::FrostCoil],
            ),
        ];
    }

    /** @return list<Requirement> nothing is added to a plant that is full */
    private function notFull(): array
    {
        $level = $this->findings->reading(Reading::ReceiverLevel);
        $subcooling = $this->figures->value(DerivedFigure::Subcooling);
        $added = $this->findings->reading(Reading::Added);

        return [
            Requirement::mustHold(
                ($level ?? 0.0) <= self::FULL,
                Sentence::of(Reason::ReceiverStandsAt, level: Magnitude::share($level ?? 0.0)),
                [Reading::ReceiverLevel],
            ),
            Requirement::mustHold(
                ($subcooling ?? 0.0) <= self::LIQUID_BACKED_UP,
                Sentence::of(Reason::LiquidBacksUp, by: Magnitude::difference($subcooling ?? 0.0)),
            ),
            Requirement::mustHold(
                ($added ?? 0.0) <= self::MOST_ADDED,
                Sentence::of(Reason::MuchAdded, mass: Magnitude::mass($added ?? 0.0)),
                [Reading::Added],
            ),
        ];
    }

    /** Before refrigerant is ever advised: subcooling, or level and glass; airflow on both sides; the drier. */
    public function charge(): Gate
    {
        $known = fn (Reading|Observation $one): bool => $one instanceof Reading
            ? $this->findings->reading($one) !== null
            : $this->findings->observed($one) !== null;
        $seal =
            $this->figures->value(DerivedFigure::Subcooling) !== null ||
            ($known(Reading::ReceiverLevel) && $known(Observation::SightGlass));
        $coil =
            $known(Observation::EvaporatorFans) &&
            ($known(Observation::EvaporatorFace) || $known(Observation::FrostCoil));
        $condenser = $known(Observation::CondenserFans) && $known(Observation::CondenserFace);
        $drier =
            $this->figures->value(DerivedFigure::DrierDrop) !== null ||
            $known(Reading::DrierDrop) ||
            $known(Observation::LiquidLineFeel);

        return new Gate([
            ...$this->notFull(),
            Requirement::mustBeKnown($seal, Reason::LookAtSeal, [
                Reading::ReceiverOutletTemperature,
                Reading::ReceiverLevel,
                Observation::SightGlass,
            ]),
            Requirement::mustBeKnown($coil, Reason::LookAtCoil, [
                Observation::EvaporatorFans,
                Observation::EvaporatorFace,
            ]),
            Requirement::mustBeKnown($condenser, Reason::LookAtCondenser, [
                Observation::CondenserFans,
                Observation::CondenserFace,
            ]),
            Requirement::mustBeKnown($drier, Reason::LookAtDrier, [
                Reading::DrierOutletTemperature,
                Observation::LiquidLineFeel,
            ]),
        ]);
    }

    /**
     * Whether a visit can be called finished. It can be closed all the same: what is open then stands in the report.
     *
     * @param  list<Contradiction>  $contradictions
     * @param  bool  $ranWell  whether someone marked that the plant runs as it should
     */
    public function closing(array $contradictions, bool $ranWell): Gate
    {
        $settled = $this->settled()->isOpen();
        $first = $contradictions[0] ?? null;
        $proven = $ranWell || $this->findings->confirmed !== [];

        return new Gate([
            Requirement::mustHold($settled, Reason::Provisional),
            Requirement::mustHold($first === null, Reason::Contradicted, $first->repeat ?? []),
            Requirement::mustBeKnown(
                $proven,
                Reason::NothingProven,
                [],
            ),
        ]);
    }

    private function state(): Requirement
    {
        $state = $this->findings->state;

        return $state === null
            ? Requirement::mustBeKnown(false, Reason::NobodySaid, [])
            : Requirement::mustHold(
                $state === State::RunningSettled,
                Sentence::of(Reason::PlantIs, state: mb_strtolower($state->label())),
            );
    }

    private function undisturbed(): Requirement
    {
        $since = $this->findings->reading(Reading::MinutesSinceDisturbance);
        $rule =
            $this->findings->state === State::AfterDefrost ? HouseRule::SettleDefrost : HouseRule::SettleStart;
        $wait = $this->rules->band($rule)->low;

        return Requirement::mustHold(
            $since === null || $since >= $wait,
            Sentence::of(
                Reason::Disturbed,
                since: Magnitude::minutes($since ?? 0.0),
                wait: Magnitude::minutes($wait),
            ),
            [Reading::MinutesSinceDisturbance],
        );
    }

    /** What was read twice minutes apart says more than who says that it is settled. */
    private function atRest(): Requirement
    {
        $moving = array_map(Reading::from(...), array_unique($this->findings->moving));
        $names = implode(', ', array_map(static fn (Reading $one): string => lcfirst($one->short()), $moving));

        return Requirement::mustHold(
            $moving === [],
            Sentence::of(Reason::StillMoves, names: $names),
            array_values($moving),
        );
    }

    private function nearSetPoint(): Requirement
    {
        $above = $this->figures->value(DerivedFigure::BoxAboveSetPoint);

        return Requirement::mustHold(
            $above === null || $above <= self::PULLING_DOWN,
            Sentence::of(Reason::BoxAboveSet, above: Magnitude::difference($above ?? 0.0)),
            [Reading::BoxTemperature],
        );
    }
}
