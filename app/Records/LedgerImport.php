<?php

namespace App\Records;

use App\Models\Circuit;
use App\Models\Cylinder;
use App\Models\FactRecord;
use App\Models\LedgerDay;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Metrum\Data\Reasons;
use Metrum\Data\Refused;
use Metrum\Exchange\VisitReader;
use Metrum\Knowledge\ChargePurpose;
use Metrum\Knowledge\Control;
use Metrum\Log\Content;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\WeighedAmount;
use Metrum\Log\Source;

/**
 * Takes movements of a ledger in: all of a file or nothing, and each movement once, however often it comes. Those of
 * one circuit and day stand on one occasion.
 */
final class LedgerImport
{
    private const HEAVIEST = 500.0;

    private const CHUNK = 500;

    private const SHOWN = 40;

    /** @var array<string, Circuit> by id, and by "site, circuit" */
    private array $circuits = [];

    /** @var array<string, Circuit> by plant and part */
    private array $ofParts = [];

    /** @var array<string, string> id by label */
    private array $cylinders = [];

    /** @var list<string> */
    private array $reasons = [];

    public function __construct(private readonly User $user)
    {
        foreach (Circuit::query()->with('site', 'plant')->get() as $circuit) {
            $this->circuits[mb_strtolower($circuit->id)] = $circuit;
            $this->circuits[mb_strtolower($circuit->site->name.', '.$circuit->name)] = $circuit;
            $this->ofParts[$circuit->plant_id.' '.$circuit->part] = $circuit;
        }
        foreach (Cylinder::query()->pluck('id', 'label')->all() as $label => $id) {
            $this->cylinders[mb_strtolower((string) $label)] = $id;
        }
    }

    /**
     * @param  array<int, array<string, mixed>>  $rows  by their line
     * @return array{int, int} how many were taken in, and how many were here already
     *
     * @throws Refused
     */
    public function take(array $rows): array
    {
        $facts = $lines = [];
        foreach ($rows as $line => $row) {
            $fact = $this->fact($line, $row);
            if ($fact === null) {
                continue;
            }
            if (isset($facts[$fact->id]) && $this->content($facts[$fact->id]) !== $this->content($fact)) {
                $this->reasons[] = "line $line, id: already on line {$lines[$fact->id]} for another movement";
            }
            $facts[$fact->id] = $fact;
            $lines[$fact->id] = $line;
        }
        if ($this->reasons !== []) {
            throw new Refused(array_slice($this->reasons, 0, self::SHOWN));
        }
        $new = DB::transaction(function () use ($facts): array {
            $new = $this->unknown(array_values($facts));
            $this->keep($new);

            return $new;
        });

        return [count($new), count($rows) - count($new)];
    }

    /**
     * Those that are not here yet: a movement is known by its id and by what it says. An id that something else has is
     * replaced.
     *
     * @param  list<Fact>  $facts
     * @return list<Fact>
     */
    private function unknown(array $facts): array
    {
        $known = [];
        foreach ((new Stock())->movements() as $one) {
            $known[self::said($one->circuit, $one->at, $one->kilograms)] = true;
        }
        $here = $this->taken(array_map(static fn (Fact $fact): string => $fact->id, $facts));
        $new = [];
        foreach ($facts as $fact) {
            $content = $this->content($fact);
            $other = $here[mb_strtolower($fact->id)] ?? null;
            // One that was taken back is here, too.
            if (! isset($known[$content]) && $other !== $content) {
                $new[] = $other === null ? $fact : $fact->withId(WordedId::of($content, $fact->id));
            }
        }

        return $new;
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, string> what facts say that have them, whatever their letter case
     */
    private function taken(array $ids): array
    {
        $here = [];
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            $cases = [...array_map(mb_strtolower(...), $chunk), ...array_map(mb_strtoupper(...), $chunk)];
            foreach (FactRecord::query()->whereIn('id', $cases)->get() as $record) {
                $fact = $record->fact();
                $here[mb_strtolower($fact->id)] = $fact->kind === FactKind::Move ? $this->content($fact) : '';
            }
        }

        return $here;
    }

    private function content(Fact $fact): string
    {
        return self::said((string) $this->circuit($fact)?->id, $fact->takenAt, (float) $fact->content->value);
    }

    private function circuit(Fact $fact): ?Circuit
    {
        return $this->ofParts[$fact->plant.' '.$fact->part->ofCircuit()] ?? null;
    }

    /** What a movement is known by where its id is not. */
    private static function said(string $circuit, \DateTimeInterface $at, float $kilograms): string
    {
        return implode("\n", [mb_strtolower($circuit), (string) $at->getTimestamp(), sprintf('%.4F', $kilograms)]);
    }

