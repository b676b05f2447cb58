<?php

namespace App\View;

use App\Picture\Strip;
use App\Records\JudgedVisit;
use Metrum\Card\Card;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Gate;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\MoveGroup;
use Metrum\Knowledge\Station;
use Metrum\Language\Sentence;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Quantity\Units;
use Metrum\Work\Desk\NextStep;
use Metrum\Work\Desk\OpenMove;
use Metrum\Work\Desk\Story;
use Metrum\Work\FigureForecast;

/** The station where things are put right: the strip, one open move, and what came of the last one. */
final class WorkPage
{
    /** Eighths of a turn that can be chosen. */
    private const EIGHTHS = [1, 2, 4];

    private const MOST_EIGHTHS = 16;

    public readonly OpenMove $move;

    public readonly Control $control;

    public readonly PartId $part;

    /** SI, positive = in; null where nothing is turned. */
    public readonly ?float $value;

    /** What came of what was moved, in words. */
    public readonly Story $story;

    /**
     * @param  ?Control  $chosen  card; null: the one moved last, else the one that the verdict asks for
     * @param  ?float  $eighths  of a turn, positive = in; null: as proposed
     */
    private function __construct(
        private readonly JudgedVisit $judged,
        private readonly Units $units,
        ?Control $chosen,
        ?float $eighths,
        PartId $part,
    ) {
        $this->story = new Story($judged->assessment);
        $this->move = $judged->desk->move($chosen, $eighths === null ? null : $eighths / 8, $part);
        $this->control = $this->move->control;
        $this->part = $this->move->part;
        $this->value = $this->move->value;
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

    /** @return list<array{words: string, link: string, isOn: bool}> out and in, as far as now */
    public function ways(): array
    {
        $row = $this->control->row();
        $far = round(abs(8 * (float) $this->value));

        return [
            ['words' => $row->out, 'link' => $this->link(-$far), 'isOn' => $this->value < 0.0],
            ['words' => $row->in, 'link' => $this->link($far), 'isOn' => $this->value > 0.0],
        ];
    }

    /** @return list<array{words: string, link: string, isOn: bool}> how far, the same way as now */
    public function amounts(): array
    {
        $way = $this->value < 0.0 ? -1 : 1;
        $far = abs(8 * (float) $this->value);

        return array_map(
            fn (int $eighths): array => [
                'words' => PlantMoved::turns($eighths / 8),
                'link' => $this->link($way * $eighths),
                'isOn' => abs($far - $eighths) < 0.01,
            ],
            self::EIGHTHS,
        );
    }

    /** Where this card is shown with another way or another amount. */
    private function link(float $eighths): string
    {
        return $this->linkTo($this->part, ['eighths' => (int) $eighths]);
    }

    /**
     * Where the same is done at another part.
     *
     * @param  array<string, int>  $besides
     */
    public function linkTo(PartId $part, array $besides = []): string
    {
        return route('visits.show', [
            $this->judged->visit,
            Station::PutRight->value,
            'card' => $this->control->value,
            ...PartAddress::of($part),
            ...$besides,
        ]);
    }

    public function isTurned(): bool
    {
        return $this->move->isTurned();
    }

    /** The card of work that the leading suspect asks for; null where none is. */
    public function remedyCard(): ?Card
    {
        return $this->judged->desk->remedyCard();
    }

    /**
     * What is done about the leading suspect where nothing is turned or worked step by step.
     *
     * @return list<string|Sentence>
     */
    public function instead(): array
    {
        $verdict = $this->judged->verdict;
        $check = $verdict->nextCheck();

        return match (true) {
            $verdict->blank => ['Nothing found yet, so nothing to adjust. Start with the complaint and with what you '.
                'see at the box.'],
            $verdict->leads() => $verdict->remedies($verdict->first()),
            $check !== null => ['No clear cause yet. Check first: '.lcfirst($check->title()).'.'],
            default => ['No clear cause yet: see the tests.'],
        };
    }

    /** @return array<string, list<Control>> what else can be moved at this plant, by what is done to it */
    public function others(): array
    {
        $groups = [];
        foreach ($this->judged->desk->controls() as $control) {
            $groups[$control->row()->group->label()] ??= [];
            if (! $this->move->isOpen || $control !== $this->control) {
                $groups[$control->row()->group->label()][] = $control;
            }
        }

        return $groups;
    }

    /** What the button says that logs it. */
    public function logWords(): string
    {
        $row = $this->control->row();

        return $row->group === MoveGroup::Set ? 'Log adjustment' : 'Log as '.$row->done;
    }

    /** "now ½ out from as found"; empty where it stands as found. */
    public function position(): string
    {
        $turned = $this->move->turned();

        return $turned === null ? '' : 'now '.$this->turns($turned).' from as found';
    }

    /** The move that undoes all of its moves, SI; null where it stands as found. */
    public function allTheWayBack(): ?float
    {
        $turned = $this->move->turned();

        return $turned === null ? null : -$turned;
    }

    /** "¼ out" */
    public function turns(float $turns): string
    {
        return PlantMoved::turned($turns)->in($this->units);
    }

    /** As they are typed: "0.25 out". */
    public function typedTurns(float $turns): string
    {
        return sprintf('%.4g %s', abs($turns), $turns < 0.0 ? 'out' : 'in');
    }

    /** @return list<array{string, string, string, string}> figure, before, after, deviation with its unit */
    public function foretold(): array
    {
        if (! $this->move->isToldHowFar()) {
            return [];
        }

        return array_map(fn (FigureForecast $one): array => [
            $one->figure->label(),
            $this->units->number($one->before, $one->figure->quantity()),
            $this->units->text($one->after(), $one->figure->quantity()),
            '± '.$this->units->text($one->deviation, $one->ofChange()),
        ], $this->move->forecast()->figures);
    }

    /** What this control did so far; null where it was not moved and read. */
    public function response(): ?Sentence
    {
        return $this->story->response($this->control, $this->part);
    }

    /** What a turn of the valve gains in coil, beside what it risks (V-06); null for anything else. */
    public function coilUse(): ?Sentence
    {
        $main = $this->control === Control::ValveTurn ? $this->move->forecast()->main() : null;

        return $main === null ? null : $this->story->coilUse($main, (float) $this->value, $this->part);
    }

    /** @return list<Sentence> what is to be thought of while it is turned */
    public function warnings(): array
    {
        return $this->story->warnings($this->control, $this->part, $this->move->band());
    }

    /** @return list<string> cautions where the hand goes */
    public function cautions(): array
    {
        return Cautions::words($this->control->row()->cautions);
    }

    /** What no reason passes, in words; empty where nothing does. */
    public function refusal(): string
    {
        return Gate::why($this->move->firm())->in($this->units);
    }

    /** What the next move would be, in one sentence; empty where none is proposed. */
    public function proposal(): string
    {
        return match ($this->move->step()) {
            NextStep::Move => 'Suggested next: '.$this->turns($this->move->next()[0] ?? 0.0).'.',
            NextStep::Leave => 'Within target: leave it.',
            NextStep::Stop => 'Two adjustments had no effect: stop turning.',
            NextStep::Unknown => '',
        };
    }

    public function strip(float $width): ?Strip
    {
        return $this->move->figure() === null
            ? null
            : new Strip(
                $this->judged->assessment,
                $this->control,
                $this->part,
                $this->move->band(),
                $this->units,
                $width,
            );
    }
}
