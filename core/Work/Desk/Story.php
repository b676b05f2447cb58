<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Asked;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Language\Heading;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Language\WorkReason;
use Metrum\Log\Fact;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\QuantityKind;
use Metrum\Work\Account;
use Metrum\Work\Assessment;
use Metrum\Work\FigureForecast;
use Metrum\Work\Response;
use Metrum\Work\Turning;

/** What came of each move, and what a control has shown of itself. */
final readonly class Story
{
    public function __construct(private Assessment $assessment)
    {
    }

    /** @return list<Sentence> what came of each move, newest first */
    public function outcomes(): array
    {
        $told = [];
        foreach (array_reverse($this->assessment->accounts()) as $account) {
            $move = $account->chapter->began;
            if ($move !== null) {
                $told[] = $this->outcome($move, $account);
            }
        }

        return $told;
    }

    /** @return array{list<Sentence>, list<Sentence>} what came of the last move that was read, and of those before */
    public function latest(): array
    {
        $unread = 0;
        foreach (array_reverse($this->assessment->accounts()) as $account) {
            if ($account->outcome !== MoveOutcome::NotRead || $account->chapter->began === null) {
                break;
            }
            $unread++;
        }
        $told = $this->outcomes();

        return [array_slice($told, 0, $unread + 1), array_slice($told, $unread + 1)];
    }

    private function outcome(Fact $move, Account $account): Sentence
    {
        $row = Control::from($move->content->key)->row();
        [$main, $change] = $this->read($account);
        if ($main === null || $change === null) {
            $reason = $row->figures === [] ? WorkReason::MoveAlone : WorkReason::MoveNotRead;

            return Sentence::of($reason, move: PlantMoved::said($move));
        }
        $isJoint = $account->came->joint !== [];
        $says = $row->says($account->outcome->value);
        $later = $account->came->later;
        $told = [
            $this->came($move, $account, self::word($account, $main, $change)),
            $this->compared($main, $change),
            ...array_map(
                fn (FigureForecast $one): Sentence => $this->compared(
                    $one,
                    $account->came->changes[$one->figure->value] ?? 0.0,
                ),
                $this->missed($account, $main),
            ),
            $isJoint ? Sentence::of(WorkReason::MadeTogether) : ($says === '' ? null : Sentence::plain($says)),
            $later === null ? null : Sentence::of(WorkReason::ReadLater, outcome: $later->label()),
        ];

        return Sentence::of(Reason::Listed, all: Several::oneAfterAnother(array_values(array_filter($told))));
    }

    private function came(Fact $move, Account $account, string $outcome): Sentence
    {
        $others = array_map(
            static fn (Fact $one): Sentence => PlantMoved::said($one, isWithin: true),
            $account->came->joint,
        );

        return $others === []
            ? Sentence::of(WorkReason::MoveCame, move: PlantMoved::said($move), outcome: $outcome)
            : Sentence::of(
                WorkReason::MoveCameWith,
                move: PlantMoved::said($move),
                others: Several::together($others),
                outcome: $outcome,
            );
    }

    /** @return array{?FigureForecast, ?float} the figure that tells, and its change; null where not read again */
    private function read(Account $account): array
    {
        $main = $account->outcome === MoveOutcome::NotRead ? null : $account->forecast?->telling();

        return [$main, $main === null ? null : $account->came->changes[$main->figure->value] ?? null];
    }

    /** @return list<FigureForecast> figures that went another way, but for the one that is told already */
    private function missed(Account $account, FigureForecast $told): array
    {
        $move = $account->chapter->began?->content;
        $isAsked = $move !== null && Control::from($move->key)->row()->isJudgedByAll;

        return array_values(array_filter(
            $isAsked ? $account->forecast?->missed($account->came->changes) ?? [] : [],
            static fn (FigureForecast $one): bool => $one !== $told,
        ));
    }

    private static function word(Account $account, FigureForecast $main, float $change): string
    {
        return $main->isExceededBy($change) ? 'more than predicted' : $account->outcome->label();
    }

    /** @return list<Sentence> each move with its time and what came of it, in one line, in their order */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->assessment->accounts() as $account) {
            $began = $account->chapter->began;
            if ($began !== null) {
                $lines[] = $this->line($began, $account);
            }
        }

        return $lines;
    }

    private function line(Fact $move, Account $account): Sentence
    {
        $of = ['at' => $move->takenAt->format('H:i'), 'move' => PlantMoved::said($move)];
        [$main, $change] = $this->read($account);

        if ($main === null || $change === null) {
            return Sentence::of(WorkReason::MoveAt, ...$of);
        }
        $came = [
            ...$of,
            'outcome' => self::word($account, $main, $change),
            'figure' => Heading::within($main->figure->label()),
            ...self::amounts($main, $change),
        ];

        return Sentence::of(WorkReason::MoveAtCame, ...$came);
    }

    /** "Subcooling +1.2 K, foretold +1.5 K ± 0.4 K." */
    private function compared(FigureForecast $one, float $change): Sentence
    {
        return Sentence::of(
            WorkReason::FigureCompared,
            ...self::amounts($one, $change),
            figure: $one->figure->label(),
        );
    }

    /** @return array{change: Magnitude, foretold: Magnitude, deviation: Magnitude} */
    private static function amounts(FigureForecast $one, float $change): array
    {
        $kind = $one->ofChange();

        return [
            'change' => Magnitude::of($change, $kind)->signed(),
            'foretold' => Magnitude::of($one->change, $kind)->signed(),
            'deviation' => Magnitude::of($one->deviation, $kind),
        ];
    }

    /** What this control did so far; null where it was not moved and read. */
    public function response(Control $control, PartId $part): ?Sentence
    {
        $response = $this->assessment->responses->of($control, $part);

        return $response === null ? null : self::learned($response);
    }

    /** What one unit of a control does. */
    public static function learned(Response $response): Sentence
    {
        $isTurned = $response->control->row()->field?->kind === QuantityKind::Turns;
        $with = [
            'slope' => Magnitude::difference($response->slope)->bare(),
            'deviation' => Magnitude::difference($response->deviation),
            'moves' => Sentence::of(WorkReason::MovesCounted, count: Magnitude::count($response->pairs)),
            'twin' => $response->forecasts === null
                ? Sentence::of(Reason::Nothing)
                : Sentence::of(WorkReason::TwinAloneSays, slope: Magnitude::difference($response->forecasts)),
        ];

        // What a kilogram does; who reads pounds is told of as much in pounds.
        return $isTurned
            ? Sentence::of(WorkReason::SlopeATurn, ...$with)
            : Sentence::of(WorkReason::SlopeForMass, ...$with, mass: Magnitude::mass(1.0)->ruled());
    }

    /** What a turn of the valve gains in coil, beside what it risks (V-06); null where nothing can be told. */
    public function coilUse(FigureForecast $superheat, float $turns, PartId $part): ?Sentence
    {
        $use = $this->assessment->forecasts->coilUse(Control::ValveTurn, $turns, $part);

        return $use === null
            ? null
            : Sentence::of(
                WorkReason::CoilUsed,
                now: Magnitude::share($use[0]),
                then: Magnitude::share($use[1]),
                low: Magnitude::difference($superheat->after() - 2 * $superheat->deviation),
            );
    }

    /** @return list<string> readings that are taken again after the last move; empty where nothing is waited for */
    public function toRead(): array
    {
        $last = $this->assessment->present()->chapter->began?->content;
        if ($last === null || ! $this->assessment->isBeforeLastMove()) {
            return [];
        }

        return array_map(
            static fn (Asked $one): string => Heading::within($one->label()),
            Control::from($last->key)->row()->needs,
        );
    }

    /** @return list<Sentence> what is to be thought of while a control is turned (R-02) */
    public function warnings(Control $control, PartId $part, ?Band $wanted): array
    {
        if ($control->row()->field?->kind !== QuantityKind::Turns) {
            return [];
        }
        $turning = new Turning($this->assessment, $control, $part);
        $warnings = [];
        if ($turning->isReversed()) {
            $warnings[] = Sentence::of(WorkReason::TurnedBack);
        }
        if ($wanted !== null && $turning->isOvershot($wanted)) {
            $warnings[] = Sentence::of(WorkReason::WentPast);
        }
        if ($control === Control::RegulatorTurn && $turning->isMoved()) {
            $warnings[] = Sentence::of(WorkReason::RegulatorCreeps);
        }

        return $warnings;
    }
}
