<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Reasons;
use Metrum\Data\Refused;
use Metrum\Data\Section;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\Celsius;
use Metrum\Quantity\Copies;
use Metrum\Refrigerant\Library;
use Metrum\Refrigerant\Refrigerant;

/**
 * One circuit of a plant with all that it draws on, as it is known: the words and design values of its branch, of its
 * group and of the high side, and its site's air. Null is not known.
 */
final readonly class Circuit
{
    use Copies;

    public Design $design;

    public Atmosphere $atmosphere;

    /** What other circuits draw from its compressors, as a multiple of what it draws; 0: it has them for itself. */
    public float $others;

    public function __construct(
        public string $refrigerant,
        public ?Kind $kind = null,
        public ?Metering $metering = null,
        public ?CondenserPlace $condenser = null,
        public ?HeadPressureControl $headPressureControl = null,
        public ?bool $receiver = null,
        public ?bool $regulator = null,
        public ?bool $suctionAccumulator = null,
        public ?BoxControl $boxControl = null,
        public ?DefrostKind $defrost = null,
        ?Design $design = null,
        ?Atmosphere $atmosphere = null,
        public ?bool $exchanger = null,
        ?float $others = null,
        public IceWords $ice = new IceWords(),
    ) {
        $this->design = $design ?? new Design();
        $this->atmosphere = $atmosphere ?? Atmosphere::atAltitude(0);
        $this->others = $others ?? $kind?->usual()->others ?? 0.0;
    }

    /**
     * From the words and figures of a visit file.
     *
     * @param  array<string, mixed>  $system
     * @param  array<string, mixed>  $design
     *
     * @throws Refused
     */
    public static function fromWords(array $system, array $design, ?Atmosphere $atmosphere = null): self
    {
        $reasons = new Reasons();
        $circuit = (new CircuitReader($reasons, Library::known()))->read(
            new Section('system.', $system, $reasons),
            new Section('design.', $design, $reasons),
        );
        $reasons->raise();
        assert($circuit !== null);

        return $atmosphere === null ? $circuit : $circuit->in($atmosphere);
    }

    /**
     * Controlled as it ought to be: something holds the head of an air-cooled condenser up in the cold, also where
     * nobody said what does.
     */
    public function asItOughtToBe(): self
    {
        if ($this->cools(LoadKind::IceMachine) && $this->condenser === CondenserPlace::Water) {
            return $this->headPressureControl === null
                ? $this->but(headPressureControl: HeadPressureControl::WaterValve)
                : $this;
        }

        return ! $this->holdsHead() && $this->condenser !== CondenserPlace::Water
            ? $this->but(headPressureControl: HeadPressureControl::FanCycling)
            : $this;
    }

    /** A plain plant of a kind: what is usual, with a refrigerant that serves it. */
    public static function plain(Kind $kind): self
    {
        $usual = $kind->usual();

        return self::fromWords($usual->system + ['refrigerant' => $usual->refrigerant], $usual->design);
    }

    /** Whether it makes ice batch by batch; an ice machine of which nobody says how does. */
    public function makesBatches(): bool
    {
        return $this->cools(LoadKind::IceMachine) && $this->ice->making !== IceMaking::Continuous;
    }

    /** The same in other air. */
    public function in(Atmosphere $atmosphere): self
    {
        return $this->but(atmosphere: $atmosphere);
    }

    /** The same beside other circuits. */
    public function beside(float $others): self
    {
        return $this->but(others: $others);
    }

    /** The same without the regulator that its cases share: one of them alone. */
    public function ofOneCase(Design $design): self
    {
        return $this->but(regulator: false, design: $design);
    }

    /** What all circuits share as if one plain circuit drew on it alone. */
    public function alone(Design $design): self
    {
        return $this->but(regulator: false, exchanger: false, others: 0.0, receiver: true, design: $design);
    }

    public function with(Design $design): self
    {
        return $this->but(design: $design);
    }

    /** What is usual for its kind; a walk-in cooler's where the kind is not known. */
    public function usual(): Usual
    {
        return ($this->kind ?? Kind::WalkInCooler)->usual();
    }

    /** What is cooled, as its owner calls it. */
    public function room(): string
    {
        return match (true) {
            $this->cools(LoadKind::Air) => 'room',
            $this->kind === Kind::IceMachine => 'ice machine',
            $this->kind === Kind::CaseMedium, $this->kind === Kind::CaseLow => 'display case',
            default => $this->isLowTemperature() ? 'freezer' : 'cooler',
        };
    }

    public function fluid(): Refrigerant
    {
        return Library::known()->get($this->refrigerant);
    }

    /** Whether that is known to be what it cools. */
    public function cools(LoadKind $load): bool
    {
        return $this->kind?->load() === $load;
    }

    public function isLowTemperature(): bool
    {
        $set = $this->design->boxSetPoint;

        return $this->kind?->isLowTemperature() ?? $set !== null && $set < (Celsius::ZERO - 5.0);
    }

    /** Its compressors and condenser serve other circuits too. */
    public function isShared(): bool
    {
        return $this->others > 0.0;
    }

    /** Whether a receiver is there; where it is not said, a valve-fed plant is taken to have one, a capillary not. */
    public function hasReceiver(): bool
    {
        return $this->receiver ??
            match (true) {
                $this->metering === Metering::Capillary => false,
                default => ! $this->cools(LoadKind::Cabinet),
            };
    }

    public function holdsHead(): bool
    {
        return $this->headPressureControl !== null && $this->headPressureControl !== HeadPressureControl::None;
    }
}
