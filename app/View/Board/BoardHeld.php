<?php

namespace App\View\Board;

use App\View\Explain;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Diagnosis\Rack\RackCheck;
use Metrum\Diagnosis\Rack\RackChecks;
use Metrum\Diagnosis\Rack\RackVerdict;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Mark;
use Metrum\Findings\RackFindings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Units;

/** What is held of what all circuits of a plant share, why, and what to check next. */
final readonly class BoardHeld
{
    /** Probability from which one fault is named. */
    private const LEADS = 0.5;

    private const CHECKS = 3;

    private const CAUTIONS = 3;

    public function __construct(
        private RackFindings $found,
        private ?RackVerdict $verdict,
        private BoardSentences $said,
        private Units $units,
    ) {
    }

    /** Whether nothing at all was entered yet. */
    public function isBlank(): bool
    {
        return $this->found->isEmpty();
    }

    /** @return array<string, float> what is held of what all circuits share, highest first */
    public function ranking(): array
    {
        return $this->verdict === null || $this->isBlank() ? [] : $this->verdict->plantRanking();
    }

    /** Whether one fault of the plant leads clearly enough to be named. */
    public function leads(): bool
    {
        return (array_values($this->ranking())[0] ?? 0.0) >= self::LEADS;
    }

    /** ● act, ◐ look, ○ fine, by what stands first. */
    public function mark(): Mark
    {
        $ranking = $this->ranking();

        return $ranking === []
            ? Mark::Look
            : Verdict::markOf(RackVerdict::leading($ranking), Sureness::of((float) max($ranking)));
    }

    /** "Low refrigerant charge" where it is named. */
    public function lead(): string
    {
        return $this->leads() ? $this->suspects()[0][0] : 'No clear cause yet';
    }

    /** @return list<array{string, float}> name and probability of the first three */
    public function suspects(): array
    {
        $suspects = [];
        foreach (array_slice($this->ranking(), 0, 3) as $fault => $chance) {
            $suspects[] = [$this->named(Fault::from($fault)), $chance];
        }

        return $suspects;
    }

    /** With the suction group of which it is likeliest, where there are several. */
    private function named(Fault $fault): string
    {
        $group = $this->verdict?->groupOf($fault);

        return self::nameOf($fault).($group === null ? '' : ', '.$group->label());
    }

    /** What it is called where it is about what all circuits share. */
    public static function nameOf(Fault $fault): string
    {
        return $fault === Fault::NoFault ? 'Shared system: no fault' : $fault->label();
    }

    /** @return list<array{string, float}> name and probability of what stands behind what is named */
    public function others(): array
    {
        return array_slice($this->suspects(), $this->leads() ? 1 : 0);
    }

    /** @return array{?RackCheck, list<RackCheck>} the next check, null where there is none; and what comes after it */
    public function checks(): array
    {
        $checks = $this->verdict === null ? [] : (new RackChecks($this->verdict))->ranked(self::CHECKS);

        return [$checks[0] ?? null, array_slice($checks, 1)];
    }

    public function placeOf(RackCheck $check): string
    {
        $part = $this->found->plant->named($check->of);

        return $part === null ? 'rack' : $this->found->nameOf($part);
    }

    /** @return list<string> */
    public function cautions(): array
    {
        $closed = $this->said->closed();
        $leading = $this->ranking() === [] ? Fault::NoFault : RackVerdict::leading($this->ranking());
        $words = [
            ...$closed === [] ? [] : Cautions::words(['trapped_liquid', 'put_back']),
            ...Cautions::words(FaultCatalogue::entry($leading)->cautions),
            ...Cautions::ofRefrigerant($this->found->plant->highSide->refrigerant),
        ];

        return array_slice(array_values(array_unique($words)), 0, self::CAUTIONS);
    }

    /** @return list<array{side: string, said: string}> what speaks for and against what leads */
    public function evidence(): array
    {
        if ($this->verdict === null || $this->ranking() === []) {
            return [];
        }

        return (new BoardEvidence($this->verdict->examined, $this->units))->of(
            $this->verdict->plant,
            RackVerdict::leading($this->ranking()),
        );
    }

    /** @return list<array{answer: string, leads: string}> what each answer of a check would leave */
    public function outcomes(RackCheck $check): array
    {
        $outcomes = [];
        foreach ($check->outcomes as $word => $ranking) {
            $leading = RackVerdict::leading($ranking);
            $outcomes[] = [
                'answer' => Word::from($word)->label(),
                'leads' => Explain::within($leading->label()).', '.Explain::percent($ranking[$leading->value]),
            ];
        }

        return array_slice($outcomes, 0, 4);
    }
}
