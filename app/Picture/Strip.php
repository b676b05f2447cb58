<?php

namespace App\Picture;

use Metrum\Findings\Chapter;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Band;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\MoveOutcome;
use Metrum\Log\Content;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Units;
use Metrum\Work\Account;
use Metrum\Work\Assessment;
use Metrum\Work\FigureForecast;

/**
 * The work over time: one figure from chapter to chapter, moves as notches, waiting hatched, the wanted band behind,
 * and what the last move is foretold to do.
 */
final class Strip
{
    /** Width of a letter. */
    private const LETTER = 6.6;

    /** Seconds before the first and behind the last thing drawn. */
    private const BEFORE = 240;

    private const BEHIND = 600;

    private const LEAST_SPAN = 1800;

    public readonly float $height;

    /** @var list<array{account: Account, at: int, value: ?float}> */
    private array $fields = [];

    public readonly StripScale $scale;

    public function __construct(
        private readonly Assessment $assessment,
        private readonly Control $control,
        private readonly PartId $part,
        private readonly ?Band $band,
        private readonly Units $units,
        public readonly float $width,
    ) {
        $this->height = $width > 600.0 ? 290.0 : 230.0;
        foreach ($assessment->accounts() as $account) {
            $this->fields[] = [
                'account' => $account,
                'at' => self::begins($account->chapter),
                'value' => $this->value($account->chapter),
            ];
        }
        $this->scale = new StripScale($this->width, $this->height, $this->span(), $this->reach());
    }

    private static function begins(Chapter $chapter): int
    {
        $first = $chapter->began ?? ($chapter->found[0] ?? null);

        return $first?->takenAt->getTimestamp() ?? 0;
    }

    /** The figure as it was read last in a chapter, early or not, SI. */
    private function value(Chapter $chapter): ?float
    {
        $figure = Assessment::figureOf($this->control);

        return $figure === null
            ? null
            : $this->assessment->figures($chapter, $this->part)->value($figure);
    }

    /** @return array{int, int} first and last moment */
    private function span(): array
    {
        $moments = [];
        foreach ($this->fields as ['account' => $account, 'at' => $at]) {
            $moments[] = $at;
            $found = $account->chapter->found;
            $moments[] = $found === [] ? $at : end($found)->takenAt->getTimestamp();
            if ($account->chapter->began !== null) {
                $moments[] = $at + (int) $this->assessment->settling->time($account->chapter->began);
            }
        }
        $moments = array_filter($moments);
        $from = ($moments === [] ? 0 : min($moments)) - self::BEFORE;
        $to = ($moments === [] ? 0 : max($moments)) + self::BEHIND;

        return [$from, max($to, $from + self::LEAST_SPAN)];
    }

    /** @return array{float, float} lowest and highest value, SI */
    private function reach(): array
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

