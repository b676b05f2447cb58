<?php

namespace App\View;

use App\Picture\Strip;
use App\Records\JudgedVisit;
use Metrum\Card\Card;
use Metrum\Findings\DerivedFigure;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Station;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Assessment;
use Metrum\Work\Forecast;
use Metrum\Work\MayMove;
use Metrum\Work\NextMove;
use Metrum\Work\Positions;

/** The station where things are put right: the strip, one open card, and what came of the last move. */
final class WorkPage
{
    /** Eighths of a turn that can be chosen. */
    public const EIGHTHS = [1, 2, 4];

    private const FIRST_EIGHTHS = 2;

    private const MOST_EIGHTHS = 16;

    public readonly Control $control;

    public readonly PartId $part;

    /** Whether a move stands open: one was chosen, made, or is what the leading suspect asks for. */
    public readonly bool $isOpen;

    /** SI, positive = in; null where nothing is turned. */
    public readonly ?float $value;

    /** What came of what was moved, in words. */
    public readonly WorkStory $story;

    private readonly WorkCards $cards;

    /** What must hold before it is moved. */
    public readonly MoveGates $gates;

    private readonly Positions $positions;

    private readonly NextMove $next;

    private ?Forecast $forecast = null;

    /** @var array{?array{float, Forecast}}|null */
    private ?array $proposed = null;

    /**
     * @param  ?Control  $chosen  card; null: the one moved last, else the one that the verdict asks for
     * @param  ?float  $eighths  of a turn, positive = in; null: as proposed
     */
    public function __construct(
        private readonly JudgedVisit $judged,
        private readonly Units $units,
        ?Control $chosen = null,
        ?float $eighths = null,
        ?PartId $part = null,
    ) {
        $this->part = $part ?? $judged->assessment->window->circuit;
        $this->story = new WorkStory($judged->assessment, $units);
        $this->positions = new Positions($judged->assessment->chapters);
        $this->next = new NextMove($judged->assessment);
        $this->cards = new WorkCards($judged->findings->circuit);
        $asked = $chosen ?? $this->cards->asked($judged->assessment, $judged->verdict);
        $this->isOpen = $asked !== null;
        $this->control = $asked ?? $this->cards->all()[0];
        $this->gates = new MoveGates(new MayMove($judged->assessment), $this->control, $this->part);
        $this->value = match (true) {
            $this->control === Control::Charge => $this->next->of(Control::Charge, $this->part)[0] ?? null,
            $this->isTurned() => $eighths === null ? $this->proposed() : $eighths / 8,
            default => null,
        };
    }

    /**
     * As an address says it; what makes no sense in it is left out.
     *
     * @param  array<string, mixed>  $card
     */
    public static function ofCard(JudgedVisit $judged, Units $units, array $card): self
    {
        $control = $card['card'] ?? null;
        $eighths = is_numeric($card['eighths'] ?? null) ? (float) $card['eighths'] : 0.0;

        return new self(
            $judged,
            $units,
            is_string($control) ? Control::tryFrom($control) : null,
            abs($eighths) >= 1.0 && abs($eighths) <= self::MOST_EIGHTHS ? $eighths : null,
            PartAddress::part($card, $judged->visit),
        );
    }

    /** Where this card is shown with another way or another amount. */
    public function link(float $eighths): string
    {
        return route('visits.show', [
            $this->judged->visit,
            Station::PutRight->value,
            'card' => $this->control->value,
            ...PartAddress::of($this->part),
            'eighths' => (int) $eighths,
        ]);
    }

    /** Where the same is done at another part. */
    public function linkTo(PartId $part): string
    {
        return route('visits.show', [
            $this->judged->visit,
            Station::PutRight->value,
            'card' => $this->control->value,
            ...PartAddress::of($part),
        ]);
    }

    private function proposed(): float
    {
        $move = $this->nextMove();
        if ($move !== null) {
            return $move[0];
        }
        $band = $this->next->band($this->control, $this->judged->assessment->judged()->chapter);
        $now = $this->judged->assessment->figure(
            $this->judged->assessment->judged()->chapter,
            $this->control,
            $this->part,
        );
        $isLow = $band !== null && $now !== null && $now < $band->middle();

        return ($isLow ? 1 : -1) * (self::FIRST_EIGHTHS / 8);
    }

    /** @return ?array{float, Forecast} */
    private function nextMove(): ?array
    {
        return ($this->proposed ??= [$this->next->of($this->control, $this->part)])[0];
    }

