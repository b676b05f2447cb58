<?php

namespace App\View;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Log\Fact;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Account;
use Metrum\Work\Assessment;
use Metrum\Work\FigureForecast;
use Metrum\Work\Forecast;
use Metrum\Work\Turning;

/** What came of each move, in sentences. */
final readonly class WorkStory
{
    /** What is said of moves that nobody can tell apart. */
    private const TOGETHER = 'They were made before anything was read: nobody can tell which of them did it.';

    public function __construct(private Assessment $assessment, private Units $units)
    {
    }

    /** @return list<string> what came of each move, newest first */
    public function outcomes(): array
    {
        $told = [];
        foreach (array_reverse($this->assessment->accounts()) as $account) {
            $sentence = $this->outcome($account);
            if ($sentence !== '') {
                $told[] = $sentence;
            }
        }

        return $told;
    }

    /** @return array{list<string>, list<string>} what came of the last move that was read, and of those before it */
    public function latest(): array
    {
        $unread = 0;
        foreach (array_reverse($this->assessment->accounts()) as $account) {
            if ($account->outcome !== MoveOutcome::NotRead || $this->outcome($account) === '') {
                break;
            }
            $unread++;
        }
        $told = $this->outcomes();

        return [array_slice($told, 0, $unread + 1), array_slice($told, $unread + 1)];
    }

    private function outcome(Account $account): string
    {
        $move = $account->chapter->began;
        if ($move === null) {
            return '';
        }
        $said = (new PlantMoved())->line($move, $this->units);
        $main = $account->forecast?->telling();
        $change = $main === null ? null : $account->came->changes[$main->figure->value] ?? null;
        if ($account->outcome === MoveOutcome::NotRead || $main === null || $change === null) {
            $wait = Control::from($move->content->key)->row()->figures === [] ? '' : ': not read again yet';

            return $said.$wait.'.';
        }

        $with = array_map(
            fn (Fact $one): string => (new PlantMoved())->line($one, $this->units),
            $account->came->joint,
        );

        return implode(' ', array_filter([
            sprintf(
                '%s%s: %s.',
                $said,
                $with === [] ? '' : ', together with '.lcfirst(implode(' and ', $with)),
                self::word($account, $main, $change),
            ),
            $this->compared($main, $change),
            ...array_map(
                fn (FigureForecast $one): string => $this->compared(
                    $one,
                    $account->came->changes[$one->figure->value] ?? 0.0,
                ),
                $this->missed($account, $main),
            ),
            $with === [] ? Control::from($move->content->key)->row()->says($account->outcome->value) : self::TOGETHER,
            $account->came->later === null ? '' : 'Read again later: '.$account->came->later->label().'.',
        ]));
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
        return $main->isExceededBy($change) ? 'more than foretold' : $account->outcome->label();
    }

    /** @return list<string> each move with its time and what came of it, in one line, in their order */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->assessment->accounts() as $account) {
            $began = $account->chapter->began;
            if ($began === null) {
                continue;
            }
            $main = $account->forecast?->telling();
            $change = $main === null ? null : $account->came->changes[$main->figure->value] ?? null;
            $came = match (true) {
                $main === null || $change === null || $account->outcome === MoveOutcome::NotRead => '',
                default => sprintf(
                    ': %s, %s %s (foretold %s ± %s)',
                    self::word($account, $main, $change),
                    Explain::within($main->figure->label()),
                    $this->signed($change, $main->ofChange()),
                    $this->signed($main->change, $main->ofChange()),
                    $this->units->text($main->deviation, $main->ofChange()),
                ),
            };
            $lines[] = $began->takenAt->format('H:i').' '.(new PlantMoved())->line($began, $this->units).$came;
        }

        return $lines;
    }

    /** "Subcooling +1.2 K, foretold +1.5 K ± 0.4 K." */
    private function compared(FigureForecast $one, float $change): string
    {
        return sprintf(
            '%s %s, foretold %s ± %s.',
            $one->figure->label(),
            $this->signed($change, $one->ofChange()),
            $this->signed($one->change, $one->ofChange()),
            $this->units->text($one->deviation, $one->ofChange()),
        );
    }

    private function signed(float $change, QuantityKind $kind): string
    {
        return ($change > 0.0 ? '+' : '').$this->units->text($change, $kind);
    }

    /** What this control did so far, in one sentence; empty where it was not moved and read. */
    public function response(Control $control, PartId $part): string
    {
        $response = $this->assessment->responses->of($control, $part);
        if ($response === null) {
            return '';
        }
        $unit = $control->row()->field?->kind === QuantityKind::Turns ? 'a turn in' : 'a kg';
        $twin = $response->forecasts === null
            ? ''
            : '; the twin alone says '.$this->units->number($response->forecasts, QuantityKind::Difference);

        return sprintf(
            '%s ± %s %s, by %d %s%s.',
            $this->units->number($response->slope, QuantityKind::Difference),
            $this->units->text($response->deviation, QuantityKind::Difference),
            $unit,
            $response->pairs,
            $response->pairs === 1 ? 'move' : 'moves',
            $twin,
        );
    }

    /** "The coil is used to 82 %, then to 88 %; superheat may come down to 3.1 K."; empty where nothing can be told. */
    public function coilUse(FigureForecast $superheat, float $turns, PartId $part): string
    {
        $use = $this->assessment->forecasts->coilUse(Control::ValveTurn, $turns, $part);

        return $use === null
            ? ''
            : sprintf(
                'The coil is used to %d %%, then to %d %%; superheat may come down to %s.',
                round(100 * $use[0]),
                round(100 * $use[1]),
                $this->units->text($superheat->after() - 2 * $superheat->deviation, QuantityKind::Difference),
            );
    }

    /** What is read again after the last move; empty where nothing is waited for. */
    public function toRead(): string
    {
        $last = $this->assessment->present()->chapter->began?->content;
        if ($last === null || ! $this->assessment->isBeforeLastMove()) {
            return '';
        }
        $needs = array_map(
            static fn ($one): string => Explain::within($one->label()),
            Control::from($last->key)->row()->needs,
        );

        return implode(', ', $needs);
    }

    /** @return list<string> what is to be thought of while a control is turned (R-02) */
    public function warnings(Control $control, PartId $part, ?Band $wanted): array
    {
        if ($control->row()->field?->kind !== QuantityKind::Turns) {
            return [];
        }
        $turning = new Turning($this->assessment, $control, $part);
        $warnings = [];
        if ($turning->isReversed()) {
            $warnings[] = 'Turned back: play in the stem eats the first part of it. Give it all of its time.';
        }
        if ($wanted !== null && $turning->isOvershot($wanted)) {
            $warnings[] = 'It went past what is wanted: half as far back, and wait.';
        }
        if ($control === Control::RegulatorTurn && $turning->isMoved()) {
            $warnings[] = 'It creeps for a while after a turn: what is read at the end of the clock counts.';
        }

        return $warnings;
    }

    /** @return list<array{string, string, string, string}> figure, before, after, deviation with its unit */
    public function foretold(Forecast $forecast): array
    {
        $rows = [];
        foreach ($forecast->figures as $one) {
            $kind = $one->figure->quantity();
            $rows[] = [
                $one->figure->label(),
                $this->units->number($one->before, $kind),
                $this->units->number($one->after(), $kind),
                '± '.$this->units->text($one->deviation, $one->ofChange()),
            ];
        }

        return $rows;
    }
}