        return [$low - $room, $high + $room];
    }

    public function isEmpty(): bool
    {
        return array_filter(array_column($this->fields, 'value'), is_float(...)) === [];
    }

    /** @return list<array{y: float, text: string}> */
    public function levels(): array
    {
        $kind = Assessment::figureOf($this->control)?->quantity();

        return $kind === null ? [] : $this->scale->levels($this->units->of($kind));
    }

    /** @return ?array{y: float, height: float, bottom: float, text: string} the wanted band */
    public function wanted(): ?array
    {
        $kind = Assessment::figureOf($this->control)?->quantity();
        if ($this->band === null || $kind === null) {
            return null;
        }
        $top = $this->scale->y($this->band->high);
        $bottom = $this->scale->y($this->band->low);

        return [
            'y' => $top,
            'height' => $bottom - $top,
            'bottom' => $bottom,
            'text' => 'target '.$this->units->span($this->band->low, $this->band->high, $kind).' '.
                $this->units->symbol($kind),
        ];
    }

    /** @return list<array{x: float, text: string}> moves */
    public function notches(): array
    {
        $notches = [];
        $next = $this->scale->right() + self::LETTER;
        foreach (array_reverse($this->fields) as ['account' => $account, 'at' => $at]) {
            $move = $account->chapter->began?->content;
            if ($move === null) {
                continue;
            }
            $x = $this->scale->x($at);
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

        return $control->row()->field === null ? $control->label() : PlantMoved::amount($move)->in($this->units);
    }

    /** @return list<array{x: float, width: float}> waiting after moves */
    public function waits(): array
    {
        $waits = [];
        foreach ($this->fields as ['account' => $account, 'at' => $at]) {
            $move = $account->chapter->began;
            $wait = $move === null ? 0.0 : $this->assessment->settling->time($move);
            if ($wait > 0.0) {
                $x = $this->scale->x($at);
                $waits[] = ['x' => $x, 'width' => $this->scale->x($at + (int) $wait) - $x];
            }
        }

        return $waits;
    }

    /** Where the middle of a figure stands above its dot: beside the line of a move, never on it. */
    private function beside(float $x, string $text): float
    {
        $half = self::LETTER * mb_strlen($text) / 2 + 6;
        foreach ($this->notches() as ['x' => $line]) {
            if (abs($line - $x) < $half) {
                return max($this->scale->left() + $half, $line >= $x ? $line - $half : $line + $half);
            }
        }

        return $x;
    }

    /** @return list<array{x: float, y: float, text: string, textX: float, early: bool}> the figure of each chapter */
    public function dots(): array
    {
        $kind = Assessment::figureOf($this->control)?->quantity();
        $dots = [];
        foreach ($this->fields as ['account' => $account, 'value' => $value]) {
            $found = $account->chapter->found;
            if ($value === null || $kind === null || $found === []) {
                continue;
            }
            $early = $this->assessment->figure($account->chapter, $this->control, $this->part) === null;
            $x = $this->scale->x(end($found)->takenAt->getTimestamp());
            $text = $this->units->number($value, $kind);
            $dots[] = [
                'x' => $x,
                'y' => $this->scale->y($value),
                'text' => $text,
                'textX' => $this->beside($x, $text),
                'early' => $early,
            ];
        }

        return $dots;
    }

    /** @return list<array{x: float, y: float, text: string, textX: float, early: bool}> the last of them, if any */
    public function lastDots(): array
    {
        return array_slice($this->dots(), -1);
    }

    /**
     * What the last move is foretold to do.
     *
     * @return ?array{x: float, y: float, top: float, bottom: float, text: string}
     */
    public function foretold(): ?array
    {
        $pending = $this->pending();
        $kind = Assessment::figureOf($this->control)?->quantity();
        if ($pending === null || $kind === null) {
            return null;
        }
        [$at, $one] = $pending;
        $after = $one->after();

        return [
            'x' => $this->scale->x($at),
            'y' => $this->scale->y($after),
            'top' => $this->scale->y($after + $one->deviation),
            'bottom' => $this->scale->y($after - $one->deviation),
            'text' => $this->units->number($one->after(), $kind),
        ];
    }

    /** @return ?array{int, FigureForecast} when and what, where the last move was not read again */
    private function pending(): ?array
    {
        $account = $this->assessment->present();
        $move = $account->chapter->began;
        $figure = Assessment::figureOf($this->control);
        $one = $figure === null ? null : $account->forecast?->of($figure);

        return $move === null || $one === null || $account->outcome !== MoveOutcome::NotRead
            ? null
            : [$move->takenAt->getTimestamp() + (int) $this->assessment->settling->time($move), $one];
    }

    /** @return list<array{string, string, string}> for readers: what began a chapter, when, and the figure in it */
    public function rows(): array
    {
        $kind = Assessment::figureOf($this->control)?->quantity();
        $rows = [];
        foreach ($this->fields as ['account' => $account, 'at' => $at, 'value' => $value]) {
            $move = $account->chapter->began;
            $rows[] = [
                $move === null ? 'As found' : (new PlantMoved())->line($move, $this->units),
                date('H:i', $at),
                $value === null || $kind === null ? 'not re-read' : $this->units->text($value, $kind),
            ];
        }

        return $rows;
    }
}
