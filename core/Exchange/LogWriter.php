<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Installation\CircuitWriter;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Reading;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\ClockSet;
use Metrum\Log\Kinds\PlantMoved;
use Metrum\Log\Kinds\ReadingTaken;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Kinds\TimeSaid;
use Metrum\Log\Kinds\Trace;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\Log;
use Metrum\Quantity\Unit;

/** Writes the log of a visit for its file, so that a whole visit travels; what LogReader reads back is the same. */
final class LogWriter
{
    /** @return list<array<string, mixed>> in order; that the circuit was described anew stands in the file's system */
    public static function rows(Log $log, PartId $circuit): array
    {
        $rows = [];
        foreach ($log->facts as $fact) {
            if ($fact->kind !== FactKind::Circuit) {
                $rows[] = self::row($fact, $circuit);
            }
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    private static function row(Fact $fact, PartId $circuit): array
    {
        $content = $fact->content;
        $at = $fact->takenAt->format(\DateTimeInterface::ATOM);
        $row = ['id' => $fact->id, 'at' => $at, 'kind' => $fact->kind->value];
        if (! $fact->part->is($circuit)) {
            $row['part'] = $fact->part->value;
        }
        if ($fact->kind === FactKind::Undo) {
            return $row + ['of' => $content->text('of')];
        }
        $row['key'] = $content->key;
        $unit = self::unit($fact->kind, $content->key);
        if ($content->value !== null && $unit !== null) {
            $name = $fact->kind === FactKind::Clock ? 'minutes' : 'value';
            $row[$name] = CircuitWriter::number($unit->fromSi($content->value));
        } elseif ($content->word !== null) {
            $row['word'] = $content->word;
        }

        return $row + self::besides($fact->kind, $content);
    }

    /** In which a file gives the value of a fact; null where it has none. */
    private static function unit(FactKind $kind, string $key): ?Unit
    {
        return match ($kind) {
            FactKind::Reading => Reading::from($key)->fileUnit(),
            FactKind::Move => Control::from($key)->row()->field?->fileUnit(),
            FactKind::Clock => ClockSet::field()->fileUnit(),
            FactKind::Card => StepTaken::field($key)?->fileUnit(),
            FactKind::Observation,
            FactKind::Test,
            FactKind::State,
            FactKind::Complaint,
            FactKind::Confirmed,
            FactKind::RuledOut,
            FactKind::Note,
            FactKind::Touched,
            FactKind::Restored,
            FactKind::Goods,
            FactKind::Site,
            FactKind::Circuit,
            FactKind::Undo => null,
        };
    }

    /** @return array<string, mixed> what a kind keeps besides */
    private static function besides(FactKind $kind, Content $content): array
    {
        $besides = [];
        foreach (['reason', 'text', PlantMoved::AS_FOUND] as $name) {
            if ($content->text($name) !== '') {
                $besides[$name] = $content->text($name);
            }
        }
        $data = array_intersect_key(
            $content->data,
            [PlantMoved::FORECAST => true, PlantMoved::OVERRULED => true],
        );
        if ($kind === FactKind::Move && $content->key === Control::Charge->value) {
            $data += WeighedAmount::in($content)->data();
        }
        if ($kind === FactKind::Reading && ReadingTaken::with($content) !== null) {
            $data[ReadingTaken::WITH] = ReadingTaken::with($content)->value;
        }
        if ($content->text(TimeSaid::AT) !== '') {
            $data[TimeSaid::AT] = $content->text(TimeSaid::AT);
        }
        if (Trace::ago($content) > 0.0) {
            $data['ago_min'] = CircuitWriter::number(Trace::ago($content) / 60);
        }
        if ($kind === FactKind::Card && StepTaken::outcome($content) !== null) {
            $data['says'] = StepTaken::said($content);
            $keeps = [];
            foreach (StepTaken::keeps($content) as $key => $si) {
                $keeps[$key] = CircuitWriter::number(Reading::from($key)->fileUnit()->fromSi($si));
            }
            $data += $keeps === [] ? [] : ['keeps' => $keeps];
        }

        return $data === [] ? $besides : $besides + ['data' => $data];
    }
}
