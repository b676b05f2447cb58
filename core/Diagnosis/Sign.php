<?php

declare(strict_types=1);

namespace Metrum\Diagnosis;

use Metrum\Circuit\DataFile;
use Metrum\Circuit\Reading;
use Metrum\Quantity\Kind;
use Metrum\Quantity\Unit;

/** A figure that is judged against what is expected: its name, its unit in the data, what high and low mean. */
final readonly class Sign
{
    /**
     * @param  list<Reading>  $needs
     * @param  ?float  $least  SI, below which it cannot be; null where it is open
     */
    private function __construct(
        public string $key,
        public string $label,
        public Unit $unit,
        public string $family,
        public array $needs,
        public string $high,
        public string $low,
        public string $fine,
        public ?float $least,
    ) {
    }

    /** @return array<string, self> */
    public static function all(): array
    {
        /** @var ?array<string, self> $signs */
        static $signs = null;
        if ($signs === null) {
            $signs = [];
            /** @var array{label: string, unit: string, family: string, needs: list<string>, high: string, low: string, fine: string, least?: float|int} $entry */
            foreach (DataFile::read('evidence/signs') as $key => $entry) {
                $signs[$key] = new self(
                    $key,
                    $entry['label'],
                    Unit::from($entry['unit']),
                    $entry['family'],
                    array_map(Reading::from(...), $entry['needs']),
                    $entry['high'],
                    $entry['low'],
                    $entry['fine'],
                    isset($entry['least']) ? (float) $entry['least'] : null,
                );
            }
        }

        return $signs;
    }

    public static function named(string $key): self
    {
        return self::all()[$key];
    }

    /** A shift given in the data's unit as SI; offsets do not apply to shifts. */
    public function shiftToSi(float $shift): float
    {
        return $this->unit->toSi($shift) - $this->unit->toSi(0.0);
    }

    public function quantity(): Kind
    {
        return match ($this->unit) {
            Unit::KelvinDifference => $this->key === 'discharge_level' ? Kind::Temperature : Kind::Difference,
            Unit::Kilopascal => $this->key === 'floor' ? Kind::GaugePressure : Kind::PressureDifference,
            Unit::KilopascalPerMinute => Kind::PressureRate,
            Unit::KelvinPerHour => Kind::DifferenceRate,
            Unit::Minute => Kind::Duration,
            Unit::Percent => Kind::Share,
            default => Kind::Count,
        };
    }
}
