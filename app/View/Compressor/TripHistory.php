<?php

namespace App\View\Compressor;

use App\Models\Visit;
use Metrum\Findings\DerivedFigure;
use Metrum\Findings\Figures;
use Metrum\Findings\Trips;
use Metrum\Knowledge\Control;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Log;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What had stopped a compressor at each visit, with how often it tripped between and what superheat it had then. */
final readonly class TripHistory
{
    private const VISITS = 12;

    /** Step of the procedure in which trips are counted. */
    private const COUNT = 'oil_trip.trips';

    public function __construct(private Visit $visit, private Units $units)
    {
    }

    /** @return list<array{when: string, what: string, count: string, superheat: string, done: string}> latest first */
    public function rows(): array
    {
        $visits = Visit::query()
            ->where('circuit_id', $this->visit->circuit_id)
            ->where('opened_at', '<=', $this->visit->opened_at)
            ->latest('opened_at')
            ->limit(self::VISITS)
            ->get();
        $rows = [];
        foreach ($visits as $visit) {
            $row = $this->row($visit->setRelation('circuit', $this->visit->circuit));
            $rows = $row === null ? $rows : [...$rows, $row];
        }

        return $rows;
    }

    /** @return ?array{when: string, what: string, count: string, superheat: string, done: string} null: no trip */
    private function row(Visit $visit): ?array
    {
        $log = $visit->log();
        $words = array_unique(
            array_map(static fn (array $one): string => lcfirst($one[0]->label()), Trips::of($log)->all),
        );
        $count = self::counted($log);
        if ($words === [] && $count === null) {
            return null;
        }
        $asFound = $visit->chapters()->all[0]->findings;
        $superheat = Figures::of($asFound, $visit->rules())->value(DerivedFigure::CompressorSuperheat);

        return [
            'when' => $visit->opened_at->format('j M Y'),
            'what' => match (true) {
                $words !== [] => implode(', ', $words),
                $count > 0 => 'reset before the visit',
                default => 'none',
            },
            'count' => $count === null ? '' : (string) $count,
            'superheat' => $superheat === null ? '' : $this->units->text($superheat, QuantityKind::Difference),
            'done' => implode(', ', self::moved($log)),
        ];
    }

    private static function counted(Log $log): ?int
    {
        foreach ($log->standing(FactKind::Card) as $fact) {
            if ($fact->content->key === self::COUNT && $fact->content->value !== null) {
                return (int) round($fact->content->value);
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function moved(Log $log): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (Fact $fact): string => mb_strtolower(
                        Control::from($fact->content->key)->label(),
                    ),
                    $log->history(FactKind::Move),
                ),
            ),
        );
    }
}
