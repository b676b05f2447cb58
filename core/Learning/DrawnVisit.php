<?php

declare(strict_types=1);

namespace Metrum\Learning;

use Metrum\Diagnosis\Examination;
use Metrum\Diagnosis\Feature;
use Metrum\Diagnosis\Features;
use Metrum\Diagnosis\Grade;
use Metrum\Knowledge\HouseRules;
use Metrum\Twin\Twins;

/** What is kept of a simulated visit for fitting: its truth, and its features as the tool sees them. */
final readonly class DrawnVisit
{
    /**
     * @param  list<string>  $faults  as words; none: nothing is wrong
     * @param  array<string, float|string>  $features
     */
    public function __construct(
        public int $number,
        public array $faults,
        public ?Grade $grade,
        public bool $altered,
        public array $features,
    ) {
    }

    /** The tool sizes its twin from what it knows of the plant, not from what the plant is. */
    public static function of(int $number, Patient $patient): self
    {
        $examined = Examination::of($patient->findings, new HouseRules(), new Twins());
        $withheld = $examined->withheld();

        return new self(
            $number,
            array_map(static fn (array $ill): string => $ill[0]->value, $patient->ills),
            $patient->grade,
            $patient->altered,
            array_filter(
                Features::of($examined),
                static fn (string $feature): bool => ! $withheld->holds(Feature::named($feature)),
                ARRAY_FILTER_USE_KEY,
            ),
        );
    }

    public function line(): string
    {
        $rounded = array_map(
            static fn (float|string $one): float|string => is_string($one) ? $one : round($one, 4),
            $this->features,
        );

        return json_encode(
            [$this->number, $this->faults, $this->grade?->value, $this->altered, $rounded],
            JSON_THROW_ON_ERROR,
        );
    }

    public static function fromLine(string $line): self
    {
        /** @var array{int, list<string>, ?string, bool, array<string, float|int|string>} $drawn */
        $drawn = json_decode($line, true, 8, JSON_THROW_ON_ERROR);
        [$number, $faults, $grade, $altered, $features] = $drawn;
        $numbers = array_map(
            static fn (float|int|string $one): float|string => is_string($one) ? $one : (float) $one,
            $features,
        );

        return new self($number, $faults, $grade === null ? null : Grade::from($grade), $altered, $numbers);
    }
}
