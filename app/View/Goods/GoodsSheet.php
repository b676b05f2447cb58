<?php

namespace App\View\Goods;

use App\Models\Visit;
use App\Picture\GoodsPicture;
use App\Records\JudgedVisit;
use Metrum\Installation\LoadKind;
use Metrum\Knowledge\Goods;
use Metrum\Knowledge\GoodsEvent;
use Metrum\Language\Sentence;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\GoodsTold;
use Metrum\Log\Kinds\TimeSaid;
use Metrum\Quantity\QuantityKind;
use Metrum\Quantity\Units;
use Metrum\Work\Goods\GoodsRow;
use Metrum\Work\Goods\GoodsState;

/** The goods in the box of a visit: which, their limits, for how long they were out of them, what became of them. */
final readonly class GoodsSheet
{
    public const COLUMNS = ['time', 'what', 'value', 'unit', 'by'];

    public Visit $visit;

    public GoodsState $state;

    private function __construct(private JudgedVisit $judged, private Units $units)
    {
        $this->visit = $judged->visit;
        $now = ($this->visit->closed_at ?? now())->toDateTimeImmutable();
        $this->state = GoodsState::of($judged->log, $judged->rules, $now);
    }

    /** Null where no goods are kept: an ice machine. */
    public static function of(JudgedVisit $judged, Units $units): ?self
    {
        return $judged->findings->circuit->cools(LoadKind::IceMachine) ? null : new self($judged, $units);
    }

    /** @return list<array{Goods, bool}> each kind, and whether it is kept here */
    public function choices(): array
    {
        return array_map(
            fn (Goods $one): array => [$one, in_array($one, $this->state->track->kept, true)],
            Goods::cases(),
        );
    }

    /** "Fresh meat: 2.1 to 3.5 h above 7 °C." */
    public function summary(): string
    {
        $worst = null;
        foreach ($this->state->rows as $row) {
            $isWorse = $worst === null || $row->hours->most > $worst->hours->most;
            $worst = $isWorse ? $row : $worst;
        }

        return $worst === null
            ? 'Which goods are stored here?'
            : $this->state->mark()->sign().' '.$worst->goods->label().': '.lcfirst($this->told($worst)[0] ?? '');
    }

    /** @return list<string> */
    public function told(GoodsRow $row): array
    {
        return array_map(fn (Sentence $one): string => $one->in($this->units), $row->said());
    }

    public function limit(GoodsRow $row): string
    {
        $high = $this->units->text($row->limit->high, QuantityKind::Temperature);

        return $row->goods->canFreeze()
            ? $this->units->number($row->limit->low, QuantityKind::Temperature)." to $high"
            : "up to $high";
    }

    /** As it was typed; empty where it was not. */
    public function lastGood(): string
    {
        $fact = $this->judged->log->fact(FactKind::Goods, GoodsEvent::LastGood->value);

        return $fact?->content->text(TimeSaid::AT) ?? '';
    }

    /** From what the hours are counted. */
    public function basis(): string
    {
        return match (true) {
            $this->state->track->points === [] => 'No temperature read yet.',
            $this->state->track->isProduct => 'Counted from product temperatures.',
            default => 'Counted from box air: goods warm and cool later. Measure between packages.',
        };
    }

    /** @return list<GoodsEvent> what may be entered of them, besides when they were good */
    public static function events(): array
    {
        return array_values(array_filter(
            GoodsEvent::cases(),
            static fn (GoodsEvent $one): bool => $one !== GoodsEvent::LastGood,
        ));
    }

    /** @return list<string> what became of them, with its time */
    public function happened(): array
    {
        $happened = array_filter(
            $this->judged->log->standing(FactKind::Goods),
            static fn (Fact $one): bool => $one->content->text(GoodsTold::WHO) !== '',
        );

        return array_values(array_map(
            fn (Fact $one): string => $one->takenAt->format('j M H:i').' '.$one->rule()->line($one, $this->units),
            $happened,
        ));
    }

    public function picture(): ?GoodsPicture
    {
        return GoodsPicture::of($this->state, $this->units);
    }

    /** @return list<array<string, string>> all of it in order of time, for whoever decides */
    public function table(): array
    {
        $unit = $this->units->symbol(QuantityKind::Temperature);
        $what = $this->state->track->isProduct ? 'product temperature' : 'box air';
        $rows = [];
        foreach ($this->state->track->points as [$at, $kelvin]) {
            $number = $this->units->number($kelvin, QuantityKind::Temperature);
            $rows[] = self::line($at, $what, $number, $unit, '');
        }
        foreach ($this->judged->log->standing(FactKind::Goods) as $fact) {
            $line = $fact->rule()->line($fact, $this->units);
            $rows[] = self::line((float) $fact->takenAt->getTimestamp(), $line, '', '', $fact->by);
        }
        usort($rows, static fn (array $a, array $b): int => $a['time'] <=> $b['time']);
        foreach ($this->state->rows as $row) {
            $said = implode(' ', $this->told($row));
            $rows[] = ['time' => '', 'what' => $row->goods->label(), 'value' => $said, 'unit' => '', 'by' => ''];
        }

        return $rows;
    }

    /** @return array{time: string, what: string, value: string, unit: string, by: string} */
    private static function line(float $at, string $what, string $value, string $unit, string $by): array
    {
        return [
            'time' => date('Y-m-d H:i', (int) $at),
            'what' => $what,
            'value' => $value,
            'unit' => $unit,
            'by' => $by,
        ];
    }
}
