<?php

namespace App\View\Trend;

use App\Models\Visit;
use Metrum\Exchange\TimeFormat;
use Metrum\Exchange\TrendColumn;
use Metrum\Exchange\TrendFile;
use Metrum\Installation\NoPart;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Reading;
use Metrum\Quantity\Unit;

/** What each column of a controller's export is: as was said at this plant before, as its heading reads, as chosen. */
final readonly class TrendColumns
{
    /** As some write units in a heading. */
    private const UNITS = [
        '°c' => Unit::Celsius, 'degc' => Unit::Celsius, 'c' => Unit::Celsius, '°f' => Unit::Fahrenheit,
        'degf' => Unit::Fahrenheit, 'f' => Unit::Fahrenheit, 'bar' => Unit::Bar, 'barg' => Unit::Bar,
        'kpa' => Unit::Kilopascal, 'psi' => Unit::Psi, 'psig' => Unit::Psi, '%' => Unit::Percent, 'a' => Unit::Ampere,
    ];

    public \DateTimeZone $zone;

    /** @param  array<string, string>  $chosen  by field; empty where nobody chose yet */
    public function __construct(private Visit $visit, public TrendFile $file, private array $chosen = [])
    {
        $this->zone = new \DateTimeZone((string) config('app.timezone'));
    }

    /** What was chosen for a field: now, at this plant before, else as it reads. */
    public function chosen(string $field): string
    {
        return $this->chosen[$field] ?? $this->visit->circuit->plant->trend_columns[$field] ?? '';
    }

    /** Under which a choice is kept: by the heading, so that another export of the same controller finds it. */
    public static function field(string $what, string $heading): string
    {
        return $what.' '.md5(mb_strtolower(trim($heading)));
    }

    public function time(): int
    {
        $chosen = $this->chosen('time');
        foreach ($this->file->columns as $place => $heading) {
            if ($chosen === $heading) {
                return $place;
            }
        }
        foreach (array_keys($this->file->columns) as $place) {
            if (TimeFormat::fitting(array_slice($this->file->sample($place), 0, 5), $this->zone) !== []) {
                return $place;
            }
        }

        return 0;
    }

    public function format(): TimeFormat
    {
        return TimeFormat::tryFrom($this->chosen('format'))
            ?? TimeFormat::fitting($this->file->sample($this->time()), $this->zone)[0]
            ?? TimeFormat::YearFirst;
    }

    /** @return list<array{place: int, heading: string, sample: string, reading: string, part: string, unit: string}> */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->file->columns as $place => $heading) {
            if ($place !== $this->time()) {
                $rows[] = [
                    'place' => $place,
                    'heading' => $heading,
                    'sample' => implode(', ', array_slice($this->file->sample($place), 0, 3)),
                    'reading' => $this->reading($heading)->value ?? '',
                    'part' => $this->part($heading)->value,
                    'unit' => $this->unit($heading)->value ?? '',
                ];
            }
        }

        return $rows;
    }

    /** @return list<TrendColumn> of those that are to be kept */
    public function kept(): array
    {
        $kept = [];
        foreach ($this->rows() as $row) {
            $reading = Reading::tryFrom($row['reading']);
            $unit = Unit::tryFrom($row['unit']);
            if ($reading !== null && $unit !== null) {
                $kept[] = new TrendColumn($row['place'], $reading, PartId::of($row['part']), $unit);
            }
        }

        return $kept;
    }

    /** @return list<string> headings of which nobody said the unit, or said one that it cannot have */
    public function withoutUnit(): array
    {
        $missing = [];
        foreach ($this->rows() as $row) {
            $reading = Reading::tryFrom($row['reading']);
            $isOne = in_array(Unit::tryFrom($row['unit']), $reading?->quantity()->units() ?? [], true);
            $missing = $reading !== null && ! $isOne ? [...$missing, $row['heading']] : $missing;
        }

        return $missing;
    }

    private function reading(string $heading): ?Reading
    {
        $field = self::field('reading', $heading);
        $isSaid = isset($this->chosen[$field]) || isset($this->visit->circuit->plant->trend_columns[$field]);

        return $isSaid ? Reading::tryFrom($this->chosen($field)) : self::named($heading);
    }

    /** The reading with the longest name that stands in a heading. */
    private static function named(string $heading): ?Reading
    {
        $plain = ' '.trim((string) preg_replace('/[^\p{L}\d]+/u', ' ', mb_strtolower($heading))).' ';
        $best = null;
        $longest = 0;
        foreach (Reading::cases() as $reading) {
            foreach ([...$reading->taking()->said, mb_strtolower($reading->label())] as $name) {
                $isThere = str_contains($plain, ' '.mb_strtolower($name).' ');
                if ($isThere && mb_strlen($name) > $longest) {
                    [$best, $longest] = [$reading, mb_strlen($name)];
                }
            }
        }

        return $best;
    }

    private function part(string $heading): PartId
    {
        $said = $this->chosen(self::field('part', $heading));
        try {
            if ($said !== '') {
                return PartId::of($said);
            }
        } catch (NoPart) {
            // What names no part is looked for in the heading.
        }
        foreach ($this->names() as $part => $name) {
            if (mb_stripos($heading, $name) !== false) {
                return PartId::of($part);
            }
        }

        return $this->visit->isOfRack() ? PartId::plant() : $this->visit->circuit->partId();
    }

    /** @return array<string, string> of circuits, and of suction groups where there are several, by part */
    private function names(): array
    {
        $names = $this->visit->wholeRack()->names ?? [];
        $plant = $this->visit->plantAsOpened();
        foreach ($plant->hasSeveralGroups() ? $plant->groups : [] as $group) {
            $names[$group->part->value] = $group->label();
        }

        return $names;
    }

    private function unit(string $heading): ?Unit
    {
        $said = Unit::tryFrom($this->chosen(self::field('unit', $heading)));
        if ($said !== null) {
            return $said;
        }
        $isBracketed = preg_match('/[\[(]([^\])]{1,8})[\])]\s*$/u', $heading, $found) === 1;

        return self::UNITS[mb_strtolower(trim($isBracketed ? $found[1] : ''))] ?? null;
    }

    /** @return array<string, string> label by part */
    public function parts(): array
    {
        $names = $this->names();

        return $names === []
            ? [$this->visit->circuit->part => $this->visit->circuit->name]
            : [PartId::plant()->value => 'the rack', ...$names];
    }

    /** @return array<string, string> label by reading */
    public function readings(): array
    {
        $labels = [];
        foreach (Reading::cases() as $reading) {
            $labels[$reading->value] = $reading->label();
        }
        asort($labels);

        return $labels;
    }

    /** @return array<string, string> symbol by unit, of all that a column may have */
    public function units(): array
    {
        $symbols = [];
        foreach (self::UNITS as $unit) {
            $symbols[$unit->value] = $unit->symbol();
        }
        $symbols[Unit::One->value] = 'number';
        $symbols[Unit::Kilogram->value] = Unit::Kilogram->symbol();

        return $symbols;
    }
}
