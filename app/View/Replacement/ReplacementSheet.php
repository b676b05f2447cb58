<?php

namespace App\View\Replacement;

use App\Models\Circuit;
use App\Models\HouseRuleChoice;
use App\Models\User;
use App\Models\Workshop;
use App\Picture\PaybackPicture;
use App\Records\FigureRecord;
use App\Records\Judge;
use App\View\Owner\Money;
use Metrum\Quantity\Field;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Replacement\PlantStanding;

/**
 * Whether a system be repaired or replaced: what speaks for each, from its record, its last visit and its twin, and
 * what replacement costs and saves. It names no winner.
 */
final readonly class ReplacementSheet
{
    public Units $units;

    public ReplacementTerms $terms;

    public ReplacementCosts $costs;

    /** @var list<StandingRow> */
    public array $rows;

    public ?PaybackPicture $picture;

    /** @var list<string> what the prices come to */
    public array $paidBack;

    private Workshop $workshop;

    private Money $money;

    public function __construct(public Circuit $circuit, User $user, Judge $judge)
    {
        $this->units = $user->units();
        $this->terms = ReplacementTerms::of($circuit->plant);
        $this->workshop = Workshop::current();
        $this->money = new Money($this->workshop, 'en');
        $record = new SystemRecord($circuit, $judge, $this->terms);
        $this->costs = new ReplacementCosts($circuit, $record, $this->terms, $this->workshop);
        $this->rows = $this->standing($record);
        $this->picture = $this->drawn();
        $this->paidBack = $this->sentences();
    }

    /** @return list<StandingRow> */
    private function standing(SystemRecord $record): array
    {
        $standing = new PlantStanding(HouseRuleChoice::inForce());
        $words = new StandingWords($this->circuit, $this->units, $this->money, $this->terms);
        $figures = FigureRecord::of($this->circuit)->all();
        $gwp = $this->circuit->known()->fluid()->warmingPotential;
        $age = $this->terms->commissioned === null ? null : (float) ((int) date('Y') - $this->terms->commissioned);
        $worn = $record->worn();
        $acid = $record->foundAcid();
        $outside = $record->outside();
        $fault = $record->leading();
        $wasJudged = $record->wasJudged();
        $next = $standing->next($figures, $fault, $wasJudged);

        [$lost, $energy, $calls] = [$record->lost, $record->energy, $record->callsAYear];

        return [
            new StandingRow('Age', $words->age($age), $standing->age($age)),
            new StandingRow('Refrigerant', $words->refrigerant($gwp), $standing->refrigerant($gwp)),
            new StandingRow('Leaks', $words->leaks($lost, $gwp), $standing->leaks($lost[1] ?? null)),
            new StandingRow('Compressor', $words->compressor($worn, $acid), $standing->compressor($worn, $acid)),
            new StandingRow('Compressor envelope', $words->envelope($outside), $standing->envelope($outside)),
            new StandingRow('Coil and condenser', $words->surfaces($figures), $standing->surfaces($figures)),
            new StandingRow('Energy', $words->energy($energy, $fault), $standing->energy($energy, $fault)),
            new StandingRow('Visits for a fault', $words->calls($calls), $standing->faults($calls)),
            new StandingRow('Expected next', $words->next($figures, $fault, $wasJudged), $next),
        ];
    }

    private function drawn(): ?PaybackPicture
    {
        $repair = $this->costs->against(repaired: true);

        return $repair === null ? null : new PaybackPicture($repair, $this->money->whole(...));
    }

    /** @return list<string> */
    private function sentences(): array
    {
        $words = new PaybackWords($this->money);

        return array_values(array_filter([
            $words->of($this->costs->against(repaired: true), 'repair'),
            $words->of($this->costs->against(repaired: false), 'leaving it as it is'),
        ]));
    }

    /** What stands behind a field of the form. */
    public function unitOf(Field $field): string
    {
        return match ($field->kind) {
            QuantityKind::Count => $field->key === 'commissioned' ? '' : $this->workshop->currency,
            QuantityKind::Ratio => $this->workshop->currency,
            default => $this->units->symbol($field->kind),
        };
    }
}
