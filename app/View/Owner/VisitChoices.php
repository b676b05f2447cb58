<?php

namespace App\View\Owner;

use App\Models\OwnerChoice;
use App\Models\Visit;
use App\Models\Workshop;

/** The choices of a visit, as the owner, the report and the next visitor see them. */
final readonly class VisitChoices
{
    /** Letters of text that take as much room as the heading, lines and frame of a choice. */
    private const FRAME = 180;

    public Workshop $workshop;

    /** @var list<ChoiceCard> */
    public array $cards;

    public function __construct(Visit $visit, string $locale)
    {
        $this->workshop = Workshop::current();
        $money = new Money($this->workshop, $locale);
        $this->cards = array_values(
            OwnerChoice::query()
                ->where('visit_id', $visit->id)
                ->with('decisions')
                ->orderBy('place')
                ->orderBy('id')
                ->get()
                ->map(fn (OwnerChoice $one): ChoiceCard => new ChoiceCard($one, $this->workshop, $money))
                ->all(),
        );
    }

    /** Letters that they take on paper, each choice with its heading and its frame. */
    public function letters(): int
    {
        return array_sum(array_map(
            static fn (ChoiceCard $one): int => self::FRAME + mb_strlen($one->choice->does.$one->choice->risk),
            $this->cards,
        ));
    }
}