    public function isTurned(): bool
    {
        return $this->control->row()->field?->kind === QuantityKind::Turns;
    }

    /** The card of work that the leading suspect asks for; null where none is. */
    public function remedyCard(): ?Card
    {
        return $this->cards->card($this->judged->verdict);
    }

    /** @return list<string> what is done about the leading suspect where nothing is turned or worked step by step */
    public function instead(): array
    {
        $verdict = $this->judged->verdict;
        $check = $verdict->nextCheck();

        return match (true) {
            $verdict->blank => ['Nothing was found yet, so there is nothing to turn. What was complained of, and what '.
                'is seen at the box without tools, come first.'],
            $verdict->leads() => $verdict->remedies($verdict->first()),
            $check !== null => ['What it is is still open. First find out: '.lcfirst($check->title()).'.'],
            default => ['What it is is still open: see the tests.'],
        };
    }

    /** @return array<string, list<Control>> what else can be moved at this plant, by what is done to it */
    public function others(): array
    {
        $isOther = fn (Control $one): bool => ! $this->isOpen || $one !== $this->control;

        return array_map(
            static fn (array $all): array => array_values(array_filter($all, $isOther)),
            $this->cards->groups(),
        );
    }

    public function asFound(): ?string
    {
        return $this->positions->asFound($this->control, $this->part);
    }

    /** "now ½ out from there"; empty where it stands as found. */
    public function position(): string
    {
        $turned = $this->positions->now($this->control, $this->part);

        return ! $this->isTurned() || abs($turned) < 1e-6 ? '' : 'now '.$this->turns($turned).' from there';
    }

    /** The move that undoes all of its moves, SI; null where it stands as found. */
    public function allTheWayBack(): ?float
    {
        $turned = $this->positions->now($this->control, $this->part);

        return ! $this->isTurned() || abs($turned) < 1e-6 ? null : -$turned;
    }

    /** "¼ out" */
    public function turns(float $turns): string
    {
        return PlantMoved::turns($turns).($turns < 0.0 ? ' out' : ' in');
    }

    /** As it is typed: "0.25 out". */
    public function typed(): string
    {
        return $this->typedTurns((float) $this->value);
    }

    public function typedTurns(float $turns): string
    {
        return sprintf('%.4g %s', abs($turns), $turns < 0.0 ? 'out' : 'in');
    }

    public function forecast(): Forecast
    {
        return $this->forecast ??=
            $this->judged->assessment->forecast($this->control, $this->value ?? 1.0, $this->part) ??
            new Forecast([]);
    }

    /** @return list<array{string, string, string, string}> figure, before, after, deviation with its unit */
    public function foretold(): array
    {
        $isOpen = $this->control->isStep() && $this->value === null;

        return $isOpen ? [] : $this->story->foretold($this->forecast());
    }

    /** What this control did so far, in one sentence; empty where it was not moved and read. */
    public function response(): string
    {
        return $this->story->response($this->control, $this->part);
    }

    /** What a turn of the valve gains in coil, beside what it risks (V-06); empty for anything else. */
    public function coilUse(): string
    {
        $main = $this->control === Control::ValveTurn ? $this->forecast()->main() : null;

        return $main === null ? '' : $this->story->coilUse($main, (float) $this->value, $this->part);
    }

    /** @return list<string> what is to be thought of while it is turned */
    public function warnings(): array
    {
        $band = $this->next->band($this->control, $this->judged->assessment->chapters->present());

        return $this->story->warnings($this->control, $this->part, $band);
    }

    /** What the next move would be, in one sentence; empty where none is proposed. */
    public function proposal(): string
    {
        $move = $this->nextMove();
        if ($move !== null) {
            return 'Next: '.$this->turns($move[0]).'.';
        }

        return match (true) {
            $this->next->isRight($this->control, $this->part) => 'It is in the wanted band: leave it.',
            $this->next->isSilent($this->control, $this->part) => 'Two moves did nothing: turn it no further.',
            default => '',
        };
    }

    public function strip(float $width): ?Strip
    {
        if ($this->figure() === null) {
            return null;
        }

        return new Strip(
            $this->judged->assessment,
            $this->control,
            $this->part,
            $this->next->band($this->control, $this->judged->assessment->chapters->present()),
            $this->units,
            $width,
        );
    }

    /** What the strip is about. */
    public function figure(): ?DerivedFigure
    {
        return Assessment::figureOf($this->control);
    }
}
