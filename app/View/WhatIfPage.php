<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Diagnosis\Cautions;
use Metrum\Diagnosis\Gate;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Twin\TwinExpectation;
use Metrum\Twin\TwinQuestion;
use Metrum\Twin\WhatIf;

/**
 * What would change at the plant of a visit, before it is done, in words and numbers.
 *
 * @phpstan-import-type Change from Changes
 */
final readonly class WhatIfPage
{
    /** Opening from which a valve is called wide open. */
    private const WIDE_OPEN = 0.97;

    private WhatIf $whatIf;

    private function __construct(private JudgedVisit $judged, private Units $units, TwinExpectation $expectation)
    {
        $this->whatIf = new WhatIf(
            $expectation->twin,
            $expectation->around,
            $judged->findings,
            $judged->rules,
            $judged->verdict->leading(),
        );
    }

    /** Null where the plant has no twin to ask. */
    public static function of(JudgedVisit $judged, Units $units): ?self
    {
        $expectation = $judged->twin();

        return $expectation === null ? null : new self($judged, $units, $expectation);
    }

    /** @return array<string, string> word => words of what can be asked */
    public function questions(): array
    {
        $words = [];
        foreach ($this->whatIf->questions() as $question) {
            $words[$question->value] = $this->words($question);
        }

        return $words;
    }

    public function words(TwinQuestion $question): string
    {
        $amount = $this->units->text($this->whatIf->amount(), QuantityKind::Mass);

        return match ($question) {
            TwinQuestion::Mended => 'Fault repaired',
            TwinQuestion::TurnIn => '½ turn in',
            TwinQuestion::TurnOut => '½ turn out',
            TwinQuestion::More => $amount.' more',
            TwinQuestion::Less => $amount.' less',
            TwinQuestion::Hot => 'Ambient '.$this->units->text(WhatIf::HOT, QuantityKind::Temperature),
        };
    }

    public function asks(TwinQuestion $question): bool
    {
        return in_array($question, $this->whatIf->questions(), true);
    }

    /** @return list<Change> only what moves */
    public function changes(TwinQuestion $question): array
    {
        $changes = new Changes($this->judged->findings->circuit, $this->judged->rules, $this->units);

        return Changes::moving($changes->between($this->whatIf->now(), $this->whatIf->after($question)));
    }

    /** @return list<string|Sentence> what holds it back, or what is minded while it is done */
    public function cautions(TwinQuestion $question): array
    {
        $charge = $this->judged->verdict->charge;

        return match (true) {
            $question === TwinQuestion::More && ! $charge->isOpen() => [
                Sentence::of(Reason::LookBeforeAdding, why: Gate::why($charge->shut())),
            ],
            $question->isTurn() => ['One small adjustment, then wait until settled.'],
            $question === TwinQuestion::Less => Cautions::words(['recover_first', 'recovery_bottle']),
            default => [],
        };
    }

    /** Why nothing would change; empty where that is not known. */
    public function whyNothing(TwinQuestion $question): string
    {
        $wide = $this->whatIf->now()->opening > self::WIDE_OPEN;

        return $question === TwinQuestion::TurnOut && $wide ? 'The valve is already fully open.' : '';
    }

    /** What the figures stand on. */
    public function ground(): string
    {
        return $this->whatIf->fault === null
            ? "Calculated on this system's twin, healthy, at this box and ambient."
            : "Calculated on this system's twin with the leading fault at the severity the readings suggest, ".
                    'at this box and ambient.';
    }

    /** @return array<string, string> for the plant bench's address */
    public function bench(): array
    {
        $around = $this->whatIf->around;
        $fault = $this->whatIf->fault;
        $severity = max(20, 20 * (int) round(5 * $this->whatIf->severity()));

        return [
            'ambient' => $this->units->number($around->ambient, QuantityKind::Temperature),
            'box' => $this->units->number($around->box, QuantityKind::Temperature),
        ] + ($fault === null ? [] : ['fault' => $fault->value, 'severity' => (string) $severity]);
    }
}
