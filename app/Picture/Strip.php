<?php

namespace App\Picture;

use Metrum\Circuit\Band;
use Metrum\Circuit\Control;
use Metrum\Findings\Chapter;
use Metrum\Findings\Figures;
use Metrum\Log\Content;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Format;
use Metrum\Quantity\Units;
use Metrum\Work\Account;
use Metrum\Work\Foretold;
use Metrum\Work\Outcome;
use Metrum\Work\Work;

/**
 * The work over time: one figure from chapter to chapter, moves as notches, waiting hatched, the wanted band behind, and
 * what the last move is foretold to do.
 */
final class Strip
{
    public const TOP = 30.0;

    private const LEFT = 44.0;

    private const RIGHT = 16.0;

    private const FOOT = 40.0;

    /** Seconds before the first and behind the last thing drawn. */
    private const BEFORE = 240;

    private const BEHIND = 600;

    private const LEAST_SPAN = 1800;

    private const LETTER = 6.6;

    private const LEVELS = 5;

    /** Between two lines, and minutes between two times. */
    private const STEPS = [0.5, 1, 2, 4, 5, 10, 20];

    private const MINUTES = [5, 10, 15, 20, 30, 60];

    public readonly float $height;

    /** @var list<array{account: Account, at: int, value: ?float}> */
    private array $fields = [];

    private int $from;

    private int $to;

    private float $low;

    private float $high;

    public function __construct(
        private readonly Work $work,
        private readonly Control $control,
        private readonly string $subject,
        private readonly ?Band $band,
        private readonly Units $units,
        public readonly float $width,
    ) {
        $this->height = $width > 600.0 ? 290.0 : 230.0;
        foreach ($work->accounts() as $account) {
            $this->fields[] = [
                'account' => $account,
                'at' => self::begins($account->chapter),
                'value' => $this->value($account->chapter),
            ];
        }
        $this->span();
        $this->reach();
    }

    private static function begins(Chapter $chapter): int
    {
        $first = $chapter->began ?? ($chapter->found[0] ?? null);

        return $first?->takenAt->getTimestamp() ?? 0;
    }

    /** The figure as it was read last in a chapter, early or not, SI. */
    private function value(Chapter $chapter): ?float
    {
        $figure = Work::figureOf($this->control);

        return $figure === null
            ? null
            : Figures::of($chapter->of($this->subject), $this->work->rules)->value($figure);
    }

    private function span(): void
    {
        $moments = [];
        foreach ($this->fields as ['account' => $account, 'at' => $at]) {
            $moments[] = $at;
            $found = $account->chapter->found;
            $moments[] = $found === [] ? $at : end($found)->takenAt->getTimestamp();
            if ($account->chapter->began !== null) {
                $moments[] = $at + (int) $this->work->settling->time($account->chapter->began);
            }
        }
        $moments = array_filter($moments);
        $this->from = ($moments === [] ? 0 : min($moments)) - self::BEFORE;
        $this->to = max(($moments === [] ? 0 : max($moments)) + self::BEHIND, $this->from + self::LEAST_SPAN);
    }

    private function reach(): void
    {
        $values = $this->band === null ? [] : [$this->band->low, $this->band->high];
        foreach ($this->fields as ['value' => $value]) {
            $values[] = $value;
        }
        $foretold = $this->pending();
        $values[] = $foretold === null ? null : $foretold[1]->after();
        $values = array_filter($values, static fn (?float $one): bool => $one !== null);
        $low = $values === [] ? 0.0 : min($values);
        $high = $values === [] ? 10.0 : max($values);
        $room = max(1.5, 0.18 * ($high - $low));
        $this->low = $low - $room;
        $this->high = $high + $room;
    }

    private function x(int $moment): float
    {
        $inner = $this->width - self::LEFT - self::RIGHT;

        return self::LEFT + ($inner * ($moment - $this->from)) / ($this->to - $this->from);
    }

    private function y(float $value): float
    {
        $inner = $this->height - self::TOP - self::FOOT;

        return self::TOP + $inner * (1 - ($value - $this->low) / ($this->high - $this->low));
    }

    public function isEmpty(): bool
    {
        return array_filter(array_column($this->fields, 'value'), is_float(...)) === [];
    }

    public function bottom(): float
    {
        return $this->height - self::FOOT;
    }

    public function left(): float
    {
        return self::LEFT;
    }

    public function right(): float
    {
        return $this->width - self::RIGHT;
    }

    /** @return list<array{y: float, text: string}> */
    public function levels(): array
    {
        $kind = Work::figureOf($this->control)?->quantity();
        if ($kind === null) {
            return [];
        }
        $unit = $this->units->of($kind);
        [$low, $high] = [$unit->fromSi($this->low), $unit->fromSi($this->high)];
        $step = self::round(($high - $low) / self::LEVELS, self::STEPS);
        $levels = [];
        for ($value = $step * ceil($low / $step); $value <= $high; $value += $step) {
            $levels[] = ['y' => $this->y($unit->toSi($value)), 'text' => Format::number($value, 1)];
        }

        return $levels;
    }

