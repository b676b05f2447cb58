<?php

declare(strict_types=1);

namespace Metrum\Installation;

use Metrum\Data\Reasons;
use Metrum\Data\Refused;
use Metrum\Data\Section;
use Metrum\Refrigerant\Library;

/**
 * Reads a plant as a document: what its circuits share in `system` and `design`, then its groups, compressors and
 * circuits, each with its own. What InstallationWriter writes is read back the same.
 */
final readonly class InstallationReader
{
    public const VERSION = 1;

    /** Keys of a plant beside its version. */
    public const KEYS = ['system', 'design', 'groups', 'compressors', 'circuits'];

    /** Of a circuit, beside what was found of it. */
    public const OF_CIRCUIT = ['part', 'name', 'group', 'system', 'design', 'coils'];

    /** Of a circuit in a visit file: what `coils` are in a document that is stored. */
    public const CASES = 'cases';

    private CircuitReader $words;

    /**
     * @param  list<string>  $besides  keys that a circuit may have besides
     * @param  list<string>  $ofCase  the same of a case
     * @param  list<string>  $ofCompressor  the same of a compressor
     * @param  list<string>  $ofGroup  the same of a suction group
     */
    public function __construct(
        private Reasons $reasons,
        private array $besides = [],
        private array $ofCase = [],
        private array $ofCompressor = [],
        private array $ofGroup = [],
    ) {
        $this->words = new CircuitReader($reasons, Library::known());
    }

    /** A plant as it is stored. @throws Refused where it was harmed */
    public static function stored(string $json): Installation
    {
        $reasons = new Reasons();
        $document = json_decode($json, false);
        $top = new Section('', $document instanceof \stdClass ? get_object_vars($document) : [], $reasons);
        $top->only(['version', ...self::KEYS]);
        $top->constant('version', self::VERSION);
        $plant = (new self($reasons))->read($top);
        $reasons->raise();
        assert($plant !== null);

        return $plant;
    }

    /** Null where anything of it is refused; the reasons are then where they are collected. */
    public function read(Section $top): ?Installation
    {
        $system = $top->section('system', required: true);
        $system->only([...self::shared(SystemKey::cases()), SystemKey::Kind->value, CircuitReader::ATMOSPHERE]);
        $design = $top->section('design');
        $high = $this->highSide($system, $design);
        $subcooling = $design->amount(DesignKey::Subcooling->value, DesignKey::Subcooling->field());
        $atmosphere = $this->words->atmosphere($system);
        $kind = $system->word(SystemKey::Kind->value, Kind::class);
        $groups = (new GroupsReader($this->ofGroup, $this->ofCompressor))->read($top);
        $known = [];
        foreach ($top->rows('circuits') as $place => $row) {
            $known[] = $this->branch($row, $place + 1, $groups, $kind, $subcooling);
        }
        if ($known === []) {
            $top->refuse('circuits', 'missing; at least one is required');
        }
        $names = array_map(static fn (Branch $one): string => $one->part->value, $known);
        foreach (array_keys(array_diff_key($names, array_unique($names))) as $place) {
            $top->refuse("circuits.$place.part", 'already used by another circuit');
        }

        return $this->reasons->areThere() || $known === []
            ? null
            : new Installation($high, array_values($groups), $known, $atmosphere);
    }

    private function highSide(Section $system, Section $design): HighSide
    {
        $keys = array_diff(self::shared(DesignKey::cases()), [DesignKey::RatedCurrent->value]);
        $design->only([...array_values($keys), ...RackKey::named(shared: true), DesignKey::Subcooling->value]);
        $of = static fn (DesignKey|RackKey $key): ?float => $design->amount($key->value, $key->field());

        return new HighSide(
            $this->words->refrigerant($system),
            $system->word(SystemKey::Condenser->value, CondenserPlace::class),
            $system->word(SystemKey::HeadPressureControl->value, HeadPressureControl::class),
            $system->flag(SystemKey::Receiver->value),
            $of(DesignKey::CondenserSplit),
            $of(DesignKey::ColdestAmbient),
            $of(DesignKey::ReceiverVolume),
            $of(DesignKey::CondenserVolume),
            $of(DesignKey::NameplateCharge),
            $of(DesignKey::LiquidLineLength),
            $of(DesignKey::LiquidLineBore),
            new RackDesign(
                $of(RackKey::SuctionSaturated),
                $of(RackKey::LevelReference),
                $of(RackKey::LevelReferenceAmbient),
                $of(RackKey::ReclaimVolume),
                $of(RackKey::LiquidLinesVolume),
            ),
        );
    }

    /**
     * @param  non-empty-array<string, SuctionGroup>  $groups
     * @param  ?Kind  $kind  what circuits of this plant are that do not say it themselves
     * @param  ?float  $subcooling  the same of what is planned for them, K
     */
    private function branch(
        Section $row,
        int $number,
        array $groups,
        ?Kind $kind,
        ?float $subcooling,
    ): Branch {
        $row->only([...self::OF_CIRCUIT, ...$this->besides]);
        $part = PartRow::shared($row, PartKind::Circuit, $number);
        $system = $row->section('system');
        $system->only(array_values(array_diff(
            array_column(SystemKey::cases(), 'value'),
            self::shared(SystemKey::cases()),
        )));
        $design = $row->section('design');
        $own = array_diff(array_column(DesignKey::cases(), 'value'), self::shared(DesignKey::cases()));
        $design->only([...array_values($own), ...RackKey::named(shared: false), PartRow::CAPACITY]);
        $of = static fn (DesignKey|RackKey $key): ?float => $design->amount($key->value, $key->field());
        $regulator = $system->flag(SystemKey::Regulator->value);

        return new Branch(
            $part,
            $groups[GroupsReader::named($row, $groups)]->part,
            $this->coils($row, $part, $of(DesignKey::EvaporatorTd)),
            new Load(
                $system->word(SystemKey::Kind->value, Kind::class) ?? $kind,
                $system->word(SystemKey::BoxControl->value, BoxControl::class),
                $system->word(SystemKey::Defrost->value, DefrostKind::class),
                $of(DesignKey::BoxSetPoint),
                CircuitReader::ice($system),
                new IceRating(
                    $of(DesignKey::IcePerCycle),
                    $of(DesignKey::IcePerDay),
                    $of(DesignKey::IcePerDayHot),
                    $of(DesignKey::BridgeThickness),
                ),
            ),
            $system->word(SystemKey::Metering->value, Metering::class),
            $regulator === null ? null : new Regulator($part->below(PartKind::Regulator), $regulator),
            $system->flag(SystemKey::SuctionAccumulator->value),
            $system->flag(SystemKey::Exchanger->value),
            $of(DesignKey::Superheat),
            $of(DesignKey::Subcooling) ?? $subcooling,
            PartRow::capacity($design),
            $of(RackKey::CoilVolume),
            $of(RackKey::SuctionDrop),
        );
    }

    /** @return non-empty-list<Coil> one where none is named */
    private function coils(Section $row, PartId $circuit, ?float $difference): array
    {
        $coils = [];
        foreach ($row->rows(self::CASES) as $place => $case) {
            $case->only(['name', 'form', 'design', ...$this->ofCase]);
            $design = $case->section('design');
            $design->only([PartRow::CAPACITY]);
            $coils[] = $this->coil($case, $circuit, $place, $difference, PartRow::capacity($design));
        }
        foreach ($row->rows('coils') as $place => $coil) {
            $key = DesignKey::EvaporatorTd;
            $coil->only(['part', 'name', 'form', PartRow::CAPACITY, $key->value]);
            $own = $coil->amount($key->value, $key->field()) ?? ($place === 0 ? $difference : null);
            $coils[] = $this->coil($coil, $circuit, $place, $own, PartRow::capacity($coil));
        }

        return $coils === [] ? [new Coil($circuit->below(PartKind::Coil, '1'), $difference)] : $coils;
    }

    private function coil(Section $row, PartId $circuit, int $place, ?float $difference, ?float $capacity): Coil
    {
        return new Coil(
            PartRow::named($row, $circuit->below(PartKind::Coil, (string) ($place + 1))),
            $difference,
            $row->text('name') ?? '',
            $row->word('form', CaseForm::class),
            $capacity,
        );
    }

    /**
     * @param  list<SystemKey|DesignKey>  $cases
     * @return list<string> of what the circuits of a plant share
     */
    private static function shared(array $cases): array
    {
        $shared = array_filter($cases, static fn (SystemKey|DesignKey $key): bool => $key->isShared());

        return array_column($shared, 'value');
    }
}