    /** @param  array<string, mixed>  $row */
    private function fact(int $line, array $row): ?Fact
    {
        $text = static fn (string $key): string => is_scalar($row[$key] ?? null) ? trim((string) $row[$key]) : '';
        $circuit =
            $this->circuits[mb_strtolower($text('circuit_id'))] ??
            ($this->circuits[mb_strtolower($text('where'))] ?? null);
        $at = mb_strtoupper($text('at'));
        $kilograms = $row['kilograms'] ?? null;
        $why = mb_strtolower($text('purpose'));
        $purpose = ChargePurpose::tryFrom($why === '' ? ChargePurpose::Leak->value : $why);
        $reasons = [
            self::circuitRefused($circuit, $text('where')),
            self::momentRefused($at),
            self::massRefused($kilograms),
            self::purposeRefused($purpose, $text('purpose')),
            self::bottleRefused(WeighedAmount::BEFORE, $row[WeighedAmount::BEFORE] ?? null),
            self::bottleRefused(WeighedAmount::AFTER, $row[WeighedAmount::AFTER] ?? null),
        ];
        foreach ($reasons as $reason) {
            if ($reason !== null) {
                $this->reasons[] = "line $line, $reason";
            }
        }
        if ($circuit === null || $purpose === null || array_filter($reasons) !== []) {
            return null;
        }
        $number = static fn (string $key): ?float => is_numeric($row[$key] ?? null) ? (float) $row[$key] : null;
        $told = [
            WeighedAmount::PURPOSE => $purpose->value,
            WeighedAmount::CYLINDER => $this->cylinders[mb_strtolower($text('cylinder'))] ?? $text('cylinder'),
            WeighedAmount::BEFORE => $number(WeighedAmount::BEFORE),
            WeighedAmount::AFTER => $number(WeighedAmount::AFTER),
        ];
        $data = array_filter($told, static fn (float|string|null $one): bool => $one !== null && $one !== '');
        $id = mb_strtoupper($text('id'));
        // Told in another zone it is the same moment.
        $moment = (new \DateTimeImmutable($at))->setTimezone(new \DateTimeZone(date_default_timezone_get()));
        $said = self::said($circuit->id, $moment, (float) $kilograms);

        return new Fact(
            Str::isUlid($id) ? $id : WordedId::of($said, $purpose->value, $text('cylinder')),
            FactKind::Move,
            new Content(Control::Charge->value, (float) $kilograms, null, $data),
            $moment,
            Source::Import,
            $this->user->id,
            $circuit->plant_id,
            $circuit->partId(),
        );
    }

    private static function circuitRefused(?Circuit $circuit, string $where): ?string
    {
        return $circuit === null ? 'where: no circuit named '.Reasons::shown($where) : null;
    }

    private static function momentRefused(string $at): ?string
    {
        if (! VisitReader::isTime($at)) {
            return 'at: got '.Reasons::shown($at).', expected a date and time that exists';
        }

        return new \DateTimeImmutable($at) > now() ? "at: $at is in the future" : null;
    }

    private static function massRefused(mixed $kilograms): ?string
    {
        if (! is_numeric($kilograms) || (float) $kilograms === 0.0 || is_nan((float) $kilograms)) {
            $shown = Reasons::shown($kilograms);

            return "kilograms: got $shown, expected a number (negative = recovered)";
        }

        return abs((float) $kilograms) > self::HEAVIEST
            ? "kilograms: got $kilograms; the limit is ".self::HEAVIEST
            : null;
    }

    private static function bottleRefused(string $name, mixed $kilograms): ?string
    {
        if ($kilograms === null || $kilograms === '') {
            return null;
        }
        $can = is_numeric($kilograms) && (float) $kilograms >= 0.0 && (float) $kilograms <= 2 * self::HEAVIEST;

        return $can
            ? null
            : "$name: got ".Reasons::shown($kilograms).', expected 0 to '.(2 * self::HEAVIEST).', or nothing';
    }

    private static function purposeRefused(?ChargePurpose $purpose, string $given): ?string
    {
        $possible = implode(', ', array_column(ChargePurpose::cases(), 'value'));

        return $purpose === null ? 'purpose: got '.Reasons::shown($given)."; allowed: $possible" : null;
    }

    /** @param  list<Fact>  $facts */
    private function keep(array $facts): void
    {
        $rows = [];
        foreach ($facts as $fact) {
            $columns = FactRecord::columns($fact);
            $rows[] = [
                ...$columns,
                'occasion_id' => $this->day($fact),
                'data' => json_encode($columns['data']),
                'created_at' => now(),
            ];
        }
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            FactRecord::query()->insert($chunk);
        }
    }

    /** @var array<string, string> id by circuit and day */
    private array $days = [];

    private function day(Fact $fact): string
    {
        $circuit = $this->circuit($fact);
        assert($circuit !== null);
        $day = $fact->takenAt->format('Y-m-d');

        return $this->days[$circuit->id.' '.$day] ??=
            LedgerDay::of(WordedId::of('ledger', $circuit->id, $day), $circuit, $this->user, $day)->id;
    }
}