    /**
     * The first round number that is not below one; beyond them all as many of the last as are needed.
     *
     * @param  non-empty-list<int|float>  $rounds
     */
    private static function round(float $least, array $rounds): float
    {
        foreach ($rounds as $round) {
            if ($round >= $least) {
                return $round;
            }
        }
        $last = $rounds[count($rounds) - 1];

        return $last * ceil($least / $last);
    }

    /** @return list<array{x: float, text: string}> */
    public function hours(): array
    {
        $hours = [];
        $count = $this->width > 600.0 ? 6 : 4;
        $step = 60 * (int) self::round(($this->to - $this->from) / 60 / $count, self::MINUTES);
        for ($moment = $step * (int) ceil($this->from / $step); $moment < $this->to; $moment += $step) {
            $hours[] = ['x' => $this->x($moment), 'text' => date('H:i', $moment)];
        }

        return $hours;
    }

    /** @return ?array{y: float, height: float, text: string} the wanted band */
    public function wanted(): ?array
    {
        $kind = Work::figureOf($this->control)?->quantity();
        if ($this->band === null || $kind === null) {
            return null;
        }
        $top = $this->y($this->band->high);

        return [
            'y' => $top,
            'height' => $this->y($this->band->low) - $top,
            'text' => 'wanted '.$this->units->span($this->band->low, $this->band->high, $kind).' '.
                $this->units->symbol($kind),
        ];
    }

    /** @return list<array{x: float, text: string}> moves */
    public function notches(): array
    {
        $notches = [];
        $next = $this->right() + self::LETTER;
        foreach (array_reverse($this->fields) as ['account' => $account, 'at' => $at]) {
            $move = $account->chapter->began?->content;
            if ($move === null) {
                continue;
            }
            $x = $this->x($at);
            $text = $this->moved($move);
            // What does not fit before the next one stands in the table only.
            $fits = $x + self::LETTER * (2 + mb_strlen($text)) < $next;
            $notches[] = ['x' => $x, 'text' => $fits ? $text : ''];
            $next = $x;
        }

        return array_reverse($notches);
    }

    private function moved(Content $move): string
    {
        $control = Control::from($move->key);

        return $control->row()->field === null ? $control->label() : PlantMoved::amount($move, $this->units);
    }

    /** @return list<array{x: float, width: float}> waiting after moves */
    public function waits(): array
    {
        $waits = [];
        foreach ($this->fields as ['account' => $account, 'at' => $at]) {
            $move = $account->chapter->began;
            $wait = $move === null ? 0.0 : $this->work->settling->time($move);
            if ($wait > 0.0) {
                $x = $this->x($at);
                $waits[] = ['x' => $x, 'width' => $this->x($at + (int) $wait) - $x];
            }
        }

        return $waits;
    }

    /** @return list<array{x: float, y: float, text: string, early: bool}> the figure of each chapter */
    public function dots(): array
    {
        $kind = Work::figureOf($this->control)?->quantity();
        $dots = [];
        foreach ($this->fields as ['account' => $account, 'value' => $value]) {
            $found = $account->chapter->found;
            if ($value === null || $kind === null || $found === []) {
                continue;
            }
            $early = $this->work->figure($account->chapter, $this->control, $this->subject) === null;
            $dots[] = [
                'x' => $this->x(end($found)->takenAt->getTimestamp()),
                'y' => $this->y($value),
                'text' => $this->units->number($value, $kind),
                'early' => $early,
            ];
        }

        return $dots;
    }

    /** @return ?array{x: float, y: float, half: float, text: string} what the last move is foretold to do */
    public function foretold(): ?array
    {
        $pending = $this->pending();
        $kind = Work::figureOf($this->control)?->quantity();
        if ($pending === null || $kind === null) {
            return null;
        }
        [$at, $one] = $pending;
        $y = $this->y($one->after());

        return [
            'x' => $this->x($at),
            'y' => $y,
            'half' => abs($this->y($one->after() + $one->deviation) - $y),
            'text' => $this->units->number($one->after(), $kind),
        ];
    }

    /** @return ?array{int, Foretold} when and what, where the last move was not read again */
    private function pending(): ?array
    {
        $account = $this->work->present();
        $move = $account->chapter->began;
        $figure = Work::figureOf($this->control);
        $one = $figure === null ? null : $account->forecast?->of($figure);

        return $move === null || $one === null || $account->outcome !== Outcome::NotRead
            ? null
            : [$move->takenAt->getTimestamp() + (int) $this->work->settling->time($move), $one];
    }

    /** @return list<array{string, string, string}> for readers: what began a chapter, when, and the figure in it */
    public function rows(): array
    {
        $kind = Work::figureOf($this->control)?->quantity();
        $rows = [];
        foreach ($this->fields as ['account' => $account, 'at' => $at, 'value' => $value]) {
            $move = $account->chapter->began?->content;
            $rows[] = [
                $move === null ? 'As found' : (new PlantMoved())->line($move, $this->units),
                date('H:i', $at),
                $value === null || $kind === null ? 'not read' : $this->units->text($value, $kind),
            ];
        }

        return $rows;
    }
}
