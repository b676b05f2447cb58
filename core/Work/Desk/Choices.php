<?php

declare(strict_types=1);

namespace Metrum\Work\Desk;

use Metrum\Card\Cards;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\FaultEntry;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Verdict;
use Metrum\Knowledge\Fault;

/**
 * Ways to go on after a visit, as they may be put to an owner: what is likeliest repaired, looked at further where
 * nothing is sure, and nothing done, with what that risks. None where nothing is wrong or all was done.
 */
final readonly class Choices
{
    /** s of a repair that no procedure times, and of looking further. */
    private const USUAL = 5400.0;

    private const LOOK = 3600.0;

    public function __construct(private Desk $desk)
    {
    }

    /** @return list<ChoiceProposal> */
    public function all(): array
    {
        $verdict = $this->desk->verdict;
        $confirmed = $this->desk->assessment->judged()->evidence()->confirmed;
        $first = $confirmed[0] ?? $verdict->first()->fault;
        $isNamed = $confirmed !== [] || $verdict->leads();
        $isDone = (new Remedies($this->desk->assessment))->isDone($first);
        if ($verdict->blank || $first === Fault::NoFault || ! $isNamed || $isDone) {
            return [];
        }
        $entry = FaultCatalogue::entry($first);
        $isShortage = Verdict::isShortage($first);
        $sure = $confirmed !== [] || $verdict->sureness()->isAtLeast(Sureness::Sure);

        return array_values(array_filter([
            new ChoiceProposal('Repair now', $entry->whatWeDo, self::seconds($entry), $isShortage, ''),
            $sure ? null : new ChoiceProposal(
                'Look further first',
                'We come back and measure until the cause is certain; the repair is offered after that.',
                self::LOOK,
                false,
                $entry->forTheOwner,
            ),
            new ChoiceProposal('Nothing now', '', 0.0, false, $entry->forTheOwner),
        ]));
    }

    private static function seconds(FaultEntry $entry): float
    {
        $card = $entry->remedy->card === '' ? null : Cards::find($entry->remedy->card);

        return $card === null ? self::USUAL : max(self::USUAL / 2.0, 60.0 * $card->minutes);
    }
}
