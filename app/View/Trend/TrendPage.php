<?php

namespace App\View\Trend;

use App\Models\TrendRecord;
use App\Models\User;
use App\Models\Visit;
use App\Picture\TrendPicture;
use App\View\Explain;
use Illuminate\Support\Str;
use Metrum\Findings\Slope;
use Metrum\Findings\Trend;
use Metrum\Findings\TrendMoves;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;

/** What a controller wrote down around a visit, with what was done on it: how it went before and after each. */
final readonly class TrendPage
{
    public Units $units;

    public bool $mayEnter;

    private Explain $explain;

    public function __construct(public Visit $visit, User $user)
    {
        $this->units = $user->units();
        $this->explain = new Explain($this->units);
        $this->mayEnter = $user->can('enter', $visit);
    }

    /** @return list<TrendLane> */
    public function lanes(): array
    {
        $lanes = [];
        foreach (TrendRecord::ofVisit($this->visit)->get() as $record) {
            $trend = $record->trend();
            $moves = TrendMoves::of($trend, $this->visit->log());
            $lanes[] = new TrendLane(
                $record,
                $this->named($trend),
                new TrendPicture($trend, $moves, $this->units),
                $this->told($trend, $moves),
                date('Y-m-d\TH:i', (int) $trend->ends()),
            );
        }

        return $lanes;
    }

    private function named(Trend $trend): string
    {
        $circuit = $trend->part->ofCircuit();
        $group = $this->visit->plantAsOpened()->suctionGroup($trend->part);
        $of = match (true) {
            $group !== null => $group->label().': ',
            $circuit === null, ! $this->visit->isOfRack() => '',
            default => $this->visit->nameOfCircuit($circuit).': ',
        };

        return $of.($of === '' ? $trend->reading->label() : Explain::within($trend->reading->label()));
    }

    /** @return list<array{at: string, done: string, before: string, after: string, says: string}> */
    private function told(Trend $trend, TrendMoves $moves): array
    {
        $kind = $trend->reading->quantity();

        return array_map(fn (array $one): array => [
            'at' => $one['fact']->seenAt()->format('H:i'),
            'done' => $this->explain->fact($one['fact']),
            'before' => $this->slope($one['before'], $kind),
            'after' => $this->slope($one['after'], $kind),
            'says' => self::says($one['before'], $one['after']),
        ], $moves->all);
    }

    /** "−1.2 K/h (± 0.3)" */
    private function slope(?Slope $slope, QuantityKind $kind): string
    {
        if ($slope === null) {
            return 'too few values';
        }
        $change = match ($kind) {
            QuantityKind::Temperature => QuantityKind::Difference,
            QuantityKind::GaugePressure => QuantityKind::PressureDifference,
            default => $kind,
        };
        $hour = $this->units->text(3600 * abs($slope->perSecond), $change);
        $deviation = $this->units->text(3600 * $slope->deviation, $change);
        $way = match (true) {
            ! $slope->isSure() => 'level',
            $slope->perSecond > 0.0 => "rises $hour per hour",
            default => "falls $hour per hour",
        };

        return "$way (± $deviation)";
    }

    private static function says(?Slope $before, ?Slope $after): string
    {
        return match (true) {
            $before === null || $after === null => '',
            ! $after->differs($before) => 'No change beyond the scatter.',
            $after->perSecond > $before->perSecond => 'Turned upward.',
            default => 'Turned downward.',
        };
    }

    public function ulid(): string
    {
        return (string) Str::ulid();
    }
}
